import { spacingOf } from '../../../band'
import { type Context, perRadio } from '../../../context'
import { printFrequencyShort, printSigned } from '../../../quantity'
import type { RadioSet } from '../../../review'
import { type PlannedHere, planSteps, type Slot, type Step, type StepPlace } from '../../../step'
import { guardOf } from '../generatorGuard'
import { GENERATOR, INTERFERER, TWO_SIGNALS } from '../paths'
import { HEARING_CAUTIONS, HEARING_SETTINGS, SQUELCH_OPEN } from '../receiveSettings'
import { reversePowerLocks } from '../reversePower'
import { tunedHzAt } from '../twelveDecibelLevel'
import { STRONG_ID, strongMemo } from './memo'

const WANTED_HIGHEST_DBM = -60
const INTERFERER_HIGHEST_DBM = 10

/** Offsets at which blocking is read, MHz; those at 1 and 10 are asked for. */
export const BLOCKING_OFFSETS_MHZ = [-10, -5, -2, -1, 1, 2, 5, 10] as const
const ASKED_MHZ: readonly number[] = [-1, 1]

/** Levels a set is put through, dBm at its socket, as far as the owner allows. */
export const SURVIVAL_DBM = [10, 18, 27, 37] as const

/** Readings of the 12 dB level before, and after. */
export const SURVIVAL_REPEATS = 3

/** One step a band: what a strong signal elsewhere takes away, and whether the set survives one. */
export const planStrongSignals = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: STRONG_ID,
    roles: TWO_SIGNALS,
    level: 'lowest',
    keyed: null,
    durationS: 480,
    slots: (place, _isFirst, here) => slotsOf(place, here, context),
    interlocks: (place, here) => [
      ...reversePowerLocks({ ...place, set: here.set }, here.chains, [GENERATOR, INTERFERER], context),
      ...survivalLocks(set, context),
    ],
    instruction:
      'Wanted 3 dB above its 12 dB level; a plain carrier elsewhere, ' +
      'up until SINAD is back at 12 dB. Step past the receiver’s own spurious responses.',
    radioSettings: [...HEARING_SETTINGS, SQUELCH_OPEN],
    cautions: [
      ...HEARING_CAUTIONS,
      'A source of watts goes into the receiver alone, never near a generator: take both generators off before.',
      'Is the interferer’s harmonic on the wanted frequency? Then it is that which is heard.',
    ],
  })
})

function survivalLocks(set: RadioSet, context: Context) {
  const { consent } = strongMemo(set, context)
  return consent === null
    ? []
    : [
        {
          id: 'survival',
          words:
            `Survival up to ${printSigned(consent.upToDbm, 0)} dBm may destroy the receiver; ` +
            `${consent.by || 'the owner'} accepts it. Both generators come off before anything above +10 dBm.`,
        },
      ]
}

interface Here {
  here: PlannedHere
  place: StepPlace
  context: Context
  tunedHz: number
  hasTwo: boolean
}

function slotsOf(place: StepPlace, here: PlannedHere, context: Context): Slot[] {
  const given: Here = {
    here,
    place,
    context,
    tunedHz: tunedHzAt({ set: here.set, ...place }, context),
    hasTwo: (here.chains[INTERFERER] ?? null) !== null,
  }
  return [
    derived(given, { id: 'blocking', label: 'Blocking, the least', optional: !given.hasTwo }),
    ...BLOCKING_OFFSETS_MHZ.map(mhz => blockingSlot(given, mhz)),
    ...spuriousSlots(given),
    ...intermodulationSlots(given),
    ...survivalSlots(given),
  ]
}

function derived(
  { place }: Here,
  { id, label, optional }: { id: string; label: string; optional: boolean },
): Slot {
  const { frequencyHz } = place.channel
  return { id, kind: { is: id }, label, frequencyHz, field: { as: 'derived' }, role: null, optional }
}

interface Interfering {
  id: string
  kind: Slot['kind']
  label: string
  offsetHz: number
  optional: boolean
}

function interfering(given: Here, { id, kind, label, offsetHz, optional }: Interfering): Slot {
  const { here, place, context, tunedHz } = given
  const guard = (role: string, highestAtSocketDbm: number) =>
    guardOf(here, role, { frequencyHz: place.channel.frequencyHz, highestAtSocketDbm }, context)
  return {
    id,
    kind,
    label,
    frequencyHz: tunedHz + offsetHz,
    field: { as: 'level', guard: guard(INTERFERER, INTERFERER_HIGHEST_DBM) },
    role: INTERFERER,
    applied: [
      {
        role: GENERATOR,
        label: 'Wanted: the 12 dB level + 3 dB',
        guard: guard(GENERATOR, WANTED_HIGHEST_DBM),
        frequencyHz: tunedHz,
        proposedDbm: null,
      },
    ],
    optional,
  }
}

