import { enScore, type EnScore } from '../decision'
import { printDb, printDbm } from '../quantity'
import type { Context } from '../context'
import type { ControlCheck, LevelReading } from '../review'
import { correctReading, type FoundLevel, INSTRUMENT_ROLE, isCorrected } from '../step'

/** What a look at the control radio says of the bench. */
export interface ControlCheckResult {
  found: FoundLevel | null
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
export function evaluateControlCheck(check: ControlCheck, context: Context): ControlCheckResult {
  const chain = context.review.chains.find(({ id }) => id === check.chainId)
  if (!chain) return unbelievable('The chain it was read through is no longer on the bench.')
  const reading = asReading(check, chain.instrumentId)
  const found = correctReading(reading, context)
  if (!isCorrected(found)) return unbelievable(found.why)
  const score = enScore(
    { value: found.value, expanded: found.budget.range },
    { value: check.knownDbm, expanded: check.knownExpandedDb },
  )
  const differenceDb = found.value - check.knownDbm
  const apart = `${printDb(Math.abs(differenceDb))} ${differenceDb < 0 ? 'low' : 'high'}`
  const seen =
    `${printDbm(found.value)} today, known to be ${printDbm(check.knownDbm)}: ${apart}, ` +
    `E_n ${Math.abs(score.en).toFixed(2)}.`
  return {
    found,
    score,
    differenceDb,
    believable: score.agree,
    words: `${seen} ${score.agree ? BELIEVABLE : DOUBTFUL}`,
  }
}

const BELIEVABLE = 'The bench is believable today.'
const DOUBTFUL =
  'More than both ranges explain: look for a bad joint, a wrong offset, a tired battery before you go on.'

function unbelievable(words: string): ControlCheckResult {
  return { found: null, score: null, differenceDb: null, believable: false, words }
}

function asReading(check: ControlCheck, instrumentId: string): LevelReading {
  return {
    id: `control:${check.id}`,
    setId: check.setId,
    stationId: 'control',
    stepId: `control:${check.id}`,
    slot: 'carrier',
    text: check.text,
    seen: {
      as: 'level',
      value: check.levelDbm,
      unit: 'dBm',
      levelDbm: check.levelDbm,
      resolutionDb: check.resolutionDb,
      isUpperBound: false,
      frequencyHz: check.frequencyHz,
      traceFloorDbm: null,
      doubt: null,
      repeatsDbm: [],
    },
    instrumentId,
    through: {
      [INSTRUMENT_ROLE]: {
        chainId: check.chainId,
        chainRevision: 1,
        calibrationIds: check.calibrationIds,
      },
    },
    applied: {},
    supply: '',
    ambientC: null,
    who: '',
    at: check.at,
    source: { kind: 'typed' },
    supersedes: null,
  }
}
