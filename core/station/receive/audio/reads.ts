import type { Context } from '../../../context'
import type { Slot, Step } from '../../../step'
import { nextOpen } from '../../nextRead'
import type { RadioAs } from '../../radioAs'
import type { GeneratorSet, ReadAction } from '../../readAction'
import { generatorAt } from '../generatorGuard'
import { generatorSet } from '../generatorSet'
import { AUDIO, GENERATOR } from '../paths'
import { REFERENCE_HZ, STRONG_DBM } from './plan'

/** How volts of a slot are read: what the volume is at, and the tone at the generator, Hz; none is a plain carrier. */
interface Heard {
  radio: RadioAs
  toneHz: number | null
}

function heardAt({ kind }: Slot): Heard | null {
  switch (kind.is) {
    case 'rated-v':
      return { radio: 'rated-volume', toneHz: REFERENCE_HZ }
    case 'tone-v':
      return { radio: 'squelch-open', toneHz: REFERENCE_HZ }
    case 'quiet-v':
      return { radio: 'squelch-open', toneHz: null }
    case 'response':
      return { radio: 'squelch-open', toneHz: Number(kind.hz) }
    default:
      return null
  }
}

/** Volts at a strong signal: at the rated distortion, with the tone and without, and over the tones of the response. */
export function readsAudio(step: Step, context: Context): ReadAction | null {
  if (step.band.mode !== 'FM') return null
  const open = nextOpen(step, context, slot => heardAt(slot) !== null)
  const heard = open && heardAt(open)
  const way = generatorAt(step, GENERATOR, step.channel.frequencyHz, context)
  if (!open || !heard || !way) return null
  const levelDbm = Number(Math.min(STRONG_DBM + way.lossDb, way.generator.highestDbm).toFixed(1))
  const { frequencyHz } = step.channel
  const strong = generatorSet(step, { role: GENERATOR, frequencyHz, levelDbm }, heard.toneHz ?? REFERENCE_HZ)
  const set: GeneratorSet = heard.toneHz === null ? { ...strong, deviationHz: 0 } : strong
  return { is: 'volts', slotId: open.id, radio: heard.radio, role: AUDIO, set: [set] }
}
