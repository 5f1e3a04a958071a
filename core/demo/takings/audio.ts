import { printNumber } from '../../quantity'
import { AUDIO, AUDIO_ID, GENERATOR, generatorSet, type RadioAs } from '../../station'
import { type DemoTaking, firstStepAt } from './taking'

/** A strong signal, dBm on the generator. */
const STRONG_DBM = -46
/** Which volts are read: the volume, and the tone at the generator, Hz; none is a plain carrier. */
const VOLTS: readonly (readonly [slot: string, radio: RadioAs, toneHz: number | null])[] = [
  ['rated-v', 'rated-volume', 1000],
  ['tone-v', 'squelch-open', 1000],
  ['quiet-v', 'squelch-open', null],
  ...[300, 500, 1000, 2000, 3000].map(hz => [`response-${hz}`, 'squelch-open', hz] as const),
]

/** What comes out of one radio’s speaker socket. */
export const takeAudio: DemoTaking = (taker, sets) => {
  const set = sets.find(({ id }) => id === 'trek-a')
  const step = set && firstStepAt(AUDIO_ID, set, taker)
  if (!step) return
  taker.figure(step, 'load', { text: '8', value: 8, unit: 'Ω', resolution: 0.1 })
  taker.figure(step, 'claim-thd', { text: '12', value: 12, unit: '%', resolution: 1 })
  const { frequencyHz } = step.channel
  const strong = generatorSet(step, { role: GENERATOR, frequencyHz, levelDbm: STRONG_DBM })
  for (const [slot, radio, toneHz] of VOLTS) {
    taker.stand.turn(step, toneHz === null ? { ...strong, deviationHz: 0 } : { ...strong, toneHz })
    const [seen = 0] = taker.stand.askAt(step, AUDIO, { does: { radio }, phrase: 'read-volts' })
    const decimals = seen < 0.1 ? 4 : 3
    const value = Number(seen.toFixed(decimals))
    const text = printNumber(value, decimals)
    taker.figure(step, slot, { text, value, unit: 'V', resolution: 10 ** -decimals })
  }
}
