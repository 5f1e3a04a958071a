import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import { claimsFor } from '../../../hearing'
import { evaluateSlots, figureIn, NOTHING, observedFigure, observedLevel, openSlot } from '../../../judging'
import { printDb, printDbm, printSigned } from '../../../quantity'
import type { Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import { judgedDerived, openDerived } from '../../derivedResult'
import { asLowerBound, ceilingWords } from '../lowerBound'
import { blockingRatios, leastOf, strongRatio } from './blocking'
import { referenceMoved, survivalOf } from './survival'

/** Works out one step: blocking at each offset, the least of it, and whether the set survived. */
export const evaluateStrongSignals = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: () => questionsOf(step, context),
    summary: slots => {
      const [first] = slots.filter(({ slot, state }) => slot.field.as === 'derived' && state === 'read')
      return first ? { verdict: first.verdict, words: first.words } : null
    },
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'blocking':
      return blockingResult(step, slot, context)
    case 'survival':
      return survivalResult(step, slot, context)
    case 'block':
    case 'spurious':
    case 'intermodulation':
      return ratioResult(step, slot, context)
    case 'hit':
    case 'reference': {
      const figure = figureIn(step, slot, context)
      if (!figure || (slot.kind.is === 'hit' && figure.seen.value === 0)) return openSlot(step, slot, context)
      const words = slot.kind.is === 'hit' ? `done ${figure.at.slice(0, 10)}` : figure.text
      return observedFigure(slot, figure, { words }, context)
    }
    default:
      return observedLevel(step, slot, ({ value }) => `${printDbm(value)} at the socket`, context)
  }
}

function ratioResult(step: Step, slot: Slot, context: Context): SlotResult {
  const ratio = strongRatio(step, slot, context)
  const words = ratio
    ? `${ratio.ceiling.isLowerBound ? 'at least ' : ''}${printDb(ratio.found.value)} above the 12 dB level`
    : 'not worked out'
  return observedLevel(step, slot, () => words, context)
}

function blockingResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const ratios = blockingRatios(step, context)
  const least = leastOf(ratios)
  if (!least)
    return openDerived(slot, 'Not measured', 'A plain carrier 1 MHz away on either side, until 12 dB SINAD.')
  const reading = context.readingsOf(step).get(least.slot.id) ?? null
  const result = judgedDerived(
    step,
    {
      slot,
      found: least.found,
      reading,
      notes: [
        `The least of ${ratios.length} offsets, at ${printSigned(least.offsetHz / 1e6, 0)} MHz.`,
        ...(least.ceiling.isLowerBound ? [] : [ceilingWords(least.ceiling)]),
      ],
    },
    {
      claim: claimsFor(step.band, 'blocking', step.band.channelSpacingHz),
      subject: { about: 'blocking', method: 'tia-603' },
      wordsWithout: `${printDb(least.found.value)} at ${printSigned(least.offsetHz / 1e6, 0)} MHz`,
    },
    context,
  )
  return least.ceiling.isLowerBound ? asLowerBound(result, least) : result
}

function survivalResult(step: Step, slot: Slot, context: Context): SlotResult {
  const survival = survivalOf(step, context)
  if (!survival)
    return openDerived(slot, 'Not measured', 'The 12 dB level before and after, three times each.')
  const through = survival.mostDbm === null ? '' : `${printDbm(survival.mostDbm, 0)}: `
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: survival.reading,
    found: survival.found,
    verdict: verdictWithout('observation', null),
    words: `${through}${survival.words}`,
    notes: [
      `Mean of ${survival.before.length} before and ${survival.after.length} after; ` +
        'generator and path are the same and cancel.',
    ],
  }
}

function questionsOf(step: Step, context: Context): Question[] {
  const moved = referenceMoved(step, context)
  return moved === null
    ? []
    : [
        {
          slotId: 'reference-after',
          words:
            `The reference reading moved by ${printSigned(moved, 1)} dB: generator, ` +
            'cable or meter are not as before. Read before and after again.',
        },
      ]
}
