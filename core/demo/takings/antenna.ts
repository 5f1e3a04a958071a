import { parseTouchstone } from '../../format'
import { type Antenna, ANTENNA_ID, figuresFromSweep, sweepCurve } from '../../station'
import type { Step } from '../../step'
import { type SimulatedAntenna, simulatedSweep } from '../../virtual'
import type { DemoTaker } from '../demoTaker'
import { type DemoTaking, stepsAt } from './taking'

const HELD = 'in the hand at mouth height, antenna upright, nothing within 2 m'

function antenna(id: string, name: string, change: Partial<Antenna> = {}): Antenna {
  return { id, name, kind: 'supplied', held: HELD, labelHz: null, labelVswr: null, ...change }
}

/** Antennas of the demo’s radios. */
export const DEMO_ANTENNAS: Readonly<Record<string, { antennas: Antenna[] }>> = {
  'trek-a': {
    antennas: [
      antenna('supplied', 'Supplied', { labelHz: [144e6, 148e6] }),
      antenna('c1', 'C1’s own', { kind: 'control' }),
    ],
  },
}

/** What a sweep of each would show, by antenna and band (invented; a supplied stub is often good on one band only). */
const SWEPT: Readonly<Record<string, Readonly<Record<string, SimulatedAntenna>>>> = {
  supplied: {
    '2m': { resonanceHz: 150.6e6, q: 9, resistanceOhm: 31, seed: 3 },
    '70cm': { resonanceHz: 441e6, q: 7, resistanceOhm: 49, seed: 4 },
  },
  c1: {
    '2m': { resonanceHz: 146.1e6, q: 8, resistanceOhm: 44, seed: 5 },
    '70cm': { resonanceHz: 438e6, q: 9, resistanceOhm: 56, seed: 6 },
  },
}

/** The set nobody swept: its match is read channel by channel. */
const READ_SET = 'mini'

/** Antennas of two radios: one swept, beside the control’s, one typed. */
export const takeAntenna: DemoTaking = (taker, sets) => {
  for (const set of sets)
    for (const step of stepsAt(ANTENNA_ID, set, taker)) {
      const swept = set.id in DEMO_ANTENNAS ? SWEPT[step.variant?.id ?? '']?.[step.band.id] : undefined
      if (swept) takeSweep(taker, step, swept)
      if (set.id !== READ_SET) continue
      for (const { id, frequencyHz } of step.slots.slice(0, step.band.channels.length)) {
        const asked = { does: { radio: 'squelched' }, phrase: 'read-vswr', values: { frequencyHz } } as const
        const value = Number(taker.stand.askKind(step, 'antenna-analyser', asked).toFixed(1))
        taker.figure(step, id, { text: value.toFixed(1), value, unit: 'VSWR', resolution: 0.1 })
      }
    }
}

function takeSweep(taker: DemoTaker, step: Step, swept: SimulatedAntenna): void {
  const channels = step.band.channels.map(({ frequencyHz }) => frequencyHz)
  const range = { fromHz: 0.95 * Math.min(...channels), toHz: 1.05 * Math.max(...channels), points: 161 }
  const rows = simulatedSweep(swept, range).map(({ frequencyHz, re, im }) => `${frequencyHz} ${re} ${im}`)
  const sweep = parseTouchstone(['# Hz S RI R 50', ...rows].join('\n'), 'demo')
  const curveId = taker.curve(step, 'reflection', sweepCurve(sweep), sweep.understood.join(' '))
  for (const { slotId, text, seen } of figuresFromSweep(step, sweep, { kind: 'demo' })) {
    const { value, unit, method } = seen
    taker.figure(step, slotId, { text, value, unit, method, curveId })
  }
}
