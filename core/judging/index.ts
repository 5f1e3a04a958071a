export { judgeReceiverClaim } from './judgeReceiverClaim'
export { noAnswer, sumByRulebook, type AnswerGap, type RulebookAnswer, type StationAnswer } from './answer'
export { answerSteps, type SummingUp } from './answerSteps'
export { governingOf, hasFigure, withoutFigure } from './byRulebooks'
export { evaluateControlCheck, type ControlCheckResult } from './controlCheck'
export { claimDemand, ruleDemands, type Demand } from './demands'
export { evaluateSlots, type SlotEvaluation } from './evaluateSlots'
export { foundFigure, type OwnContribution, workedOutFigure } from './foundFigure'
export { claimNotes, judgeClaim } from './judgeClaim'
export { judgePower, type PowerJudging } from './judgePower'
export {
  judgeScalar,
  limitInHz,
  scalarJudgements,
  type ScalarJudging,
  type ScalarSubject,
  yardstickScalar,
} from './judgeScalar'
export { limitShort, limitSource, limitWords } from './limitWords'
export { ratioDoubt } from './ratioDoubt'
export {
  figureIn,
  levelIn,
  notCorrected,
  NOTHING,
  observedFigure,
  observedLevel,
  observedWords,
  openSlot,
} from './slotResults'
export { rangeWords, readWords, valueWords } from './slotWords'
export { stepResultOf, type StepSummary } from './stepResult'
export { antennaLines, ASSUMED_GAIN_DOUBT_DB } from './antennaGain'
export { byTheStandard, type StandardsVerdict } from './byTheStandard'
