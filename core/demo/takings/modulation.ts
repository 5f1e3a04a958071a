import { BANDWIDTH_ID, DEVIATION_ID, FREQUENCY_ID, type RadioAs } from '../../station'
import type { Step } from '../../step'
import { deviationOverTime, modulatedSpectrum } from '../demoCurves'
import type { DemoTaker, ShownFigure } from '../demoTaker'
import { decibelText } from '../shownLevel'
import { type ModulationTruth, modulationTruth } from '../truth/modulation'
import { type DemoTaking, firstStepAt } from './taking'

/** Deviation, frequency error and bandwidth, on the first channel of each radio. */
export const takeModulation: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const truth = modulationTruth[set.id]
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
  const swing = (radio: RadioAs) => {
    const { frequencyHz } = step.channel
    const asked = { does: { radio }, phrase: 'read-deviation', values: { frequencyHz } } as const
    return Math.round(taker.stand.askKind(step, 'modulation-analyser', asked))
  }
  const [tone, loudest] = [swing('keyed-with-tone'), swing('keyed-loudest')]
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
    method: 'From the virtual bench; channel filter ±15 kHz, audio low-pass 15 kHz.',
    curveId,
  })
  taker.figure(step, 'tone', said(tone, 4))
  taker.figure(step, 'loudest', said(loudest, 15))
  if (deviationHz.squelch > 0) taker.figure(step, 'tone-squelch', said(swing('keyed'), 3))
}

/** Cold: as soon as it is keyed; warm: after it was kept so. */
const KEYED_FOR_S = { cold: 0, warm: 300 } as const

function readFrequency(taker: DemoTaker, step: Step): void {
  for (const moment of ['cold', 'warm'] as const) {
    const does = { radio: 'keyed', forS: KEYED_FOR_S[moment] } as const
    const value = taker.stand.askKind(step, 'counter', { does, phrase: 'read-frequency' })
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
