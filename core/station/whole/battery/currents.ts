import type { Context } from '../../../context'
import { figureIn } from '../../../judging'
import type { FigureReading } from '../../../review'
import type { Slot, Step } from '../../../step'
import type { Rounded, StateCurrents } from './life'

/** The currents of a step, as far as they were read. */
export interface ReadCurrents {
  standby: FigureReading | null
  squelched: FigureReading | null
  audio: FigureReading | null
  /** By level, strongest claim first as the card has them. */
  transmit: { slotId: string; levelId: string; label: string; reading: FigureReading }[]
}

/** What was read of the currents. */
export function readCurrents(step: Step, context: Context): ReadCurrents {
  const read = (slot: Pick<Slot, 'id'>) => figureIn(step, slot, context)
  return {
    standby: read({ id: 'standby' }),
    squelched: read({ id: 'squelched' }),
    audio: read({ id: 'audio' }),
    transmit: step.slots.flatMap(slot => {
      const reading = slot.kind.is === 'transmit' ? read(slot) : null
      return reading
        ? [{ slotId: slot.id, levelId: String(slot.kind.levelId), label: slot.label, reading }]
        : []
    }),
  }
}

/** What a life is worked out from, and which reading stands for waiting; null where one is missing. */
export function stateCurrents(
  step: Step,
  { standby, squelched, audio, transmit }: ReadCurrents,
): {
  currents: StateCurrents
  keyed: ReadCurrents['transmit'][number]
  saver: boolean
  latest: FigureReading
} | null {
  const keyed = transmit.find(({ levelId }) => levelId === step.setting.level.id) ?? transmit[0]
  const waits = standby ?? squelched
  if (!keyed || !audio || !waits) return null
  const latest = [keyed.reading, audio, waits].reduce((a, b) => (b.at > a.at ? b : a))
  return {
    currents: { transmit: rounded(keyed.reading), audio: rounded(audio), waits: rounded(waits) },
    keyed,
    saver: standby !== null,
    latest,
  }
}

function rounded({ seen }: FigureReading): Rounded {
  return { value: seen.value, halfDigit: seen.resolution / 2 }
}
