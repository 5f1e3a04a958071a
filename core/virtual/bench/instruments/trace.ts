import type { InputLine } from './analyser'

/** How an analyser sweeps. */
export interface Sweep {
  centreHz: number
  spanHz: number
  bandwidthHz: number
  points: number
  /** Its noise at `floorAtHz` of bandwidth, dBm. */
  floorDbm: number
  floorAtHz: number
  /** What is added to what it shows, dB. */
  offsetDb: number
}

/** A Gaussian filter is so many dB down at half its 3 dB bandwidth beside its middle. */
const AT_HALF_DB = 3.0103
/** Beyond so many bandwidths a line is under any noise. */
const REACH = 8

/** Levels of a sweep from the lowest frequency up, dBm as shown. */
export function traceOf(lines: readonly InputLine[], sweep: Sweep, random: () => number): Float64Array {
  const { centreHz, spanHz, bandwidthHz, points, offsetDb } = sweep
  const floorMw = 10 ** ((sweep.floorDbm + 10 * Math.log10(bandwidthHz / sweep.floorAtHz)) / 10)
  const powersMw = new Float64Array(points)
  // Noise through a filter and a detector of power: exponential about its mean.
  for (let i = 0; i < points; i++) powersMw[i] = -floorMw * Math.log(1 - random())
  const fromHz = centreHz - spanHz / 2
  const stepHz = spanHz / (points - 1)
  for (const { frequencyHz, levelDbm } of lines) {
    const first = Math.max(0, Math.ceil((frequencyHz - REACH * bandwidthHz - fromHz) / stepHz))
    const last = Math.min(points - 1, Math.floor((frequencyHz + REACH * bandwidthHz - fromHz) / stepHz))
    for (let i = first; i <= last; i++) {
      const away = (fromHz + i * stepHz - frequencyHz) / (bandwidthHz / 2)
      powersMw[i]! += 10 ** ((levelDbm - AT_HALF_DB * away ** 2) / 10)
    }
    // A peak between two points is held, as a positive detector does.
    const nearest = Math.round((frequencyHz - fromHz) / stepHz)
    if (nearest >= 0 && nearest < points)
      powersMw[nearest] = Math.max(powersMw[nearest]!, 10 ** (levelDbm / 10))
  }
  return powersMw.map(power => 10 * Math.log10(power) + offsetDb)
}

/** Levels as a definite block of 32-bit floats, the highest byte first. */
export function asBlock(levels: Float64Array): Uint8Array {
  const length = String(4 * levels.length)
  const head = `#${length.length}${length}`
  const bytes = new Uint8Array(head.length + 4 * levels.length)
  for (let i = 0; i < head.length; i++) bytes[i] = head.charCodeAt(i)
  const view = new DataView(bytes.buffer)
  for (const [i, level] of levels.entries()) view.setFloat32(head.length + 4 * i, level)
  return bytes
}
