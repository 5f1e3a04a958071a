import Joi from 'joi'
import { spacingOf } from '../../../band'
import { type Context, perRadio } from '../../../context'
import { criteriaOf, figureName, testDeviationHz } from '../../../hearing'
import { printFrequencyShort } from '../../../quantity'
import type { RadioSet } from '../../../review'
import { AUDIO_FILTERS, type AudioFilter, type AudioWeighting, SINAD_DEFAULTS } from '../../../signal'
import {
  type AppliedField,
  type LevelGuard,
  type PlannedHere,
  planSteps,
  type Slot,
  type Step,
  type StepPlace,
} from '../../../step'
import { guardOf } from '../generatorGuard'
import { AUDIO, GENERATOR, ONE_SIGNAL } from '../paths'
import { HEARING_CAUTIONS, HEARING_SETTINGS, SQUELCH_OPEN } from '../receiveSettings'
import { reversePowerLocks } from '../reversePower'

/** Identity of the station, as readings are stored under it. */
export const SENSITIVITY_ID = 'sensitivity'

/** The highest level at the radio this station ever needs, dBm. */
const HIGHEST_DBM = -60

/** Points that can be read at one place. */
const MOST_POINTS = 40

/** Offsets at which the receiver’s own middle is looked for, Hz. */
export const OFFSETS_HZ = [-1000, -500, 0, 500, 1000] as const

/** What the station keeps for the whole review: how the audio is weighted. */
export interface SensitivityMemo {
  filter: AudioFilter
  /** De-emphasis put in front of the reading, µs; null where the radio has its own. */
  deEmphasisUs: number | null
}

/** Time constants that are offered, µs: land mobile FM, and the two of broadcasting (common practice, no source). */
export const DE_EMPHASES_US = [750, 75, 50] as const

/** Schema of what the station keeps. */
export const sensitivityMemoSchema = Joi.object<SensitivityMemo>({
  filter: Joi.valid(...AUDIO_FILTERS).required(),
  deEmphasisUs: Joi.number().min(1).max(5000).allow(null).default(null),
})

/** The weighting of the review; 300 Hz to 3 kHz and no de-emphasis where nobody chose. */
export function hearingWeighting(context: Context): AudioWeighting {
  const { error, value } = sensitivityMemoSchema.validate(context.memo(SENSITIVITY_ID))
  if (error || !value) return SINAD_DEFAULTS.weighting
  return { filter: value.filter, deEmphasisS: value.deEmphasisUs === null ? null : value.deEmphasisUs / 1e6 }
}

/** One step a channel and channel spacing: points on the curve, and the marks worked out from them. */
export const planSensitivity = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: SENSITIVITY_ID,
    roles: ONE_SIGNAL,
    level: 'lowest',
    keyed: null,
    durationS: 360,
    perSpacing: true,
    slots: (place, _isFirst, here) => slotsOf(place, here, context),
    interlocks: (place, here) =>
      reversePowerLocks({ ...place, set: here.set }, here.chains, [GENERATOR], context),
    instruction: place => instructionOf(place),
    radioSettings: [...HEARING_SETTINGS, SQUELCH_OPEN],
    cautions: HEARING_CAUTIONS,
  })
})

function instructionOf({ band }: StepPlace): string {
  const spacing = spacingOf(band)
  return band.mode === 'FM'
    ? `1 kHz tone at ${printFrequencyShort(testDeviationHz(spacing))} deviation. Set the generator, ` +
        'read SINAD, keep; the next level is proposed.'
    : '1 kHz at 30 %, on and off: read (S+N)/N at each level; the next level is proposed.'
}

function slotsOf(place: StepPlace, here: PlannedHere, context: Context): Slot[] {
  const { band, channel } = place
  const { frequencyHz } = channel
  const guard = guardOf(here, GENERATOR, { frequencyHz, highestAtSocketDbm: HIGHEST_DBM }, context)
  const marks = criteriaOf(band).map(({ id, title, optional }): Slot => ({
    id,
    kind: { is: 'criterion', criterion: id },
    label: title,
    frequencyHz,
    field: { as: 'derived' },
    role: null,
    optional,
  }))
  const shared = { name: figureName(band), guard }
  return [
    ...marks,
    ...pointSlots(here, { ...shared, frequencyHz }, context),
    ...OFFSETS_HZ.map(hz => offsetSlot(hz, { ...shared, frequencyHz })),
    leakSlot({ ...shared, frequencyHz }),
    levelSlot('quieting-20', '20 dB quieting', { guard, frequencyHz }),
    levelSlot('by-ear', 'By ear: hiss begins to crackle', { guard, frequencyHz }),
  ]
}

interface Shared {
  name: string
  guard: LevelGuard
  frequencyHz: number
}

/** Every point that was read, and the next one. */
function pointSlots({ set, id }: PlannedHere, shared: Shared, context: Context): Slot[] {
  const standing = context.readingsOf({ set, id })
  const read = [...standing.keys()].flatMap(slot => numberOf(slot) ?? [])
  const count = Math.min(MOST_POINTS, Math.max(0, ...read) + 1)
  return Array.from({ length: count }, (_unused, i): Slot => {
    const n = i + 1
    return {
      id: `p${n}`,
      kind: { is: 'point', n },
      label: `${shared.name} ${n}`,
      frequencyHz: shared.frequencyHz,
      field: SINAD_FIELD,
      role: AUDIO,
      applied: [generatorField(shared, shared.frequencyHz)],
      optional: true,
    }
  })
}

/** Number of a point by its slot’s id; null for another slot. */
function numberOf(slotId: string): number | null {
  const found = /^p(\d+)$/.exec(slotId)
  return found ? Number(found[1]) : null
}

const SINAD_FIELD: Slot['field'] = { as: 'figure', unit: 'dB', min: -10, max: 80, placeholder: 'dB' }

function generatorField({ guard }: Pick<Shared, 'guard'>, frequencyHz: number): AppliedField {
  return { role: GENERATOR, label: 'Generator', guard, frequencyHz, proposedDbm: null }
}

function offsetSlot(hz: number, shared: Shared): Slot {
  const sign = hz > 0 ? '+' : '−'
  const offset = hz === 0 ? 'on the channel' : `${sign}${printFrequencyShort(Math.abs(hz))}`
  return {
    id: `f${hz}`,
    kind: { is: 'offset', hz },
    label: `On frequency? ${offset}`,
    frequencyHz: shared.frequencyHz + hz,
    field: SINAD_FIELD,
    role: AUDIO,
    applied: [generatorField(shared, shared.frequencyHz + hz)],
    optional: true,
  }
}

function leakSlot(shared: Shared): Slot {
  return {
    id: 'leak',
    kind: { is: 'leak' },
    label: 'Leak check: cable off, laid beside',
    frequencyHz: shared.frequencyHz,
    field: SINAD_FIELD,
    role: AUDIO,
    applied: [generatorField(shared, shared.frequencyHz)],
    optional: true,
  }
}

function levelSlot(
  id: string,
  label: string,
  { guard, frequencyHz }: Pick<Shared, 'guard' | 'frequencyHz'>,
): Slot {
  return {
    id,
    kind: { is: id },
    label,
    frequencyHz,
    field: { as: 'level', guard },
    role: GENERATOR,
    optional: true,
  }
}
