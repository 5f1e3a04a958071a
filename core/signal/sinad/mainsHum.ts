import { audioPowerGain, type AudioWeighting } from './audioFilter'
import { densityNear, type PowerDensity } from './powerDensity'
import { phasorsOf } from './phasors'

/** What the mains put into a block. */
export interface MainsHum {
  mainsHz: 50 | 60
  /** Of all its lines, full scale 1. */
  power: number
  /** Of it, what comes through the filter. */
  weightedPower: number
}

/** Multiples of the mains that are looked at. */
const MULTIPLES = 8

/** A line of hum stands this many times above the noise of one line’s width. */
const STANDS_OUT = 25

/** A line that does not lift the averaged density by this is none. */
const WORTH_A_LOOK = 1.3

/** Lines nearer to the tone or its harmonics than this are not told from them, Hz. */
const APART_HZ = 5

interface HumSearch {
  sampleRateHz: number
  weighting: AudioWeighting
  density: PowerDensity
  toneHz: number
}

/** Hum of 50 or 60 Hz with its multiples in what a tone leaves of a block; null where none stands out. */
export function mainsHum(rest: Float64Array, search: HumSearch): MainsHum | null {
  const [fifty, sixty] = ([50, 60] as const).map(mainsHz => humOf(rest, mainsHz, search))
  const stronger = fifty!.power >= sixty!.power ? fifty! : sixty!
  return stronger.power > 0 ? stronger : null
}

function humOf(rest: Float64Array, mainsHz: 50 | 60, search: HumSearch): MainsHum {
  const { sampleRateHz, weighting, density, toneHz } = search
  const seconds = rest.length / sampleRateHz
  const hum: MainsHum = { mainsHz, power: 0, weightedPower: 0 }
  for (let multiple = 1; multiple <= MULTIPLES; multiple++) {
    const hz = multiple * mainsHz
    const toTone = Math.abs(hz / toneHz - Math.max(1, Math.round(hz / toneHz))) * toneHz
    if (toTone < APART_HZ || hz > 0.4 * sampleRateHz) continue
    const around = densityNear(density, hz, 4 * density.binHz)
    if (density.density[Math.round(hz / density.binHz)]! < WORTH_A_LOOK * around) continue
    const { re, im } = phasorsOf(rest, hz / sampleRateHz, rest.length)
    const power = (re[0]! ** 2 + im[0]! ** 2) / 2
    const noise = around / seconds
    if (power < STANDS_OUT * noise) continue
    hum.power += power - noise
    hum.weightedPower += (power - noise) * audioPowerGain(weighting, hz)
  }
  return hum
}
