export { verdictWithout, type Verdict, type VerdictForm, type VerdictState } from './verdict'
export {
  decide,
  DECISION_RULES,
  SURE,
  type DecideInput,
  type DecisionRule,
  type LimitDirection,
} from './decide'
export { isGraver, worstVerdict, type GroupVerdict } from './worstVerdict'
export { verdictWords, claimWords, farEndWords, marginWords } from './verdictWords'
export {
  stripGeometry,
  stripPlace,
  STRIP_LIMIT_AT,
  STRIP_TICKS_DB,
  type StripGeometry,
} from './stripGeometry'
export { decisionRuleWords, type DecisionRuleWords } from './ruleWords'
export { enScore, type EnScore } from './enScore'
export { clopperPearson, type ShareRange } from './clopperPearson'
