import { createContext, createSharedWork, type Context } from '../context'
import type { VerdictState } from '../decision'
import { type Review, setShortName } from '../review'
import type { Rulebook } from '../rules'
import { wantedStations } from '../station'
import { isRead, type Judgement, type Step } from '../step'

/** A figure that two rulebooks do not call the same. */
export interface RulebookFlip {
  set: string
  station: string
  /** Which step and figure, in words. */
  place: string
  before: { state: VerdictState; words: string }
  after: { state: VerdictState; words: string }
}

/**
 * The verdicts of a review that turn when it is judged by another edition of a rulebook: every figure that was read,
 * judged by the one alone and by the other alone.
 */
export function rulebookFlips(review: Review, before: Rulebook, after: Rulebook): RulebookFlip[] {
  const old = verdictsBy(review, before)
  return [...verdictsBy(review, after)].flatMap(([key, now]) => {
    const then = old.get(key)
    return then && then.judged.verdict.state !== now.judged.verdict.state
      ? [{ ...now.place, before: said(then.judged), after: said(now.judged) }]
      : []
  })
}

const said = ({ verdict: { state }, words }: Judgement) => ({ state, words })

interface Judged {
  place: Pick<RulebookFlip, 'set' | 'station' | 'place'>
  judged: Judgement
}

/** Which step it is, in words. */
function placeOf({ covers, band, channel, setting }: Step): string {
  return covers === 'channel' ? `${band.name}, ${channel.name}, ${setting.level.name}` : band.name
}

/** What a rulebook alone says of every figure that was read, by its place. */
function verdictsBy(review: Review, rulebook: Rulebook): Map<string, Judged> {
  const context = judgedOnlyBy(review, rulebook)
  const found = new Map<string, Judged>()
  for (const station of wantedStations(context))
    for (const set of context.review.sets)
      for (const step of station.plan(set, context))
        for (const { slot, each, ...result } of station.evaluate(step, context).slots) {
          const [judged] = each
          if (!judged || !isRead(result)) continue
          const place = `${placeOf(step)}, ${slot.label}`
          found.set(`${set.id}|${step.id}|${slot.id}`, {
            place: { set: setShortName(set), station: station.title, place },
            judged,
          })
        }
  return found
}

/** The review as if it knew no other rulebook, on no band. */
function judgedOnlyBy(review: Review, rulebook: Rulebook): Context {
  const id = 'compared'
  return createContext(
    {
      ...review,
      settings: { ...review.settings, rulebookIds: [id], yardstickId: null },
      ownRulebooks: [{ ...rulebook, id }],
      sets: review.sets.map(set => ({
        ...set,
        bands: set.bands.map(band => ({ ...band, rulebookIds: null })),
      })),
    },
    createSharedWork(),
  )
}
