import { type Context, perRadio } from '../../../context'
import { printDbm, printFrequencyShort, printMhz } from '../../../quantity'
import { fullDeviationHz } from '../../../band'
import type { Band, RadioSet } from '../../../review'
import {
  type FieldSpec,
  type PlannedHere,
  planSteps,
  type RadioSetting,
  type Roles,
  type Slot,
  type Step,
  type StepPlace,
} from '../../../step'
import { generatorAt } from '../generatorGuard'
import { AUDIO, GENERATOR, ONE_SIGNAL } from '../paths'
import { HEARING_CAUTIONS, HEARING_SETTINGS } from '../receiveSettings'
import { reversePowerLocks } from '../reversePower'

/** Identity of the station, as readings are stored under it. */
export const AUDIO_ID = 'audio'

/** A signal strong enough that noise does not count, dBm at the socket (TIA-603, from memory). */
export const STRONG_DBM = -47

/** A generator into the radio, a voltmeter or a sound card at its speaker. */
export const AUDIO_ROLES: Roles = {
  ...ONE_SIGNAL,
  [AUDIO]: {
    title: 'Audio',
    instruments: ['ac-voltmeter', 'audio-meter'],
    signal: 'audio',
    optional: true,
  },
}

/** Tones the response is read at, Hz; the middle one is what the others are counted from. */
export const RESPONSE_HZ = [300, 500, 1000, 2000, 3000] as const
/** What the response is counted from, Hz. */
export const REFERENCE_HZ = 1000

const VOLTS: FieldSpec = { as: 'figure', unit: 'V', min: 1e-6, max: 1000, placeholder: 'V or mV' }
const PERCENT: FieldSpec = { as: 'figure', unit: '%', min: 0, max: 100, placeholder: '%' }
const DERIVED: FieldSpec = { as: 'derived' }

/** One step of the set: what comes out of its speaker socket at a strong signal. */
export const planAudio = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: AUDIO_ID,
    roles: AUDIO_ROLES,
    covers: 'set',
    level: 'lowest',
    keyed: null,
    durationS: 420,
    slots: slotsOf,
    interlocks: (place, here) =>
      reversePowerLocks({ ...place, set: here.set }, here.chains, [GENERATOR], context),
    instruction:
      'Rated load on the speaker socket, 1 kHz at 60 % deviation. ' +
      'Turn the volume up until the distortion is 10 %: those volts make the rated power.',
    radioSettings: (place, here) => [
      ...HEARING_SETTINGS.filter(({ id }) => id !== 'volume'),
      generatorLine(place, here, context),
    ],
    cautions: [...HEARING_CAUTIONS, ...AUDIO_CAUTIONS],
  })
})

const AUDIO_CAUTIONS: readonly string[] = [
  'A sound card takes about a volt: a divider before it, and never a bridged output’s hot end to its ground.',
  'A speaker at full volume harms ears: the load takes its place.',
]

/** What the generator is set to, as far as the path is known. */
function generatorLine({ band, channel }: StepPlace, here: PlannedHere, context: Context): RadioSetting {
  const at = generatorAt(here, GENERATOR, channel.frequencyHz, context)
  const onIt = at ? `, ${printDbm(STRONG_DBM + at.lossDb, 0)} on it` : ''
  return {
    id: 'generator',
    words:
      `Generator ${printDbm(STRONG_DBM, 0)} at the socket${onIt}, ` +
      `on ${printMhz(channel.frequencyHz)}; ${toneWords(band)}`,
  }
}

function toneWords(band: Band): string {
  return band.mode === 'AM'
    ? '1 kHz at 30 %'
    : `1 kHz, ${printFrequencyShort(0.6 * fullDeviationHz(band))} of deviation`
}

interface Row {
  id: string
  kind: Slot['kind']
  label: string
  field: FieldSpec
  optional?: boolean
}

function slotsOf({ channel }: StepPlace): Slot[] {
  const row = (id: string, label: string, field: FieldSpec, optional = true): Row => ({
    ...{ id, label, field, optional },
    kind: { is: id },
  })
  const rows: Row[] = [
    row('power', 'Audio power at 10 % distortion', DERIVED, false),
    row('rated-v', 'Volts at 10 % distortion', VOLTS, false),
    row('load', 'Load', { as: 'figure', unit: 'Ω', min: 0.5, max: 10_000, placeholder: '8 Ω' }),
    row('claim-thd', 'Distortion at the claimed power', PERCENT),
    row('hum', 'Hum and noise', DERIVED),
    row('tone-v', 'Volts with the tone, usual volume', VOLTS),
    row('quiet-v', 'Volts with the tone off', VOLTS),
    ...RESPONSE_HZ.map((hz): Row => ({
      id: `response-${hz}`,
      kind: { is: 'response', hz },
      label: `Volts at ${printFrequencyShort(hz)}`,
      field: VOLTS,
      optional: true,
    })),
  ]
  return rows.map(({ optional = true, ...one }) => ({
    ...one,
    frequencyHz: channel.frequencyHz,
    role: one.field === VOLTS || one.field === PERCENT ? AUDIO : null,
    optional,
  }))
}
