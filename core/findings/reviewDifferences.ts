import type { Context } from '../context'
import { valueWords } from '../judging'
import { type PublishedFigure, setShortName } from '../review'
import { wantedStations } from '../station'
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

const NOTHING_READ = 'nothing'

/** Every figure in which two states of a review differ, in the order of work; what only one of them has too. */
export function reviewDifferences(before: Context, after: Context): ReviewDifference[] {
  return figureDifferences(readFigures(before), readFigures(after))
}

/** The same of figures as they were written down. */
export function figureDifferences(
  before: readonly PublishedFigure[],
  after: readonly PublishedFigure[],
): ReviewDifference[] {
  const [old, now] = [byKey(before), byKey(after)]
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

const byKey = (figures: readonly PublishedFigure[]) => new Map(figures.map(figure => [figure.key, figure]))

/** Every figure that was read, in the order of work, with what is said of it. */
export function readFigures(context: Context): PublishedFigure[] {
  return wantedStations(context).flatMap(station =>
    context.review.sets.flatMap(set =>
      station.plan(set, context).flatMap(step =>
        station
          .evaluate(step, context)
          .slots.filter(isRead)
          .map(result => ({
            key: `${set.id}|${step.id}|${result.slot.id}`,
            ...{ set: setShortName(set), station: station.title, state: result.verdict.state },
            place: `${placeWords(step)}, ${result.slot.label}`,
            words: wordsOf(result),
          })),
      ),
    ),
  )
}

function wordsOf(result: SlotResult): string {
  return result.found ? `${valueWords(result)}, ${result.words}` : result.words
}
