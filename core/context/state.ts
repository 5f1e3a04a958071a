import { calibratedChain, type CalibrationPins, type Chain, type Instrument, joinedChain } from '../chain'
import { kept } from '../derive'
import { nextStanding, type Review, stepKey, type StepReadings, type Through } from '../review'
import { type Rulebook, rulebookById } from '../rules'
import { bookLists, type SharedWork } from './sharedWork'

/** One state of a review with its parts looked up: what a reader asks. Answers are the very same objects as
 * long as nothing behind them changed. */
export interface State {
  review: Review
  yardstick: Rulebook | null
  instruments: ReadonlyMap<string, Instrument>
  skipped: ReadonlyMap<string, string>
  stepKey: (setId: string, stepId: string) => string
  readings: (key: string) => StepReadings
  books: (ids: readonly string[] | null) => readonly Rulebook[]
  chainNow: (id: string) => Chain | undefined
  chainThen: (through: Through) => Chain | undefined
}

const NONE: StepReadings = new Map()

/** Looks a review up. */
export function createState(review: Review, shared: SharedWork): State {
  const chains = wholeChains(review.chains, shared)
  const standing = nextStanding(review.readings, shared.standing)
  shared.standing = standing
  const [{ current }] = standing
  const own = review.ownRulebooks
  if (shared.books.own !== own) shared.books = bookLists(own)
  const lists = shared.books
  const { yardstickId, rulebookIds } = review.settings
  const books = (ids: readonly string[]) => {
    let found = lists.asked.get(ids)
    if (!found) {
      found = kept(lists.byIds, ids.join(','), () => ids.map(id => rulebookById(id, own)))
      lists.asked.set(ids, found)
    }
    return found
  }
  return {
    review,
    yardstick: yardstickId === null ? null : books([yardstickId])[0]!,
    instruments: new Map(review.instruments.map(instrument => [instrument.id, instrument])),
    skipped: new Map(review.skipped.map(one => [stepKey(one.setId, one.stepId), one.reason])),
    stepKey,
    readings: key => current.get(key) ?? NONE,
    books: ids => books(ids ?? rulebookIds),
    chainNow: id => calibrated(chains.get(id), null, { review, shared }),
    chainThen: ({ chainId, calibrationIds }) =>
      calibrated(chains.get(chainId), calibrationIds, { review, shared }),
  }
}

/** Chains by id, each whole: with what it shares with another in front. */
function wholeChains(stored: readonly Chain[], shared: SharedWork): Map<string, Chain> {
  const chains = new Map(stored.map(chain => [chain.id, chain]))
  for (const chain of stored) {
    const host = chain.joins ? stored.find(({ id }) => id === chain.joins!.chainId) : undefined
    if (!host) continue
    const known = shared.joined.get(chain)
    const whole = known?.host === host ? known.whole : joinedChain(chain, host)
    shared.joined.set(chain, { host, whole })
    chains.set(chain.id, whole)
  }
  return chains
}

function calibrated(
  stored: Chain | undefined,
  pins: CalibrationPins | null,
  { review, shared }: { review: Review; shared: SharedWork },
): Chain | undefined {
  const { calibrations, calibrationSwaps: swaps } = review
  if (!stored || calibrations.length === 0) return stored
  let ofChain = shared.chains.get(stored)
  if (!ofChain) shared.chains.set(stored, (ofChain = new Map()))
  const key = pins === null ? 'now' : pinKey(pins)
  const known = ofChain.get(key)
  if (known && known.calibrations === calibrations && known.swaps === swaps) return known.chain
  const chain = calibratedChain(stored, { calibrations, swaps, pins })
  ofChain.set(key, { calibrations, swaps, chain })
  return chain
}

function pinKey(pins: CalibrationPins): string {
  let key = ''
  for (const part in pins) key += `${part}=${pins[part]!};`
  return key
}
