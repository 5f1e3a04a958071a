import {
  type Chain,
  chainContributions,
  chainLossAt,
  type EmissionClass,
  type EmissionPlace,
  type Instrument,
  instrumentContributions,
  reachAt,
} from '../chain'
import type { Context } from '../context'
import { entryOf } from '../cache'
import type { SeenLevel } from '../review'
import { type Budget, budget, type Contribution } from '../uncertainty'
import type { NoiseLines } from './withoutNoise'

/** Why a reading could not be corrected. */
export interface NotCorrected {
  why: string
}

/** What the way from the socket to the instrument does at a frequency. */
export interface WayToSocket {
  lossDb: number
  leavesOpen: LeftOpenByWay
}

/** What a way leaves open, the very same where it is alike at several frequencies, and what was made of it. */
export interface LeftOpenByWay {
  contributions: readonly Contribution[]
  noise: NoiseLines
  /** The lines of instrument and path together, by the digit shown and, for a meter, by the level. */
  lines: Map<number | string, readonly Contribution[]>
  /** Budgets of readings that add no more than what noise leaves open: the same few come again and again. */
  budgets: Map<readonly Contribution[], Map<number | string, Budget>>
}

/** What is known of the ways through one chain. */
interface WaysThroughChain {
  instrument: Instrument
  at: Record<EmissionClass, Map<number, WayToSocket | NotCorrected>>
  leftOpen: Map<string, LeftOpenByWay>
}

/** The ways through a chain as it stands, by frequency and by what is sent. */
export function wayToSocket(
  chain: Chain,
  frequencyHz: number,
  emission: EmissionClass,
  context: Context,
): WayToSocket | NotCorrected {
  const ways = context.forGood(waysThrough, chain, context.instrument(chain.instrumentId)!)
  return entryOf(ways.at[emission], frequencyHz, () => wayAt(chain, ways, { frequencyHz, emission }))
}

/** Filled as frequencies are asked for; each entry follows from the chain and its instrument alone. */
function waysThrough(_chain: Chain, instrument: Instrument): WaysThroughChain {
  return { instrument, at: { carrier: new Map(), unwanted: new Map() }, leftOpen: new Map() }
}

/**
 * What the way from the socket to the instrument does at a frequency; the same for every reading through it.
 */
function wayAt(chain: Chain, ways: WaysThroughChain, place: EmissionPlace): WayToSocket | NotCorrected {
  const { instrument, leftOpen } = ways
  const { frequencyHz } = place
  const reach = reachAt(chain, instrument, frequencyHz)
  if (!reach.covered) return { why: reach.why }
  const loss = chainLossAt(chain, instrument, frequencyHz)
  if (!loss.known) return { why: loss.why }
  const contributions = chainContributions(chain, instrument, place)
  const leavesOpen = entryOf(leftOpen, contributions.map(nameOf).join(), () => ({
    contributions,
    noise: new Map(),
    lines: new Map(),
    budgets: new Map(),
  }))
  return { lossDb: loss.lossDb, leavesOpen }
}

/** All that tells a line from another. */
function nameOf({ id, label, assumed, sharedKey, shapeKey }: Contribution): string {
  return `${id}/${label}/${assumed}/${sharedKey}/${shapeKey}`
}

/**
 * An analyser's budget hangs on the level only by what the reading adds of its own, a meter's on the level
 * besides; equal ones are worked out once.
 */
export function totalBudget(way: LeftOpenByWay, reading: OwnLines, context: Context): Budget {
  const { seen, instrument, displayed, noise, more } = reading
  const key = instrument.kind === 'power-meter' ? `${seen.resolutionDb}@${displayed}` : seen.resolutionDb
  const known = more.length > 0 ? undefined : way.budgets.get(noise)?.get(key)
  if (known) return known
  const lines = entryOf(way.lines, key, () => [
    ...instrumentContributions(instrument, {
      atInstrumentDbm: displayed,
      resolutionDb: seen.resolutionDb,
    }),
    ...way.contributions,
  ])
  const made = budget([...lines, ...noise, ...more], context.distributions)
  if (more.length === 0) entryOf(way.budgets, noise, () => new Map<number | string, Budget>()).set(key, made)
  return made
}

/** A reading with what it adds of its own to the budget of its path. */
export interface OwnLines {
  seen: SeenLevel
  instrument: Instrument
  displayed: number
  /** What noise leaves open: the very same list for many readings. */
  noise: readonly Contribution[]
  more: readonly Contribution[]
}
