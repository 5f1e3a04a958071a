import { entryOf, perIdentity } from '../cache'
import type {
  CarrierFacts,
  EmissionFacts,
  LimitClause,
  MissingFact,
  Quantity,
  ReceiverMethod,
  Rulebook,
} from './types'

/** How far a channel may be from its nominal frequency and still be that channel, Hz. */
export const ON_CHANNEL_HZ = 1000

/** Clauses that apply, and what would have to be known to tell of the others. */
export interface MatchedClauses {
  applying: LimitClause[]
  /** Facts without which further clauses may or may not apply. */
  missing: MissingFact[]
  /** The first clause that hangs on a missing fact. */
  hanging: LimitClause | null
}

/**
 * The clauses of a rulebook that speak of a quantity for this carrier and emission. Vague ones (L) are left
 * out.
 */
export function matchClauses(
  rulebook: Rulebook,
  about: Quantity,
  carrier: CarrierFacts,
  emission?: EmissionFacts,
): MatchedClauses {
  const applying: LimitClause[] = []
  const missing: MissingFact[] = []
  let hanging: LimitClause | null = null
  const clauses = clausesOn(rulebook, about)
  for (let i = 0; i < clauses.length; i++) {
    const clause = clauses[i]!
    if (!fits(clause, carrier, emission)) continue
    const lacksMode = clause.when.modes !== undefined && carrier.mode === undefined
    const lacksSpacing =
      clause.when.channelSpacingHz !== undefined && (carrier.channelSpacingHz ?? null) === null
    if (!lacksMode && !lacksSpacing) applying.push(clause)
    else {
      hanging ??= clause
      if (lacksMode && !missing.includes('mode')) missing.push('mode')
      if (lacksSpacing && !missing.includes('channel-spacing')) missing.push('channel-spacing')
    }
  }
  return { applying, missing, hanging }
}

const NO_CLAUSES: readonly LimitClause[] = []

/** Clauses by what they speak of, the vague ones left out; once for each rulebook as it stands. */
const byQuantity = perIdentity((clauses: readonly LimitClause[]) => {
  const sorted = new Map<Quantity, LimitClause[]>()
  for (const clause of clauses)
    if (clause.confidence !== 'L') entryOf(sorted, clause.about, () => []).push(clause)
  return sorted
})

function clausesOn({ clauses }: Rulebook, about: Quantity): readonly LimitClause[] {
  return byQuantity(clauses).get(about) ?? NO_CLAUSES
}

/** Whether any clause of a rulebook is on a quantity at all. */
export function speaksOf(rulebook: Rulebook, about: Quantity): boolean {
  return clausesOn(rulebook, about).length > 0
}

/** True when nothing that is known speaks against the clause. */
function fits({ when }: LimitClause, carrier: CarrierFacts, emission?: EmissionFacts): boolean {
  return (
    fitsFrequency(when, carrier.frequencyHz) &&
    fitsPower(when, carrier.powerW) &&
    mayBeOneOf(when.modes, carrier.mode) &&
    mayBeOneOf(when.channelSpacingHz, carrier.channelSpacingHz) &&
    mayBeOneOf(when.kinds, carrier.kind) &&
    fitsMethod(when, carrier) &&
    (when.state ?? 'operating') === (emission?.state ?? 'operating') &&
    (!when.harmonicsOnly || (emission?.harmonic ?? null) !== null) &&
    (!when.levels || when.levels.includes(carrier.level ?? 'highest')) &&
    isFarEnough(when, carrier, emission)
  )
}

type When = LimitClause['when']

/** Only emissions beyond a multiple of the carrier, or far enough from it; a clause on no emission never asks. */
function isFarEnough(
  { fromCarrierTimes, awayHz }: When,
  { frequencyHz }: CarrierFacts,
  emission: EmissionFacts | undefined,
): boolean {
  if (!emission) return true
  const awayFrom = Math.abs(emission.frequencyHz - frequencyHz)
  return (
    (fromCarrierTimes === undefined ||
      emission.frequencyHz >= fromCarrierTimes * frequencyHz - ON_CHANNEL_HZ) &&
    (awayHz === undefined || awayFrom >= awayHz)
  )
}

/** How far from the carrier a rulebook’s spurious limit begins that this emission is too near for; null: none. */
export function outOfBandWithinHz(
  rulebook: Rulebook,
  about: Quantity,
  carrier: CarrierFacts,
  emission: EmissionFacts,
): number | null {
  const far = { ...emission, frequencyHz: carrier.frequencyHz + 1e9 }
  const nearer = clausesOn(rulebook, about).filter(
    clause =>
      clause.when.awayHz !== undefined &&
      fits(clause, carrier, far) &&
      Math.abs(emission.frequencyHz - carrier.frequencyHz) < clause.when.awayHz,
  )
  return nearer.length > 0 ? Math.min(...nearer.map(({ when }) => when.awayHz!)) : null
}

// Asked of every clause for every carrier: loops, since a function handed over or a pair taken apart costs memory.
function fitsFrequency({ carrierHz, channelsHz }: When, frequencyHz: number): boolean {
  return (
    (!carrierHz || isInOneOf(carrierHz, frequencyHz)) && (!channelsHz || isOnOneOf(channelsHz, frequencyHz))
  )
}

function isInOneOf(bandsHz: NonNullable<When['carrierHz']>, frequencyHz: number): boolean {
  for (let i = 0; i < bandsHz.length; i++) {
    const band = bandsHz[i]!
    if (frequencyHz >= band[0] && frequencyHz <= band[1]) return true
  }
  return false
}

function isOnOneOf(channelsHz: readonly number[], frequencyHz: number): boolean {
  for (let i = 0; i < channelsHz.length; i++)
    if (Math.abs(channelsHz[i]! - frequencyHz) <= ON_CHANNEL_HZ) return true
  return false
}

/** Above the lower end, up to and with the upper one; null there is no end. */
const fitsPower = ({ powerW: range }: When, powerW: number): boolean =>
  !range || (powerW > range[0] && (range[1] === null || powerW <= range[1]))

/** Ways a clause means that names none: the usual ones. */
const USUAL_METHODS: readonly ReceiverMethod[] = ['sinad-12', 'snr-10', 'tia-603']

/**
 * A clause on one way of measuring says nothing of a figure that was come by otherwise; one that names none
 * means the usual way.
 */
function fitsMethod({ methods }: When, { method }: CarrierFacts): boolean {
  if (method === undefined) return !methods
  return (methods ?? USUAL_METHODS).includes(method)
}

/** True where the clause names none, or where it is not known which it is. */
function mayBeOneOf<T>(named: readonly T[] | undefined, known: T | null | undefined): boolean {
  return !named || known === undefined || known === null || named.includes(known)
}
