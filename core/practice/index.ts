export { type Envelope, type EnvelopeMistake, type EnvelopeRow, openEnvelope } from './envelope'
export { type Evening, eveningById, eveningFromSeed, type EveningLevel, evenings, worldOf } from './evenings'
export { type Hands, type HandSwitch, type HandTurn, TIDY_HANDS, turned } from './hands'
export type { BenchPart, CaughtInput, Mistake } from './mistake'
export { mistakeById, mistakes } from './mistakes'
export { PRACTICE_HZ, PRACTICE_IDS, PRACTICE_W } from './practiceReview'
export { practiceTruth, trueRadio } from './practiceTruth'
export {
  byChance,
  type EveningResult,
  eveningResultSchema,
  type PracticeRecord,
  practiceRecord,
} from './record'
export type { PracticeWorld, RadioTwist } from './world'
export { hasTruth } from './trueFigures'
