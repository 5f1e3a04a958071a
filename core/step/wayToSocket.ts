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
import { kept } from '../derive'
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
  contributions: Contribution[]
  noise: NoiseLines
  /** Budgets of readings that add no more than what noise leaves open: the same few come again and again. */
  budgets: Map<readonly Contribution[], Map<number | string, Budget>>
}

/** The ways through a chain as it stands, by frequency and by what is sent. */
export function wayToSocket(
  chain: Chain,
  frequencyHz: number,
  emission: EmissionClass,
  context: Context,
): WayToSocket | NotCorrected {
  const paths = context.derive(chain, 'paths', () => ({
    instrument: context.instrument(chain.instrumentId)!,
    at: {
      carrier: new Map<number, WayToSocket | NotCorrected>(),
      unwanted: new Map<number, WayToSocket | NotCorrected>(),
    },
  }))
  return kept(paths.at[emission], frequencyHz, () =>
    wayAt(chain, paths.instrument, { frequencyHz, emission }),
  )
}

/**
 * What the way from the socket to the instrument does at a frequency; the same for every reading through it.
 */
function wayAt(chain: Chain, instrument: Instrument, place: EmissionPlace): WayToSocket | NotCorrected {
  const { frequencyHz } = place
  const reach = reachAt(chain, instrument, frequencyHz)
  if (!reach.covered) return { why: reach.why }
  const loss = chainLossAt(chain, instrument, frequencyHz)
  return loss.known
    ? {
        lossDb: loss.lossDb,
        contributions: chainContributions(chain, instrument, place),
        noise: new Map(),
        budgets: new Map(),
      }
    : { why: loss.why }
}

/**
 * An analyser's budget hangs on the level only by what the reading adds of its own, a meter's on the level
 * besides; equal ones are worked out once.
 */
export function totalBudget(path: WayToSocket, reading: OwnLines, context: Context): Budget {
  const { seen, instrument, displayed, noise, more } = reading
  const key = instrument.kind === 'power-meter' ? `${seen.resolutionDb}@${displayed}` : seen.resolutionDb
  const known = more.length > 0 ? undefined : path.budgets.get(noise)?.get(key)
  if (known) return known
  const made = budget(
    [
      ...instrumentContributions(instrument, {
        atInstrumentDbm: displayed,
        resolutionDb: seen.resolutionDb,
      }),
      ...path.contributions,
      ...noise,
      ...more,
    ],
    context.distributions,
  )
  if (more.length === 0) kept(path.budgets, noise, () => new Map<number | string, Budget>()).set(key, made)
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
