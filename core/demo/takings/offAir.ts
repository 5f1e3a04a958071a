import { OFF_AIR_ID } from '../../station'
import type { ShownFigure } from '../demoTaker'
import { decibelText } from '../shownLevel'
import { type DemoTaking, firstStepAt } from './taking'

/** Carrier and ×2 to ×5 off the air at the fixed place, dBm. */
const TRUTH_DBM: Record<string, number[]> = {
  'trek-a': [-21.4, -58.2, -66.1, -79, -81.5],
  'trek-b': [-20.9, -39.8, -52.4, -70.1, -80.2],
  c1: [-20.2, -64.8, -74.9, -83, -84],
}

const AMBIENT_DBM = [-86, -84, -85, -86, -86]

/** Where radio and receive antenna stand in the demo. */
export const DEMO_GEOMETRY =
  'Village hall, radio held at 1.2 m as in use, ' +
  'receive antenna on a stand 2 m away at the same height, upright; same places for all radios.'

/** Off the air, at two radios and the control. */
export const takeOffAir: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const levels = TRUTH_DBM[set.id]
    const step = levels && firstStepAt(OFF_AIR_ID, set, taker)
    if (!step) continue
    for (const [i, level] of AMBIENT_DBM.entries()) taker.figure(step, `a${i + 1}`, shown(level))
    for (const [i, level] of levels.entries()) taker.figure(step, `x${i + 1}`, shown(level))
  }
}

function shown(value: number): ShownFigure {
  return { text: decibelText(value), value, unit: 'dBm', resolution: 0.1 }
}
