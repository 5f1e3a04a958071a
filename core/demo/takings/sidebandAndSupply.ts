import { dbmFromWatts } from '../../quantity'
import { CARRIER_POWER_ID, TWO_TONE_ID } from '../../station'
import { twoToneSpectrum } from '../demoCurves'
import { decibelText } from '../shownLevel'
import { type DemoTaking, firstStepAt, stepsAt } from './taking'

const SIDEBAND_SET = 'tarnwick'
const SUPPLIED_SET = 'pellworth'
const PEAK_W = 10.9
const MEAN_W = 5.3
const PRODUCTS_DB = { imd3: 27.4, imd5: 38.6, imd7: 45.1, imbalance: -0.2 }

/** Two tones through the one radio with a sideband. */
export const takeTwoTone: DemoTaking = (taker, sets) => {
  const set = sets.find(({ id }) => id === SIDEBAND_SET)
  const step = set && firstStepAt(TWO_TONE_ID, set, taker)
  if (!step) return
  taker.level(step, 'pep', { radio: 'keyed', makesDbm: dbmFromWatts(PEAK_W) })
  taker.level(step, 'mean', { radio: 'keyed', makesDbm: dbmFromWatts(MEAN_W) })
  const curveId = taker.curve(
    step,
    'spectrum',
    twoToneSpectrum(step.channel.frequencyHz),
    '140 frames of 16384 samples, 4-term Blackman–Harris window, half overlapping; resolution bandwidth 5.9 Hz.',
  )
  for (const [slot, value] of Object.entries(PRODUCTS_DB))
    taker.figure(step, slot, {
      text: decibelText(value),
      value,
      unit: 'dB',
      standardUncertainty: 0.05,
      method: 'From the demo’s known truth; 700 and 1900 Hz, 4-term Blackman–Harris window.',
      curveId,
    })
}

/** Supply voltage and current of a mobile, at one channel. */
export const takeSupply: DemoTaking = (taker, sets) => {
  const set = sets.find(({ id }) => id === SUPPLIED_SET)
  const step = set && stepsAt(CARRIER_POWER_ID, set, taker)[1]
  if (!step) return
  const keyed = { radio: 'keyed' } as const
  for (const [slot, unit, phrase] of [
    ['supply-v', 'V', 'read-volts'],
    ['supply-a', 'A', 'read-amperes'],
  ] as const) {
    const value = Number(taker.stand.askKind(step, 'supply', { does: keyed, phrase }).toFixed(1))
    taker.figure(step, slot, { text: `${value}`, value, unit, resolution: 0.1 })
  }
}
