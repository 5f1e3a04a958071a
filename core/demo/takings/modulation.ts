import { BANDWIDTH_ID, DEVIATION_ID, FREQUENCY_ID } from '../../station'
import type { Step } from '../../step'
import { deviationOverTime, modulatedSpectrum } from '../demoCurves'
import { decibelText, type DemoTaker, type ShownFigure } from '../demoTaker'
import { type DemoTaking, firstStepAt } from './taking'

/** What the invented radios do when they are modulated. */
interface ModulationTruth {
  /** Peak deviation with a normal tone, with the loudest voice, of the tone squelch (0: none), Hz. */
  deviationHz: { tone: number; loudest: number; squelch: number }
  /** Frequency error, Hz. */
  errorHz: { cold: number; warm: number }
  /** Occupied bandwidth, Hz, and the adjacent channels below and above, dBc. */
  bandwidth: { occupiedHz: number; lowerDbc: number; upperDbc: number }
}

const TRUTH: Record<string, ModulationTruth> = {
  'trek-a': {
    deviationHz: { tone: 1490, loudest: 2380, squelch: 330 },
    errorHz: { cold: -212, warm: -164 },
    bandwidth: { occupiedHz: 8310, lowerDbc: -64.2, upperDbc: -63.8 },
  },
  'trek-b': {
    deviationHz: { tone: 1620, loudest: 2710, squelch: 340 },
    errorHz: { cold: 118, warm: 171 },
    bandwidth: { occupiedHz: 9120, lowerDbc: -59.1, upperDbc: -58.4 },
  },
  tarnwick: {
    deviationHz: { tone: 1350, loudest: 2130, squelch: 0 },
    errorHz: { cold: 402, warm: 355 },
    bandwidth: { occupiedHz: 6910, lowerDbc: -51, upperDbc: -50.2 },
  },
  c1: {
    deviationHz: { tone: 1500, loudest: 2330, squelch: 350 },
    errorHz: { cold: -38, warm: -21 },
    bandwidth: { occupiedHz: 8120, lowerDbc: -68.4, upperDbc: -68.9 },
  },
}

/** Deviation, frequency error and bandwidth, on the first channel of each radio. */
export const takeModulation: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const truth = TRUTH[set.id]
    if (!truth) continue
    const at = (stationId: string, read: (taker: DemoTaker, step: Step, truth: ModulationTruth) => void) => {
      const step = firstStepAt(stationId, set, taker)
      if (step) read(taker, step, truth)
    }
    at(DEVIATION_ID, readDeviation)
    at(FREQUENCY_ID, readFrequency)
    at(BANDWIDTH_ID, readBandwidth)
  }
}

function readDeviation(taker: DemoTaker, step: Step, { deviationHz }: ModulationTruth): void {
  const { tone, loudest, squelch } = deviationHz
  const curveId = taker.curve(
    step,
    'deviation',
    deviationOverTime(tone, loudest),
    'Ten seconds: 1 kHz, then voice.',
  )
  const said = (value: number, standardUncertainty: number): ShownFigure => ({
    text: `${(value / 1e3).toFixed(2)} kHz`,
    value,
    unit: 'Hz',
    standardUncertainty,
    method: 'From the demo’s known truth; channel filter ±15 kHz, audio low-pass 15 kHz.',
    curveId,
  })
  taker.figure(step, 'tone', said(tone, 4))
  taker.figure(step, 'loudest', said(loudest, 15))
  if (squelch > 0) taker.figure(step, 'tone-squelch', said(squelch, 3))
}

function readFrequency(taker: DemoTaker, step: Step, { errorHz }: ModulationTruth): void {
  for (const moment of ['cold', 'warm'] as const) {
    const value = step.channel.frequencyHz + errorHz[moment]
    taker.figure(step, moment, { text: `${(value / 1e6).toFixed(6)} MHz`, value, unit: 'Hz', resolution: 1 })
  }
}

function readBandwidth(taker: DemoTaker, step: Step, { bandwidth }: ModulationTruth): void {
  const { occupiedHz, lowerDbc, upperDbc } = bandwidth
  const curveId = taker.curve(
    step,
    'spectrum',
    modulatedSpectrum(step.channel.frequencyHz, { lowerDbc, upperDbc }),
    '938 frames of 2048 samples, 4-term Blackman–Harris window, half overlapping; resolution bandwidth 94.0 Hz.',
  )
  const method = 'From the demo’s known truth; 4-term Blackman–Harris window, resolution bandwidth 94 Hz.'
  taker.figure(step, 'obw', {
    text: `${(occupiedHz / 1e3).toFixed(2)} kHz`,
    value: occupiedHz,
    unit: 'Hz',
    standardUncertainty: 38,
    method,
    curveId,
  })
  const ratios = {
    'acp-lower-1': lowerDbc,
    'acp-upper-1': upperDbc,
    'acp-lower-2': lowerDbc - 9,
    'acp-upper-2': upperDbc - 9.4,
  }
  for (const [slot, value] of Object.entries(ratios))
    taker.figure(step, slot, {
      text: decibelText(value),
      value,
      unit: 'dB',
      standardUncertainty: 0.05,
      method,
      curveId,
    })
}
