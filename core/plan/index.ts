export { planRun, type Run } from './planRun'
export { timeLeft, isDone, type TimeLeft } from './timeLeft'
export { keyDownState, restLeftS, REST_PER_KEYED, type KeyDownState } from './keyDown'
