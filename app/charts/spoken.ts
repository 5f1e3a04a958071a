import { isRead, type StepResult } from '#core/step'

/** What a drawing says to those who cannot see it: its subject, and every figure with its words. */
export function spokenFigures(subject: string, { slots }: StepResult): string {
  const figures = slots.filter(isRead).map(({ slot, words }) => `${slot.label}: ${words}`)
  return `${subject}. ${figures.join('; ') || 'Nothing read yet.'}`
}
