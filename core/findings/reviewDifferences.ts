import type { Context } from '../context'
import type { VerdictState } from '../decision'
import { valueWords } from '../judging'
import { setShortName } from '../review'
import { stationById, wantedStations } from '../station'
import { isRead, placeWords, type SlotResult } from '../step'

/** A figure in which two states of a review differ. */
export interface ReviewDifference {
  set: string
  station: string
  place: string
  before: string
  after: string
  /** Its verdict differs, not only its figure. */
  isVerdict: boolean
}

interface Figure {
  set: string
  station: string
  place: string
  words: string
  state: VerdictState
}

const NOTHING_READ = 'nothing'

/** Every figure in which two states of a review differ, in the order of work; what only one of them has too. */
export function reviewDifferences(before: Context, after: Context): ReviewDifference[] {
  const [old, now] = [figuresOf(before), figuresOf(after)]
  return [...new Set([...old.keys(), ...now.keys()])].flatMap(key => {
    const [was, is] = [old.get(key), now.get(key)]
    if (was && is && was.words === is.words && was.state === is.state) return []
    const { set, station, place } = (is ?? was)!
    return [
      {
        ...{ set, station, place },
        before: was?.words ?? NOTHING_READ,
        after: is?.words ?? NOTHING_READ,
        isVerdict: was?.state !== is?.state,
      },
    ]
  })
}

/** Every figure that was read, by set, step and slot. */
function figuresOf(context: Context): Map<string, Figure> {
  const found = new Map<string, Figure>()
  for (const { id, title } of wantedStations(context))
    for (const set of context.review.sets)
      for (const step of stationById(id).plan(set, context))
        for (const result of stationById(id).evaluate(step, context).slots)
          if (isRead(result))
            found.set(`${set.id}|${step.id}|${result.slot.id}`, {
              ...{ set: setShortName(set), station: title, state: result.verdict.state },
              place: `${placeWords(step)}, ${result.slot.label}`,
              words: wordsOf(result),
            })
  return found
}

function wordsOf(result: SlotResult): string {
  return result.found ? `${valueWords(result)}, ${result.words}` : result.words
}
