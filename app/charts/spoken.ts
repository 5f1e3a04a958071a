import { printDb } from '#core/quantity'
import { isRead, type StepResult } from '#core/step'

/** What a drawing says to those who cannot see it: its subject, and every figure with its words. */
export function spokenFigures(subject: string, { slots }: StepResult): string {
  const figures = slots.filter(isRead).map(({ slot, words }) => `${slot.label}: ${words}`)
  return `${subject}. ${figures.join('; ') || 'Nothing read yet.'}`
}

/** What a ratio that is drawn says: its place, and whether it is only known to be at least that. */
export interface SpokenRatio {
  name: string
  ratioDb: number
  isLowerBound: boolean
}

export function spokenRatios(ratios: readonly SpokenRatio[]): string {
  return ratios
    .map(
      ({ name, ratioDb, isLowerBound }) => `${name}: ${isLowerBound ? 'at least ' : ''}${printDb(ratioDb)}`,
    )
    .join('; ')
}
