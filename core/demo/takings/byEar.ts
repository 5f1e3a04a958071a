import { BY_EAR_ID, type BlindRound } from '../../station'
import { type SimulatedVoice } from '../../virtual'
import { type DemoTaking, firstStepAt } from './taking'

/** How three radios sound, invented: the Mini hisses and is dull. */
const VOICES: Readonly<Record<string, Omit<SimulatedVoice, 'sampleRateHz' | 'seconds'>>> = {
  'trek-a': { signalToNoiseDb: 26, toHz: 2800, peak: 0.6, seed: 1 },
  mini: { signalToNoiseDb: 12, toHz: 1500, peak: 0.85, seed: 2 },
  c1: { signalToNoiseDb: 30, toHz: 3000, peak: 0.5, seed: 3 },
}

/** Loudness of each as ITU-R BS.1770 has it, LUFS: worked out once by the library, and held against it in a test. */
const LOUDNESS_LUFS: Readonly<Record<string, number>> = { 'trek-a': -16.1, mini: -12.4, c1: -17.7 }

const WORDS = 'four vowels, a man’s voice, strong signal'
const SOUND: Readonly<Record<string, string>> = {
  mini: 'dull, hisses in the pauses',
  c1: 'clear, a little bright',
}

/** Clips of three radios, and what two listeners chose blind. */
export const takeByEar: DemoTaking = (taker, sets) => {
  for (const set of sets) {
    const step = firstStepAt(BY_EAR_ID, set, taker)
    const voice = VOICES[set.id]
    if (!step || !voice) continue
    taker.clip(step, voice, { words: WORDS, loudnessLufs: LOUDNESS_LUFS[set.id]! })
    if (SOUND[set.id]) taker.figure(step, 'sound', { text: SOUND[set.id]!, value: 1, unit: 'words' })
  }
}

const CHOSEN: readonly (readonly [who: string, choice: BlindRound['choice']])[] = [
  ['Demo bench', 'other'],
  ['Demo bench', 'other'],
  ['Demo bench', 'other'],
  ['second pair of ears', 'other'],
  ['second pair of ears', 'same'],
  ['second pair of ears', 'other'],
  ['second pair of ears', 'other'],
]

/** Rounds between the Mini and the control radio. */
export const DEMO_BLIND_ROUNDS: Readonly<Record<string, { rounds: BlindRound[] }>> = {
  mini: {
    rounds: CHOSEN.map(([who, choice], i) => ({
      ...{ id: `round-${i + 1}`, at: '2026-11-14T16:00:00.000Z', who, choice },
      ...{ otherSetId: 'c1', clipId: 'clip-mini', otherClipId: 'clip-c1' },
      first: i % 2 === 0 ? 'this' : 'other',
    })),
  },
}
