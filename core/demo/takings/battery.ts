import { parseDischargeCsv } from '../../format'
import { printSignificant } from '../../quantity'
import type { BatteryMemo } from '../../station'
import { BATTERY_ID, capacityFromLog, dischargeCurve } from '../../station'
import { simulatedDischarge } from '../../virtual'
import type { DemoTaker } from '../demoTaker'
import { type DemoTaking, firstStepAt } from './taking'

/** How the demo’s reviewer counts: a marshal’s day. */
export const DEMO_BATTERY_MEMO: BatteryMemo = {
  duty: { transmitPercent: 8, audioPercent: 12 },
  ammeterPercent: 1,
}

interface Drawn {
  amperes: Readonly<Record<string, number>>
  volts?: number
  grams?: number
  /** Pack and load of a discharge that was logged. */
  discharge?: { capacityAh: number; nominalV: number; loadA: number }
}

/** Invented currents, by radio. */
const DRAWN: Readonly<Record<string, Drawn>> = {
  'trek-a': {
    amperes: { standby: 0.041, squelched: 0.068, audio: 0.172, 'transmit-high': 1.58, 'transmit-low': 0.71 },
    volts: 7.6,
    grams: 92,
    discharge: { capacityAh: 1.63, nominalV: 7.4, loadA: 0.36 },
  },
  'trek-b': { amperes: { standby: 0.043, audio: 0.175, 'transmit-high': 1.61 } },
  mini: { amperes: { standby: 0.038, audio: 0.15, 'transmit-high': 1.94 }, grams: 41 },
  pellworth: {
    amperes: { standby: 0.19, audio: 0.34, 'transmit-high': 4.9, 'transmit-low': 2.2 },
    volts: 13.6,
  },
}

/** What four of the radios draw, and what one pack holds. */
export const takeBattery: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const drawn = DRAWN[set.id]
    const step = drawn && firstStepAt(BATTERY_ID, set, taker)
    if (!drawn || !step) continue
    for (const [slot, value] of Object.entries(drawn.amperes))
      taker.figure(step, slot, {
        text: `${printSignificant(1000 * value, 3)} mA`,
        value,
        unit: 'A',
        resolution: value < 1 ? 0.001 : 0.01,
      })
    if (drawn.volts !== undefined)
      taker.figure(step, 'supply-v', {
        text: `${drawn.volts}`,
        value: drawn.volts,
        unit: 'V',
        resolution: 0.1,
      })
    if (drawn.grams !== undefined)
      taker.figure(step, 'weight', { text: `${drawn.grams}`, value: drawn.grams, unit: 'g', resolution: 1 })
    if (drawn.discharge) takeDischarge(taker, step, drawn.discharge)
  }
}

function takeDischarge(
  taker: DemoTaker,
  step: Parameters<DemoTaker['figure']>[0],
  pack: { capacityAh: number; nominalV: number; loadA: number },
): void {
  const rows = simulatedDischarge({ ...pack, seed: 7 })
  const csv = ['s,V,A', ...rows.map(({ atS, voltageV, currentA }) => `${atS},${voltageV},${currentA}`)].join(
    '\n',
  )
  const log = parseDischargeCsv(csv, 'demo', { constantA: null })
  const curveId = taker.curve(step, 'discharge', dischargeCurve(log), log.understood.join(' '))
  const { text, seen, slotId } = capacityFromLog(log, { kind: 'demo' })
  const { value, unit, standardUncertainty, method } = seen
  taker.figure(step, slotId, { text, value, unit, standardUncertainty, method, curveId })
}
