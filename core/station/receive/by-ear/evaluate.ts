import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  NOTHING,
  observedWords,
  openSlot,
  type StationAnswer,
} from '../../../judging'
import { printNumber } from '../../../quantity'
import { type ClipHead, type RadioSet, setShortName } from '../../../review'
import type { Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { type BlindScore, blindScore } from './blind'
import { CLIPS_SLOT, planByEar } from './plan'

/** A choice that guessing brings about more often than this says nothing (common practice, no source). */
const CHANCE_THAT_SAYS_NOTHING = 0.05

/** Works out one set: its clips, and what listeners chose blind. */
export const evaluateByEar = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    summary: slots => {
      const told = slots.filter(({ slot, state }) => slot.kind.is === 'blind' && state === 'read')
      const said = told.length > 0 ? told : slots.filter(({ state }) => state === 'read')
      return said.length > 0
        ? {
            verdict: verdictWithout('observation', null),
            words: said.map(({ slot, words }) => sentence(slot, words, context)).join('; '),
          }
        : null
    },
  })
})

/** A row in a sentence: which radio it was set against, and what was chosen. */
function sentence({ kind }: Slot, words: string, { review }: Context): string {
  const other = kind.is === 'blind' ? review.sets.find(({ id }) => id === kind.setId) : undefined
  return other ? `Against ${setShortName(other)}: ${words}` : words
}

/** The clips of a step. */
export function clipsOf(step: Pick<Step, 'id' | 'set'>, context: Context): ClipHead[] {
  return context.review.clips.filter(({ setId, stepId }) => setId === step.set.id && stepId === step.id)
}

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  switch (slot.kind.is) {
    case 'clips':
      return clipsResult(step, slot, context)
    case 'blind':
      return blindResult(step, slot, context)
    default:
      return observedWords(step, slot, context)
  }
}

function clipsResult(step: Step, slot: Slot, context: Context): SlotResult {
  const clips = clipsOf(step, context)
  if (clips.length === 0) return openDerived(slot, 'No clip yet', 'Record one, or bring in a WAV file.')
  const seconds = clips.reduce((sum, clip) => sum + clip.seconds, 0)
  return heard(slot, {
    words: `${clips.length} ${clips.length === 1 ? 'clip' : 'clips'}, ${Math.round(seconds)} s`,
    notes: clips.map(clipWords),
  })
}

/** A clip in one line: what it lets hear, for how long, how loud. */
export function clipWords({ sounds, words, name, seconds, loudnessLufs }: ClipHead): string {
  const what = sounds === 'heard' ? 'What it hears' : 'How it sounds on the air'
  const loud = loudnessLufs === null ? 'too soft to say how loud' : `${printNumber(loudnessLufs)} LUFS`
  return `${what}: ${words || name}, ${seconds.toFixed(1)} s, ${loud}.`
}

function blindResult(step: Step, slot: Slot, context: Context): SlotResult {
  const score = blindScore(step.set.id, String(slot.kind.setId), context)
  if (!score) return openDerived(slot, 'Not compared', 'Listen blind: two clips, of one radio each.')
  return heard(slot, { words: scoreWords(score), notes: scoreNotes(score) })
}

function scoreWords({ preferred, other, same }: BlindScore): string {
  const all = preferred + other + same
  if (all === 1 && same === 0) return preferred === 1 ? 'preferred, once' : 'the other preferred, once'
  return `preferred in ${preferred} of ${all}${same > 0 ? `, no difference in ${same}` : ''}`
}

function scoreNotes({ preferred, other, listeners, byChance }: BlindScore): string[] {
  const chosen = preferred + other
  const who = listeners === 1 ? 'One listener' : `${listeners} listeners`
  return [
    `${who}, without knowing which was which, both clips at the same loudness. An observation, not a verdict.`,
    ...(chosen === 0
      ? []
      : [
          byChance > CHANCE_THAT_SAYS_NOTHING
            ? `Guessing alone would divide ${chosen} ${chosen === 1 ? 'choice' : 'choices'} as ` +
              `unevenly in ${percent(byChance)} of cases: this says little.`
            : `Guessing alone would divide ${chosen} choices as unevenly in only ${percent(byChance)} of cases.`,
        ]),
  ]
}

/** What it rests on. */
const BY_EAR = 'By ear, at one loudness; not a verdict.'

const percent = (share: number): string => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`

function heard(slot: Slot, said: { words: string; notes: string[] }): SlotResult {
  return { ...NOTHING, slot, state: 'read', verdict: verdictWithout('observation', BY_EAR), ...said }
}

/** Sums up one set: what listeners chose, else what there is to listen to. */
export function answerByEar(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planByEar(set, context).map(step => evaluateByEar(step, context))
  const answer = answerSteps(results, {
    without: 'Nothing is planned for this set.',
    lead: CLIPS_SLOT,
  })
  const [result] = results
  return result && answer.gap === null ? { ...answer, words: result.words } : answer
}
