import type { ReflectionSweep } from '../../../format'
import { printVswr, vswrFromReflection } from '../../../quantity'
import type { CurvePoints, ReadingSource } from '../../../review'
import { type KeptFigure, seenFigure, type Step } from '../../../step'
import { USUAL_VSWR } from './evaluate'
import { matchSlotId } from './plan'

/** |Γ| may not reach 1 where a VSWR is wanted. */
const MOST_REFLECTED = 0.999_999

/** A sweep as a curve: Hz, and Γ in two parts. */
export function sweepCurve({ frequenciesHz, re, im }: ReflectionSweep): CurvePoints {
  const every = Math.max(1, Math.ceil(frequenciesHz.length / MOST_POINTS))
  const thinned = (values: Float64Array) =>
    values.filter((_value, i) => i % every === 0 || i === values.length - 1)
  return { x: thinned(frequenciesHz), y: thinned(re), y2: thinned(im) }
}

const MOST_POINTS = 2000

/** VSWR of each point of a sweep. */
export function vswrOfSweep({ y, y2 }: Pick<CurvePoints, 'y' | 'y2'>): Float64Array {
  return y.map((re, i) => vswrFromReflection(Math.min(MOST_REFLECTED, Math.hypot(re, y2[i]!))))
}

/** What a sweep says of a step: the match at each channel it reaches, the best frequency, the 2:1 range around it. */
export function figuresFromSweep(step: Step, sweep: ReflectionSweep, source: ReadingSource): KeptFigure[] {
  const curve: CurvePoints = { x: sweep.frequenciesHz, y: sweep.re, y2: sweep.im }
  const vswr = vswrOfSweep(curve)
  const method = `From a sweep. ${sweep.understood.join(' ')}`
  const kept = (slotId: string, value: number, unit: 'VSWR' | 'Hz', text: string): KeptFigure => ({
    slotId,
    text,
    seen: seenFigure({ value, unit, method }),
    source,
  })
  const atHz = (slotId: string, hz: number) => kept(slotId, hz, 'Hz', `${(hz / 1e6).toFixed(3)} MHz`)
  const matches = step.band.channels.flatMap(({ id, frequencyHz }) => {
    const found = matchAt(curve, frequencyHz)
    return found === null ? [] : [kept(matchSlotId(id), found, 'VSWR', printVswr(found))]
  })
  const best = bestNear(curve, vswr, step)
  if (best === null) return matches
  const range = rangeAround(curve.x, vswr, best)
  return [
    ...matches,
    atHz('best', curve.x[best]!),
    ...(range.fromHz === null ? [] : [atHz('range-from', range.fromHz)]),
    ...(range.toHz === null ? [] : [atHz('range-to', range.toHz)]),
  ]
}

/** The match at a frequency, Γ taken along a line between the points on either side; null outside the sweep. */
function matchAt({ x, y, y2 }: CurvePoints, frequencyHz: number): number | null {
  const above = x.findIndex(hz => hz >= frequencyHz)
  if (above < 0 || x[0]! > frequencyHz) return null
  const below = Math.max(0, above - 1)
  const share = above === below ? 0 : (frequencyHz - x[below]!) / (x[above]! - x[below]!)
  const re = y[below]! + share * (y[above]! - y[below]!)
  const im = y2[below]! + share * (y2[above]! - y2[below]!)
  return vswrFromReflection(Math.min(MOST_REFLECTED, Math.hypot(re, im)))
}

/** How far beyond the channels of a band a best frequency still is that band’s. */
const BEYOND = 0.1

/** The best point about the band’s channels: a sweep may hold several bands. */
function bestNear({ x }: CurvePoints, vswr: Float64Array, { band }: Step): number | null {
  const channels = band.channels.map(({ frequencyHz }) => frequencyHz)
  const [low, high] = [Math.min(...channels) * (1 - BEYOND), Math.max(...channels) * (1 + BEYOND)]
  let best: number | null = null
  x.forEach((hz, i) => {
    if (hz >= low && hz <= high && (best === null || vswr[i]! < vswr[best]!)) best = i
  })
  return best
}

/** Where it leaves 2:1 on either side of its best; null where the sweep ends before, or it never is within. */
function rangeAround(
  x: Float64Array,
  vswr: Float64Array,
  best: number,
): { fromHz: number | null; toHz: number | null } {
  if (vswr[best]! > USUAL_VSWR) return { fromHz: null, toHz: null }
  const crossing = (step: 1 | -1): number | null => {
    for (let i = best; i + step >= 0 && i + step < x.length; i += step) {
      const [inside, outside] = [vswr[i]!, vswr[i + step]!]
      if (outside > USUAL_VSWR)
        return x[i]! + ((USUAL_VSWR - inside) / (outside - inside)) * (x[i + step]! - x[i]!)
    }
    return null
  }
  return { fromHz: crossing(-1), toHz: crossing(1) }
}
