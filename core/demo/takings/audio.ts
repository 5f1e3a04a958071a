import { printNumber } from '../../quantity'
import { AUDIO_ID } from '../../station'
import { type DemoTaking, firstStepAt } from './taking'

/** Volts across the load, invented: by slot. */
const VOLTS: Readonly<Record<string, number>> = {
  'rated-v': 1.87,
  'tone-v': 0.62,
  'quiet-v': 0.0071,
  'response-300': 1.58,
  'response-500': 1.09,
  'response-1000': 0.62,
  'response-2000': 0.298,
  'response-3000': 0.176,
}

/** What comes out of one radio’s speaker socket. */
export const takeAudio: DemoTaking = (taker, sets) => {
  const set = sets.find(({ id }) => id === 'trek-a')
  const step = set && firstStepAt(AUDIO_ID, set, taker)
  if (!step) return
  taker.figure(step, 'load', { text: '8', value: 8, unit: 'Ω', resolution: 0.1 })
  taker.figure(step, 'claim-thd', { text: '12', value: 12, unit: '%', resolution: 1 })
  for (const [slot, value] of Object.entries(VOLTS)) {
    const decimals = value < 0.1 ? 4 : 3
    const text = printNumber(value, decimals)
    taker.figure(step, slot, { text, value, unit: 'V', resolution: 10 ** -decimals })
  }
}
