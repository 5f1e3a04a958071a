import type { Context } from '../../../context'
import { type Verdict, verdictWords } from '../../../decision'
import { governingOf } from '../../../judging'
import { printFrequencyShort } from '../../../quantity'
import type { LevelReading, SeenLevel } from '../../../review'
import { bandwidthNote, type EmissionFacts, limitsOfCarrier, type Rulebook } from '../../../rules'
import { carrierFacts, type FoundLevel, type Judgement, type SlotResult } from '../../../step'
import type { CarrierForLimit } from '../carrierForLimit'
import { type BookLimits, type JudgedBy, judgeHarmonic } from './judgeHarmonic'

/** A harmonic as read and corrected, with what was seen of it while the radio was unkeyed, in words. */
export interface ReadHarmonic {
  slot: SlotResult['slot']
  reading: LevelReading
  found: FoundLevel
  ambient: readonly string[]
  emission: EmissionFacts
}

/**
 * One harmonic judged by every rulebook. Words and notes are made when somebody reads them: harmonics are
 * judged by the ten thousand.
 */
export class JudgedHarmonic implements SlotResult {
  readonly slot: SlotResult['slot']
  readonly state = 'read'
  readonly reading: LevelReading
  readonly found: FoundLevel
  readonly claim = null
  readonly each: Judgement[]
  readonly yardstick: Judgement | null
  readonly limit: Judgement['limit']
  readonly verdict: Verdict
  readonly ratio: Judgement['ratio']
  private readonly governing: Judgement
  private readonly ambient: readonly string[]
  private readonly carrierFrom: CarrierForLimit['from']
  private readonly measuredHz: number | null

  constructor(read: ReadHarmonic, by: JudgedBy, context: Context) {
    this.slot = read.slot
    this.reading = read.reading
    this.found = read.found
    this.each = by.books.map(book => judgeBy(book, read, by, context))
    const governing = governingOf(this.each)
    const yardstick = governing.limit.kind === 'no-figure' ? context.yardstick : null
    this.yardstick = yardstick && judgeBy(yardstickLimits(yardstick, by), read, by, context)
    this.limit = governing.limit
    this.verdict = governing.verdict
    this.ratio = governing.ratio
    this.governing = governing
    this.ambient = read.ambient
    this.carrierFrom = by.carrier.from
    this.measuredHz = measuredInHz(read.reading, context)
  }

  get words() {
    return this.governing.words
  }

  get notes(): string[] {
    const { limit } = this
    const bandwidth =
      limit.kind === 'limit' ? bandwidthNote(limit.referenceBandwidthHz, this.measuredHz) : null
    const { doubt } = this.reading.seen
    return [
      ...this.found.notes,
      ...this.ambient,
      ...(this.carrierFrom === 'claim'
        ? ['The limit is worked out from the claim until the carrier is read.']
        : []),
      ...(doubt?.kind === 'coarse-trace' ? [coarseWords(doubt)] : []),
      ...(bandwidth ? [bandwidth] : []),
    ]
  }
}

function judgeBy(book: BookLimits, read: ReadHarmonic, by: JudgedBy, context: Context): Judgement {
  const judged = judgeHarmonic(read, book, by, context)
  const verdict = withDoubt(judged.verdict, read.reading.seen)
  if (verdict === judged.verdict) return judged
  return { limit: judged.limit, ratio: judged.ratio, verdict, words: verdictWords(verdict) }
}

function yardstickLimits(rulebook: Rulebook, { step, carrier }: JudgedBy): BookLimits {
  return {
    rulebook,
    limits: limitsOfCarrier(rulebook, carrierFacts(step, carrier.powerW), null),
    silent: new Map(),
  }
}

function measuredInHz({ seen, instrumentId }: LevelReading, context: Context): number | null {
  if (seen.doubt) return seen.doubt.resolutionBandwidthHz
  const instrument = context.instrument(instrumentId)
  return instrument?.kind === 'spectrum-analyser' ? instrument.resolutionBandwidthHz : null
}

/** A trace that may have stepped over a peak can show that something is there, not that nothing is. */
function withDoubt(verdict: Verdict, { doubt }: SeenLevel): Verdict {
  return doubt?.kind === 'coarse-trace' && verdict.state === 'inside'
    ? { ...verdict, state: 'not-covered', why: coarseWords(doubt) }
    : verdict
}

function coarseWords(doubt: NonNullable<SeenLevel['doubt']>): string {
  const rbw =
    doubt.resolutionBandwidthHz === null
      ? 'its resolution bandwidth is not known'
      : `wider than its resolution bandwidth of ${printFrequencyShort(doubt.resolutionBandwidthHz)}`
  return `The trace’s points are ${printFrequencyShort(doubt.stepHz)} apart, ${rbw}: a peak can fall between two of them, so this cannot show that it is clean.`
}
