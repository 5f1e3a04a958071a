import { LOG_MOMENTS_S, POWER_OVER_TIME_ID } from '../../station'
import type { Step } from '../../step'
import type { DemoTaker } from '../demoTaker'
import { type DemoTaking, firstStepAt } from './taking'

/** What was seen beside the power while the invented radios were kept keyed. */
interface LogTruth {
  batteryEndV: number
  caseEndC: number
  note?: string
}

const TRUTH: Record<string, LogTruth> = {
  'trek-a': { batteryEndV: 7.94, caseEndC: 41 },
  'trek-b': {
    batteryEndV: 7.71,
    caseEndC: 47,
    note: 'Case too warm to hold at the end; the battery had been at 91 % when it began.',
  },
}

const KEYED_S = 300
const BATTERY_START_V = 8.32
const CASE_START_C = 19

/** Five minutes keyed, at two radios. */
export const takePowerOverTime: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const truth = TRUTH[set.id]
    const step = truth && firstStepAt(POWER_OVER_TIME_ID, set, taker)
    if (truth && step) readLog(taker, step, truth)
  }
}

function readLog(taker: DemoTaker, step: Step, truth: LogTruth): void {
  const powerW = step.claim.kind === 'watts' ? step.claim.powerW : 5
  for (const atS of LOG_MOMENTS_S) taker.level(step, `t${atS}`, { radio: 'keyed', forS: atS })
  const volts = (value: number) => ({ text: String(value), value, unit: 'V' as const, resolution: 0.01 })
  const degrees = (value: number) => ({ text: String(value), value, unit: '°C' as const, resolution: 1 })
  taker.figure(step, 'battery-start', volts(BATTERY_START_V))
  taker.figure(step, 'battery-end', volts(truth.batteryEndV))
  taker.figure(step, 'case-start', degrees(CASE_START_C))
  taker.figure(step, 'case-end', degrees(truth.caseEndC))
  taker.keyDown(step, { seconds: KEYED_S, powerW })
  if (truth.note) taker.note(step, truth.note)
}
