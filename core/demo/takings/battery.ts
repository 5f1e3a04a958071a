import { parseDischargeCsv } from '../../format'
import { printSignificant } from '../../quantity'
import type { BatteryMemo } from '../../station'
import { BATTERY_ID, capacityFromLog, dischargeCurve } from '../../station'
import { simulatedDischarge } from '../../virtual'
import type { Step } from '../../step'
import type { DoesWhile } from '../demoStand'
import type { DemoTaker } from '../demoTaker'
import { type DemoTaking, firstStepAt } from './taking'

/** How the demo’s reviewer counts: a marshal’s day. */
export const DEMO_BATTERY_MEMO: BatteryMemo = {
  duty: { transmitPercent: 8, audioPercent: 12 },
  ammeterPercent: 1,
}

/** What the radio does while a current is read. */
const STATES = {
  standby: { radio: 'squelched' },
  squelched: { radio: 'squelched' },
  audio: { radio: 'squelch-open' },
  'transmit-high': { radio: 'keyed', levelId: 'high' },
  'transmit-low': { radio: 'keyed', levelId: 'low' },
} as const satisfies Record<string, DoesWhile>

interface Drawn {
  /** Which currents are read. */
  amperes: readonly (keyof typeof STATES)[]
  /** With its squelch shut on a carrier, A: no state the bench knows. */
  squelchedA?: number
  hasVolts?: boolean
  grams?: number
  /** Pack and load of a discharge that was logged. */
  discharge?: { capacityAh: number; nominalV: number; loadA: number }
}

/** What is read of each radio. */
const DRAWN: Readonly<Record<string, Drawn>> = {
  'trek-a': {
    amperes: ['standby', 'squelched', 'audio', 'transmit-high', 'transmit-low'],
    squelchedA: 0.068,
    hasVolts: true,
    grams: 92,
    discharge: { capacityAh: 1.63, nominalV: 7.4, loadA: 0.36 },
  },
  'trek-b': { amperes: ['standby', 'audio', 'transmit-high'] },
  mini: { amperes: ['standby', 'audio', 'transmit-high'], grams: 41 },
  pellworth: {
    amperes: ['standby', 'audio', 'transmit-high', 'transmit-low'],
    hasVolts: true,
  },
}

/** What four of the radios draw, and what one pack holds. */
export const takeBattery: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const drawn = DRAWN[set.id]
    const step = drawn && firstStepAt(BATTERY_ID, set, taker)
    if (!drawn || !step) continue
    for (const slot of drawn.amperes) {
      const isOwn = slot === 'squelched' && drawn.squelchedA !== undefined
      const value = isOwn ? drawn.squelchedA! : currentAt(taker, step, STATES[slot])
      taker.figure(step, slot, {
        text: `${printSignificant(1000 * value, 3)} mA`,
        value,
        unit: 'A',
        resolution: value < 1 ? 0.001 : 0.01,
      })
    }
    if (drawn.hasVolts) {
      const does = { radio: 'squelched' } as const
      const value = Number(taker.stand.askKind(step, 'supply', { does, phrase: 'read-volts' }).toFixed(1))
      taker.figure(step, 'supply-v', { text: `${value}`, value, unit: 'V', resolution: 0.1 })
    }
    if (drawn.grams !== undefined)
      taker.figure(step, 'weight', { text: `${drawn.grams}`, value: drawn.grams, unit: 'g', resolution: 1 })
    if (drawn.discharge) takeDischarge(taker, step, drawn.discharge)
  }
}

/** A current as the supply shows it: three digits. */
function currentAt(taker: DemoTaker, step: Step, does: DoesWhile): number {
  return Number(taker.stand.askKind(step, 'supply', { does, phrase: 'read-amperes' }).toPrecision(3))
}

function takeDischarge(
  taker: DemoTaker,
  step: Step,
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
