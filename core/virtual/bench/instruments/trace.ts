import { gaussian } from '../../simulatedPath'
import type { InputLine } from './analyser'

/**
 * What stands at a point for all that passed since the last one: noise as it came and lines held, the strongest, just
 * what was there at the end, or the mean power.
 */
export type Detector = 'normal' | 'peak' | 'sample' | 'mean'

/** How an analyser sweeps. */
export interface Sweep {
  centreHz: number
  spanHz: number
  bandwidthHz: number
  points: number
  detector: Detector
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
  const { centreHz, spanHz, bandwidthHz, points, detector, offsetDb } = sweep
  const floorMw = 10 ** ((sweep.floorDbm + 10 * Math.log10(bandwidthHz / sweep.floorAtHz)) / 10)
  const powersMw = new Float64Array(points)
  for (let i = 0; i < points; i++) powersMw[i] = floorMw * noiseAt(detector, random)
  const fromHz = centreHz - spanHz / 2
  const stepHz = spanHz / (points - 1)
  const parts = detector === 'mean' ? Math.max(1, Math.ceil((PARTS * stepHz) / bandwidthHz)) : 1
  for (const { frequencyHz, levelDbm } of lines) {
    const first = Math.max(0, Math.ceil((frequencyHz - REACH * bandwidthHz - fromHz) / stepHz))
    const last = Math.min(points - 1, Math.floor((frequencyHz + REACH * bandwidthHz - fromHz) / stepHz))
    for (let i = first; i <= last; i++) {
      let sum = 0
      for (let part = 0; part < parts; part++) {
        const atHz = fromHz + (i + (part + 0.5) / parts - 0.5) * stepHz
        const away = (atHz - frequencyHz) / (bandwidthHz / 2)
        sum += 10 ** ((levelDbm - AT_HALF_DB * away ** 2) / 10)
      }
      powersMw[i]! += sum / parts
    }
    if (detector === 'sample' || detector === 'mean') continue
    // A peak between two points is held.
    const nearest = Math.round((frequencyHz - fromHz) / stepHz)
    if (nearest >= 0 && nearest < points)
      powersMw[nearest] = Math.max(powersMw[nearest]!, 10 ** (levelDbm / 10))
  }
  return powersMw.map(power => 10 * Math.log10(power) + offsetDb)
}

/** Looks of its filter at noise between two points, and parts of a bandwidth a mean is taken over. */
const LOOKS = 20
const PARTS = 4

/** Noise at a point, parts of its mean power: each look is exponential; the strongest or the mean of many. */
function noiseAt(detector: Detector, random: () => number): number {
  switch (detector) {
    case 'normal':
    case 'sample':
      return -Math.log(1 - random())
    case 'peak':
      return -Math.log(1 - random() ** (1 / LOOKS))
    case 'mean':
      // Many looks are nearly Gaussian; the mean of so few is never as little as nothing.
      return Math.max(0.1, 1 + gaussian(random) / Math.sqrt(LOOKS))
  }
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
