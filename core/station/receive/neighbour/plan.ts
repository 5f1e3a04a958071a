import { spacingOf } from '../../../band'
import { type Context, perRadio } from '../../../context'
import { printFrequencyShort } from '../../../quantity'
import type { RadioSet } from '../../../review'
import {
  type AppliedField,
  type PlannedHere,
  planSteps,
  type Slot,
  type Step,
  type StepPlace,
} from '../../../step'
import { guardOf } from '../generatorGuard'
import { GENERATOR, INTERFERER, TWO_SIGNALS } from '../paths'
import { HEARING_CAUTIONS, HEARING_SETTINGS, SQUELCH_OPEN } from '../receiveSettings'
import { reversePowerLocks } from '../reversePower'
import { tunedHzAt } from '../twelveDecibelLevel'

/** Identity of the station, as readings are stored under it. */
export const NEIGHBOUR_ID = 'neighbour'

const WANTED_HIGHEST_DBM = -60
const INTERFERER_HIGHEST_DBM = 0

/** The two sides of a channel. */
export const SIDES = [
  { id: 'lower', sign: -1, title: 'channel below' },
  { id: 'upper', sign: 1, title: 'channel above' },
] as const
/** A side of the channel. */
export type Side = (typeof SIDES)[number]['id']

/** How rejection is measured with two generators: two quantities, never compared. */
export const SCHOOLS = {
  tia: { title: 'TIA-603', wanted: 'the 12 dB level + 3 dB', until: '12 dB SINAD', method: 'tia-603' },
  en: {
    title: 'EN 300 086',
    wanted: '−107 dBm (+6 dBµV emf)',
    until: '14 dB psophometric',
    method: 'en-300-086',
  },
} as const
/** A school of two generators. */
export type School = keyof typeof SCHOOLS

/** Wanted level of EN 300 086, dBm: +6 dBµV emf (from memory). */
export const EN_WANTED_DBM = -107

/** Wanted signal above its 12 dB level in TIA-603, dB (from memory). */
export const TIA_ABOVE_DB = 3

/** One step a channel and channel spacing: both sides by two generators, and by one where that is all there is. */
export const planNeighbour = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: NEIGHBOUR_ID,
    roles: TWO_SIGNALS,
    level: 'lowest',
    keyed: null,
    durationS: 420,
    perSpacing: true,
    slots: (place, _isFirst, here) => slotsOf(place, here, context),
    interlocks: (place, here) =>
      reversePowerLocks({ ...place, set: here.set }, here.chains, [GENERATOR, INTERFERER], context),
    instruction: ({ band }) =>
      `Wanted 3 dB above its 12 dB level, 1 kHz; interferer ${printFrequencyShort(spacingOf(band))} ` +
      'away, 400 Hz at 60 % of full deviation, up until SINAD is back at 12 dB. Both sides.',
    radioSettings: [...HEARING_SETTINGS, SQUELCH_OPEN],
    cautions: [
      ...HEARING_CAUTIONS,
      'Two generators into one combiner: 10 dB of pad at each, or they make products in each other’s output stages.',
    ],
  })
})

interface Here {
  context: Context
  here: PlannedHere
  place: StepPlace
  spacingHz: number
  hasTwo: boolean
  /** Where the receiver hears best, Hz: its own error is put in. */
  tunedHz: number
}

function slotsOf(place: StepPlace, here: PlannedHere, context: Context): Slot[] {
  const hasTwo = here.chains[INTERFERER] !== null && here.chains[INTERFERER] !== undefined
  const tunedHz = tunedHzAt({ set: here.set, ...place }, context)
  const given = { context, here, place, spacingHz: spacingOf(place.band), hasTwo, tunedHz }
  return [
    derived(given, { id: 'rejection-tia', label: 'Rejection, TIA-603', optional: !hasTwo }),
    derived(given, { id: 'rejection-en', label: 'Rejection, EN 300 086', optional: true }),
    ...SIDES.map(side => interfererSlot(given, 'tia', side)),
    ...SIDES.map(side => interfererSlot(given, 'en', side)),
    checkSlot(given),
    ...SIDES.map(side => breakThroughSlot(given, side)),
    ...SIDES.map(side => walkOffSlot(given, side)),
  ]
}

function derived(
  { place }: Here,
  { id, label, optional }: { id: string; label: string; optional: boolean },
): Slot {
  return {
    id,
    kind: { is: 'rejection', school: id === 'rejection-tia' ? 'tia' : 'en' },
    label,
    frequencyHz: place.channel.frequencyHz,
    field: { as: 'derived' },
    role: null,
    optional,
  }
}

function interfererSlot(given: Here, school: School, side: (typeof SIDES)[number]): Slot {
  const { spacingHz, hasTwo, tunedHz } = given
  return {
    id: `${school}-${side.id}`,
    kind: { is: 'interferer', school, side: side.id },
    label: `${SCHOOLS[school].title}, ${side.title}`,
    frequencyHz: tunedHz + side.sign * spacingHz,
    field: { as: 'level', guard: interfererGuard(given) },
    role: INTERFERER,
    applied: [wantedField(given, school)],
    optional: school === 'en' || !hasTwo,
  }
}

function interfererGuard({ here, place, context }: Here) {
  const at = { frequencyHz: place.channel.frequencyHz, highestAtSocketDbm: INTERFERER_HIGHEST_DBM }
  return guardOf(here, INTERFERER, at, context)
}

function wantedField({ here, context, tunedHz: frequencyHz }: Here, school: School): AppliedField {
  return {
    role: GENERATOR,
    label: `Wanted: ${SCHOOLS[school].wanted}`,
    guard: guardOf(here, GENERATOR, { frequencyHz, highestAtSocketDbm: WANTED_HIGHEST_DBM }, context),
    frequencyHz,
    proposedDbm: null,
  }
}

function checkSlot(given: Here): Slot {
  const slot = interfererSlot(given, 'tia', SIDES[1])
  return {
    ...slot,
    id: 'pads',
    kind: { is: 'pads' },
    label: 'Again with 10 dB more in front of the combiner, channel above',
    optional: true,
  }
}

function breakThroughSlot({ here, place, spacingHz, context }: Here, side: (typeof SIDES)[number]): Slot {
  const { frequencyHz } = place.channel
  return {
    id: `through-${side.id}`,
    kind: { is: 'through', side: side.id },
    label: `Just heard, ${side.title}`,
    frequencyHz: frequencyHz + side.sign * spacingHz,
    field: {
      as: 'level',
      guard: guardOf(here, GENERATOR, { frequencyHz, highestAtSocketDbm: INTERFERER_HIGHEST_DBM }, context),
    },
    role: GENERATOR,
    optional: true,
  }
}

function walkOffSlot({ place }: Here, side: (typeof SIDES)[number]): Slot {
  return {
    id: `walk-${side.id}`,
    kind: { is: 'walk', side: side.id },
    label: `S9 gone at, ${side.sign < 0 ? 'below' : 'above'}`,
    frequencyHz: place.channel.frequencyHz,
    field: { as: 'figure', unit: 'Hz', bareScale: 1e3, min: 0, max: 1e6, placeholder: 'kHz away' },
    role: null,
    optional: true,
  }
}