function blockingSlot(given: Here, mhz: number): Slot {
  return interfering(given, {
    id: `block${mhz}`,
    kind: { is: 'block', mhz },
    label: `Blocked by a carrier at ${printSigned(mhz, 0)} MHz`,
    offsetHz: mhz * 1e6,
    optional: !given.hasTwo || !ASKED_MHZ.includes(mhz),
  })
}

/** Image and half the intermediate frequency, as far as the reviewer knows it. */
function spuriousSlots(given: Here): Slot[] {
  const { ifHz, isHighSide } = strongMemo(given.here.set, given.context)
  if (ifHz === null) return []
  const sign = isHighSide ? 1 : -1
  const at = (id: string, label: string, offsetHz: number) =>
    interfering(given, { id, kind: { is: 'spurious', which: id }, label, offsetHz, optional: true })
  return [
    at('image', `Image, ${printFrequencyShort(2 * ifHz)} away`, sign * 2 * ifHz),
    at('half-if', `Half the IF, ${printFrequencyShort(ifHz / 2)} away`, (sign * ifHz) / 2),
  ]
}

/** Outputs of generators it takes: the wanted signal, and one at each of two offsets. */
const SIGNALS_TO_INTERMODULATE = 3

/**
 * Two interferers of one level at one and two channel steps: offered where the bench has the generators, and shown
 * where it was read when the bench had them.
 */
function intermodulationSlots(given: Here): Slot[] {
  const { here, place, context } = given
  const spacingHz = spacingOf(place.band)
  const outputs = context.review.instruments.reduce(
    (sum, one) => sum + (one.kind === 'signal-generator' ? one.channels : 0),
    0,
  )
  const read = context.readingsOf(here)
  const slots = ([-1, 1] as const).map(sign =>
    interfering(given, {
      id: `im${sign}`,
      kind: { is: 'intermodulation', sign },
      label: `Two interferers at ${sign > 0 ? '+' : '−'}1 and ${sign > 0 ? '+' : '−'}2 channels`,
      offsetHz: sign * spacingHz,
      optional: true,
    }),
  )
  return outputs >= SIGNALS_TO_INTERMODULATE ? slots : slots.filter(({ id }) => read.has(id))
}

function survivalSlots(given: Here): Slot[] {
  const { consent } = strongMemo(given.here.set, given.context)
  if (consent === null) return []
  const { frequencyHz } = given.place.channel
  const guard = guardOf(
    given.here,
    GENERATOR,
    { frequencyHz, highestAtSocketDbm: WANTED_HIGHEST_DBM },
    given.context,
  )
  const rounds = Array.from({ length: SURVIVAL_REPEATS }, (_unused, i) => i + 1)
  const levels = (moment: 'before' | 'after') =>
    rounds.flatMap((round): Slot[] => [
      reference(moment, round),
      {
        id: `${moment}-${round}`,
        kind: { is: moment, round },
        label: `12 dB level ${moment}, ${round}`,
        frequencyHz,
        field: { as: 'level', guard },
        role: GENERATOR,
        optional: true,
      },
    ])
  const reference = (moment: 'before' | 'after', round: number): Slot => ({
    id: round === 1 ? `reference-${moment}` : `reference-${moment}-${round}`,
    kind: { is: 'reference', moment, round },
    label: `SINAD at −90 dBm, the reference, ${moment}, ${round}`,
    frequencyHz,
    field: { as: 'figure', unit: 'dB', min: -10, max: 80, placeholder: 'dB' },
    role: null,
    optional: true,
  })
  const hits = SURVIVAL_DBM.filter(level => level <= consent.upToDbm).map((levelDbm): Slot => ({
    id: `hit${levelDbm}`,
    kind: { is: 'hit', levelDbm },
    label: `+${levelDbm} dBm for 10 s`,
    frequencyHz,
    field: { as: 'mark' },
    role: null,
    optional: true,
  }))
  return [
    derived(given, { id: 'survival', label: 'Survival', optional: true }),
    ...levels('before'),
    ...hits,
    ...levels('after'),
  ]
}
