import type Joi from 'joi'
import type { BenchCheck } from '../chain'
import type { Context } from '../context'
import type { ReportBlock } from '../document'
import type { Demand, StationAnswer } from '../judging'
import type { Plot } from '../plot'
import type { RadioSet } from '../review'
import type { Roles, Step, StepResult } from '../step'
import type { Coaching } from './coaching'
import type { StationHelp } from './help'
import type { ReadAction } from './readAction'
import type { RecordingUse } from './recordingUse'

/** What a station is about: what the radio sends, what it hears, the set as a whole. */
export const STATION_GROUPS = ['transmit', 'receive', 'whole'] as const
/** What a station is about. */
export type StationGroup = (typeof STATION_GROUPS)[number]

/** One row a station contributes to the findings. */
export interface StationQuestion {
  id: string
  stationId: string
  question: string
  detail: string
  against: 'limits' | 'claims'
  bandName: string | null
  /** The yardstick's row, shown only when the yardstick is on. */
  yardstick: boolean
}

/** A remark drawn from several radios' results, in plain words. */
export interface Remark {
  id: string
  title: string
  text: string
}

/** What a station keeps besides readings: for the whole review, and for single sets. */
export interface MemoSchemas {
  common?: Joi.Schema
  bySet?: Joi.Schema
}

/**
 * A test. Adding one to the product is adding a folder with one of these and a line in the registry: nothing
 * else knows a station by name.
 */
export interface Station {
  /** Stored in files: never renamed. */
  id: string
  /** Raised when results change meaning. */
  version: number
  title: string
  /** For the order of work, where the title is too long. */
  shortTitle?: string
  group: StationGroup
  /** Place in the order of work (handbook, section 2). */
  order: number
  /** Letter after G that goes there, for the few used most. */
  letter?: string
  /** Why and how, for who wants it. */
  help?: StationHelp
  /**
   * Left out of the run, the findings and what is open until something of it was read; or until the bench has
   * what it needs.
   */
  optional: boolean | 'unless-equipped'
  /** Whether it comes to verdicts, or only shows and compares. */
  verdicts: 'judged' | 'observed'
  /** Nobody can say that a radio may be keyed before all of this was read. */
  neededToKey?: boolean
  /** What stands at the other end, and which way the signal goes; none where nothing stands between. */
  roles: Roles
  /** Said where nothing is planned for a set. */
  nothing: string
  /** Head of the column of what figures come to; “Comes to” by default. */
  valueHead?: string
  /** Its figures are long: whole frequencies. */
  wide?: boolean
  memo?: MemoSchemas
  /** What it takes from a recording of I/Q. */
  recording?: RecordingUse
  plan: (set: RadioSet, context: Context) => Step[]
  checks: (step: Step, context: Context) => BenchCheck[]
  evaluate: (step: Step, context: Context) => StepResult
  /** What it would have done next at a step, and why; null where it cannot say. */
  coach?: (step: Step, context: Context) => Coaching | null
  /** What an instrument could read next at a step; by default the levels of the radio that are open. */
  reads?: (step: Step, context: Context) => ReadAction | null
  /** What a step answers to, before anything is read; empty for an observation. */
  demands: (step: Step, context: Context) => Demand[]
  questions: (sets: readonly RadioSet[], context: Context) => StationQuestion[]
  answer: (question: StationQuestion, set: RadioSet, context: Context) => StationAnswer
  /** Its part of the report on one set, from the steps something was read at. */
  report: (results: readonly StepResult[], context: Context) => ReportBlock[]
  /** What it draws of radios beside each other, from what was read; by default every figure with its strip. */
  plots?: (sets: readonly RadioSet[], context: Context) => Plot[]
  /** What the results of several radios say together. */
  remarks?: (sets: readonly RadioSet[], context: Context) => Remark[]
}

/** One question of a station that asks just one. */
export function onlyQuestion(
  stationId: string,
  question: Pick<StationQuestion, 'id' | 'question' | 'detail' | 'against'>,
): StationQuestion {
  return { ...question, stationId, bandName: null, yardstick: false }
}
