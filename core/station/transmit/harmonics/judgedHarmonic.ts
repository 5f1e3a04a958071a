import type { Context } from '../../../context'
import { type Verdict, verdictWords } from '../../../decision'
import { governingOf } from '../../../judging'
import { printFrequencyShort } from '../../../quantity'
import type { LevelReading, SeenLevel } from '../../../review'
import type { EmissionFacts, Rulebook } from '../../../rules'
import { type FoundLevel, type Judgement, type SlotResult } from '../../../step'
import { countedOtherwise, countedOtherwiseWords } from './countedOtherwise'
import { type BookLimits, bookLimits, type HarmonicSeen, type JudgedBy, judgeHarmonic } from './judgeHarmonic'

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
  private readonly seen: HarmonicSeen

  constructor(read: ReadHarmonic, by: JudgedBy, context: Context) {
    this.slot = read.slot
    this.reading = read.reading
    this.found = read.found
    const seen: HarmonicSeen = {
      found: read.found,
      emission: read.emission,
      measuredHz: measuredInHz(read.reading, context),
      nature: read.reading.seen.nature ?? null,
    }
    const { doubt } = read.reading.seen
    this.each = by.books.map(book => judgeBy(book, { seen, doubt }, by, context))
    const governing = governingOf(this.each)
    const yardstick = governing.limit.kind === 'no-figure' ? context.yardstick : null
    this.yardstick = yardstick && judgeBy(yardstickLimits(yardstick, by), { seen, doubt }, by, context)
    this.limit = governing.limit
    this.verdict = governing.verdict
    this.ratio = governing.ratio
    this.governing = governing
    this.ambient = read.ambient
    this.seen = seen
  }

  get words() {
    return this.governing.words
  }

  get notes(): string[] {
    const { limit } = this
    const counted = limit.kind === 'limit' ? countedOtherwise(limit.referenceBandwidthHz, this.seen) : null
    const countedWords = counted && countedOtherwiseWords(counted)
    const { why } = this.governing.verdict
    const { doubt } = this.reading.seen
    return [
      ...this.found.notes,
      ...this.ambient,
      ...(why !== null && this.verdict.state !== 'not-covered' && !this.verdict.isBound ? [why] : []),
      ...(doubt?.kind === 'coarse-trace' ? [coarseWords(doubt)] : []),
      ...(countedWords && !(why ?? '').includes(countedWords) ? [countedWords] : []),
    ]
  }

  /** Whether what the signal is decides: it does where noise would turn the verdict round, or leaves it open. */
  get hangsOnBandwidth(): boolean {
    return this.each.some(({ limit, verdict }) => {
      if (limit.kind !== 'limit' || verdict.marginLow === null) return false
      const counted = countedOtherwise(limit.referenceBandwidthHz, this.seen)
      if (!counted?.isOpen) return false
      const { state, marginLow } = verdict
      // Where noise was allowed for already, what is inside is so either way.
      const allowedDb = counted.noiseReadsDb[1]
      return state === 'too-close' || (state === 'inside' && marginLow < counted.mayReadMoreDb - allowedDb)
    })
  }
}

function judgeBy(
  book: BookLimits,
  { seen, doubt }: { seen: HarmonicSeen; doubt: SeenLevel['doubt'] },
  by: JudgedBy,
  context: Context,
): Judgement {
  const judged = judgeHarmonic(seen, book, by, context)
  const verdict = withDoubt(judged.verdict, doubt)
  if (verdict === judged.verdict) return judged
  return { limit: judged.limit, ratio: judged.ratio, verdict, words: verdictWords(verdict) }
}

function yardstickLimits(rulebook: Rulebook, by: JudgedBy): BookLimits {
  return bookLimits(rulebook, by, null)
}

function measuredInHz({ seen, instrumentId }: LevelReading, context: Context): number | null {
  if (seen.resolutionBandwidthHz !== undefined) return seen.resolutionBandwidthHz
  if (seen.doubt) return seen.doubt.resolutionBandwidthHz
  const instrument = context.instrument(instrumentId)
  return instrument?.kind === 'spectrum-analyser' ? instrument.resolutionBandwidthHz : null
}

/** A trace that may have stepped over a peak can show that something is there, not that nothing is. */
function withDoubt(verdict: Verdict, doubt: SeenLevel['doubt']): Verdict {
  return doubt?.kind === 'coarse-trace' && verdict.state === 'inside'
    ? { ...verdict, state: 'not-covered', why: coarseWords(doubt) }
    : verdict
}

function coarseWords(doubt: NonNullable<SeenLevel['doubt']>): string {
  const rbw =
    doubt.resolutionBandwidthHz === null
      ? 'its resolution bandwidth is not known'
      : `wider than its resolution bandwidth of ${printFrequencyShort(doubt.resolutionBandwidthHz)}`
  return (
    `The trace’s points are ${printFrequencyShort(doubt.stepHz)} apart, ${rbw}: ` +
    'a peak can fall between two of them, so this cannot show that it is clean.'
  )
}
