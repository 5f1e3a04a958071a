export { isForTheRecord } from './forTheRecord'
export { planRun, proposedOrder, runInSlices, runKey, type Run } from './planRun'
export { knobTurns, runCosts, type RunCosts } from './runCosts'
export { expectedTimes, learnedTimes, learnedTimesOf, type LearnedTime } from './learnedTimes'
export { isDone, runState, type RunState, timeLeft, type TimeLeft } from './timeLeft'
export { workThrough } from './workThrough'
export { heatNow, type Heat } from './heatNow'
export { keyDownState, REST_PER_KEYED, type KeyDownState } from './keyDown'
export { stationMark, worstState, type StationMark } from './stationMark'
export { benchMark } from './benchMark'
export {
  goingOverBefore,
  goingOversIn,
  goingOverTo,
  openInterlocks,
  readyWork,
  type GoingOver,
} from './goingOver'
