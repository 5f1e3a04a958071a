import { enScore, type EnScore } from '../decision'
import { printDb, printDbm } from '../quantity'
import type { ControlCheck, Reading } from '../review'
import { correctReading, type CorrectedReading, isCorrected } from './correctReading'
import type { StationContext } from './stationContext'

/** What a look at the control radio says of the bench. */
export interface ControlCheckResult {
  corrected: CorrectedReading | null
  score: EnScore | null
  /** Today's figure less the known one, dB. */
  differenceDb: number | null
  believable: boolean
  words: string
}

/**
 * The control radio read through a chain, against what it is known to make: E_n of the two. Within 1 the
 * bench is
 * believable today.
 */
export function evaluateControlCheck(check: ControlCheck, context: StationContext): ControlCheckResult {
  const chain = context.review.chains.find(({ id }) => id === check.chainId)
  const corrected = chain && correctReading(asReading(check, chain.instrumentId), context)
  if (!corrected || !isCorrected(corrected))
    return {
      corrected: null,
      score: null,
      differenceDb: null,
      believable: false,
      words: corrected ? corrected.why : 'The chain it was read through is no longer on the bench.',
    }
  const score = enScore(
    { value: corrected.levelDbm, expanded: corrected.budget.rangeDb },
    { value: check.knownDbm, expanded: check.knownExpandedDb },
  )
  const differenceDb = corrected.levelDbm - check.knownDbm
  const found = `${printDbm(corrected.levelDbm)} today, known to be ${printDbm(check.knownDbm)}: ${printDb(Math.abs(differenceDb))} ${differenceDb < 0 ? 'low' : 'high'}, E_n ${Math.abs(score.en).toFixed(2)}.`
  return {
    corrected,
    score,
    differenceDb,
    believable: score.agree,
    words: `${found} ${score.agree ? 'The bench is believable today.' : 'More than both ranges explain: look for a bad joint, a wrong offset, a tired battery before you go on.'}`,
  }
}

function asReading(check: ControlCheck, instrumentId: string): Reading {
  return {
    id: `control:${check.id}`,
    setId: check.setId,
    stationId: 'control',
    stepId: `control:${check.id}`,
    slot: 'carrier',
    text: check.text,
    value: check.levelDbm,
    unit: 'dBm',
    levelDbm: check.levelDbm,
    resolutionDb: check.resolutionDb,
    isUpperBound: false,
    frequencyHz: check.frequencyHz,
    traceFloorDbm: null,
    doubt: null,
    instrumentId,
    chainId: check.chainId,
    chainRevision: 1,
    calibrationIds: check.calibrationIds,
    repeatsDbm: [],
    supply: '',
    ambientC: null,
    who: '',
    at: check.at,
    source: { kind: 'typed' },
    supersedes: null,
  }
}
