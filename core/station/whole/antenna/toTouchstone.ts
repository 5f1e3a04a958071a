import type { Context } from '../../../context'
import { writeTouchstone } from '../../../format'
import { setName } from '../../../review'
import type { Step } from '../../../step'
import { antennaAt } from './evaluate'
import { matchesOf } from './match'

/** The matches of a step as a Touchstone file; null where none was read. */
export function touchstoneOf(step: Step, context: Context): string | null {
  const matches = matchesOf(step, context)
  if (matches.length === 0) return null
  const held = antennaAt(step, context)?.held
  return writeTouchstone(
    matches.map(({ channel, reflection }) => ({ frequencyHz: channel.frequencyHz, reflection })),
    [
      `${setName(step.set)}, ${step.variant?.title ?? 'antenna'}, ${step.band.name}`,
      held ? `Held: ${held}` : 'Nobody said how it was held',
      `Read ${matches.at(-1)!.reading.at.slice(0, 10)}`,
    ],
  )
}
