import type { Context } from '../context'
import { type RadioSet, type RadioWork, stepKey } from '../review'
import type { RadioSetting, Step } from '../step'

/** What is seen to when a radio goes over from transmitting to receiving, or back: a step of its own. */
export interface GoingOver {
  set: RadioSet
  to: RadioWork
  title: string
  lines: readonly RadioSetting[]
}

const TO_HEARS: readonly RadioSetting[] = [
  { id: 'meters-off', words: 'Power meter, analyser and load are off the radio’s socket' },
  { id: 'microphone', words: 'Microphone unplugged' },
  { id: 'ptt', words: 'Push-to-talk blocked: taped, or the key taken out of the menu' },
  { id: 'lowest', words: 'Generator at its lowest level before it is connected' },
  { id: 'pads', words: 'Pads stand at the generator’s socket, as the bench says' },
  { id: 'vox', words: 'Voice control (VOX) off: the tone from the speaker would key it' },
]

const TO_TRANSMITS: readonly RadioSetting[] = [
  { id: 'generators-off', words: 'Every generator is off the radio’s socket, its output off' },
  { id: 'load-on', words: 'The chain for transmitting is on, with its pads and its load' },
  { id: 'talk', words: 'Microphone and push-to-talk back' },
]

/** What a radio was last made ready for: to transmit, where nobody said. */
export function readyWork(set: Pick<RadioSet, 'readyFor'>): RadioWork {
  return set.readyFor?.work ?? 'transmits'
}

/**
 * The going over a step needs before it: where the radio’s socket was last made ready for the other work. null
 * where it stands ready.
 */
export function goingOverBefore({ set, work }: Pick<Step, 'set' | 'work'>): GoingOver | null {
  return readyWork(set) === work ? null : goingOverTo(set, work)
}

/** The going over of a radio to a work. */
export function goingOverTo(set: RadioSet, to: RadioWork): GoingOver {
  return to === 'hears'
    ? { set, to, title: 'Going over to receiving', lines: TO_HEARS }
    : { set, to, title: 'Going over to transmitting', lines: TO_TRANSMITS }
}

/** Where a run goes over, by the index of the step that comes after it. */
export function goingOversIn(steps: readonly Step[]): Map<number, GoingOver> {
  const at = new Map<string, RadioWork>()
  const found = new Map<number, GoingOver>()
  for (const [index, step] of steps.entries()) {
    const before = at.get(step.set.id) ?? 'transmits'
    if (before !== step.work) found.set(index, goingOverTo(step.set, step.work))
    at.set(step.set.id, step.work)
  }
  return found
}

/** Lines of a step that must be ticked before anything is read, and are not. */
export function openInterlocks(step: Step, context: Context): RadioSetting[] {
  const ticked = context.review.ticks[stepKey(step.set.id, step.id)] ?? []
  return step.interlocks.filter(({ id }) => !ticked.includes(id))
}
