import type { Context } from '../context'
import type { Verdict } from '../decision'
import type { DifferenceUnit, FigureUnit } from '../quantity'
import { stations } from '../station'
import { isRead, type SlotResult, type Step } from '../step'
import type { VirtualRadio } from '../virtual'
import type { Hands } from './hands'
import type { Mistake } from './mistake'
import { mistakeById } from './mistakes'
import { trueRadio } from './practiceTruth'
import { trueFigure } from './trueFigures'
import type { PracticeWorld } from './world'

/** One figure of the review beside the truth. */
export interface EnvelopeRow {
  stationId: string
  stationTitle: string
  setName: string
  label: string
  unit: FigureUnit
  value: number
  isBound: boolean
  /** Ends of the 95 % range; −Infinity below a bound. */
  low: number
  high: number
  truth: number
  /** Whether the range holds the truth. */
  holds: boolean
  /** What was said, and what would be true; null where nothing was judged. */
  said: Verdict['state']
  really: 'inside' | 'outside' | null
  /** A verdict that is sure and wrong. */
  isWrong: boolean
}

/** A planted mistake, and what became of it. */
export interface EnvelopeMistake {
  mistake: Mistake
  /** What shows that it was caught; null: it was missed. */
  caught: string | null
}

/** What is in the envelope. */
export interface Envelope {
  rows: EnvelopeRow[]
  mistakes: EnvelopeMistake[]
  held: number
}

/** Opens the envelope of an evening: each range beside the truth, each planted mistake as caught or missed. */
export function openEnvelope(
  world: PracticeWorld,
  context: Context,
  { hands, plants }: { hands: Hands; plants: readonly string[] },
): Envelope {
  const rows = context.review.sets.flatMap(set => {
    const radio = trueRadio(world, set.id)
    return stations.flatMap(station =>
      station.plan(set, context).flatMap(step => {
        if (context.readingsOf(step).size === 0) return []
        const { slots } = station.evaluate(step, context)
        return slots.flatMap(result => rowOf(result, { step, slots, radio, stationTitle: station.title }))
      }),
    )
  })
  return {
    rows,
    held: rows.filter(({ holds }) => holds).length,
    mistakes: plants.map(id => {
      const mistake = mistakeById(id)
      return { mistake, caught: mistake.caughtBy({ world, context, hands }) }
    }),
  }
}

interface Beside {
  step: Step
  slots: readonly SlotResult[]
  radio: VirtualRadio
  stationTitle: string
}

function rowOf(result: SlotResult, { step, slots, radio, stationTitle }: Beside): EnvelopeRow[] {
  const { slot, found, verdict } = result
  const truth = trueFigure(step.stationId, slot, radio, step)
  if (!isRead(result) || !found || truth === null) return []
  const { budget, value, isUpperBound } = found
  const high = value + budget.high
  const low = isUpperBound ? -Infinity : value + budget.low
  const really = trueState(result, { truth, carrierOffDb: carrierOff(result, slots, { step, radio }) })
  return [
    {
      ...{ stationId: step.stationId, stationTitle, setName: step.set.sample, label: slot.label },
      ...{ unit: found.unit, value, isBound: isUpperBound, low, high, truth },
      holds: truth >= low && truth <= high,
      said: verdict.state,
      really,
      isWrong:
        (verdict.state === 'inside' || verdict.state === 'outside') &&
        really !== null &&
        verdict.state !== really,
    },
  ]
}

/** A limit that follows the carrier moves with what the carrier was read wrong by, dB. */
function carrierOff(
  { ratio }: SlotResult,
  slots: readonly SlotResult[],
  { step, radio }: Pick<Beside, 'step' | 'radio'>,
): number {
  if (!ratio) return 0
  const carrier = slots.find(({ slot }) => slot.kind.is === 'harmonic' && slot.kind.n === 1)
  const truth = carrier && trueFigure(step.stationId, carrier.slot, radio, step)
  return carrier?.found && typeof truth === 'number' ? carrier.found.value - truth : 0
}

const DECIBELS: readonly DifferenceUnit[] = ['dB']

/** Whether the truth complies: the margin that was found, moved by what the figure was off. */
function trueState(
  { found, verdict, claim }: SlotResult,
  { truth, carrierOffDb }: { truth: number; carrierOffDb: number },
): 'inside' | 'outside' | null {
  if (!found || verdict.margin === null || !DECIBELS.includes(verdict.unit)) return null
  const off = found.value - truth
  // Up to a limit less is better; power that is claimed and a rejection are to be reached.
  const isClaimedPower = claim?.verdict.margin === verdict.margin && found.path?.signal === 'from-radio'
  const reaches = isClaimedPower || found.unit === 'dB'
  const margin = verdict.margin + (reaches ? -off : off - carrierOffDb)
  return margin >= 0 ? 'inside' : 'outside'
}
