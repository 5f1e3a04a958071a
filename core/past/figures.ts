import type { Context } from '../context'
import type { VerdictState } from '../decision'
import { valueWords } from '../judging'
import type { FigureUnit } from '../quantity'
import { type RadioSet, setName } from '../review'
import { wantedStations } from '../station'
import { isRead, type SlotResult, type Step } from '../step'

/** A figure of one radio that can stand beside the same figure of others. */
export interface PastFigure {
  /** What is compared: station, band, setting and slot. Equal for what is the same of two radios. */
  key: string
  /** The same in words. */
  title: string
  station: string
  value: number
  unit: FigureUnit
  /** 95 % half-width. */
  range: number
  words: string
  state: VerdictState
  /** In the unit of the verdict, positive inside; null where nothing is held against it. */
  margin: number | null
  /** It is only known to lie below. */
  isUpperBound: boolean
  claimed: string | null
}

/** A radio of any review, with every figure of it that can be compared. */
export interface PastRadio {
  reviewId: string
  reviewTitle: string
  setId: string
  name: string
  make: string
  model: string
  sample: string
  firmware: string
  price: string
  bands: string[]
  /** What it was read with: instruments and chains. */
  readWith: string[]
  /** First and last day something of it was read. */
  days: [first: string, last: string] | null
  figures: PastFigure[]
}

/** Every radio of a review with its figures: of several channels of a band the one that governs. */
export function pastRadios(context: Context): PastRadio[] {
  const { review } = context
  return review.sets.map(set => ({
    ...{ reviewId: review.id, reviewTitle: review.title, setId: set.id, name: setName(set) },
    ...{ make: set.make, model: set.model, sample: set.sample, firmware: set.firmware, price: set.price },
    bands: set.bands.map(({ name }) => name),
    readWith: readWithOf(set, context),
    days: daysOf(set, context),
    figures: figuresOf(set, context),
  }))
}

function readWithOf({ id }: RadioSet, { review }: Context): string[] {
  const used = new Set(
    review.readings.flatMap(({ setId, through }) =>
      setId === id ? Object.values(through).map(({ chainId }) => chainId) : [],
    ),
  )
  return review.chains
    .filter(chain => used.has(chain.id))
    .map(({ name, instrumentId }) => {
      const instrument = review.instruments.find(one => one.id === instrumentId)?.name ?? 'no instrument'
      return `${name} into ${instrument}`
    })
}

function daysOf({ id }: RadioSet, { review }: Context): PastRadio['days'] {
  const days = review.readings.flatMap(({ setId, at }) => (setId === id ? [at.slice(0, 10)] : [])).sort()
  return days.length > 0 ? [days[0]!, days.at(-1)!] : null
}

function figuresOf(set: RadioSet, context: Context): PastFigure[] {
  const found = new Map<string, PastFigure>()
  for (const station of wantedStations(context))
    for (const step of station.plan(set, context))
      for (const result of station.evaluate(step, context).slots) {
        if (!isRead(result) || !result.found || result.found.unit === 'words') continue
        const figure = figureOf(result, step, station.title)
        const known = found.get(figure.key)
        if (!known || (figure.margin ?? Infinity) < (known.margin ?? Infinity)) found.set(figure.key, figure)
      }
  return [...found.values()]
}

function figureOf(result: SlotResult, step: Step, station: string): PastFigure {
  const { slot, found, verdict, claim } = result
  const { value, unit, budget, isUpperBound } = found!
  const place = [...placeOf(step), slot.label]
  return {
    key: [step.stationId, ...place].join('|').toLowerCase(),
    title: [station, ...place].join(', '),
    ...{ station, value, unit, range: budget.range, isUpperBound },
    ...{ words: valueWords(result), state: verdict.state, margin: verdict.margin },
    claimed: claim?.claimedWords ?? null,
  }
}

/** Band and setting: what two radios have in common where their channels differ. */
function placeOf({ covers, variant, band, setting, work }: Step): string[] {
  if (covers === 'set') return variant ? [variant.title] : []
  const level = covers === 'channel' && work === 'transmits' ? [setting.level.name] : []
  return [band.name, ...(variant ? [variant.title] : []), ...level]
}
