import { type Context, perRadio } from '../../../context'
import { printMhz } from '../../../quantity'
import type { RadioSet } from '../../../review'
import { type FieldSpec, planSteps, type Slot, type Step, type StepPlace } from '../../../step'
import { type Antenna, ANTENNA_ID, antennasOf } from './memo'

const MATCH: FieldSpec = {
  as: 'figure',
  unit: 'VSWR',
  min: 1,
  max: 1e6,
  placeholder: 'VSWR or dB',
}
const FREQUENCY: FieldSpec = {
  as: 'figure',
  unit: 'Hz',
  bareScale: 1e6,
  min: 1e3,
  max: 1e12,
  placeholder: 'MHz',
}
const DERIVED: FieldSpec = { as: 'derived' }

/** A step for each antenna on each band: the match at every channel, and where it is best. */
export const planAntenna = perRadio((set: RadioSet, context: Context): Step[] => {
  return antennasOf(set, context).flatMap(antenna =>
    planSteps(set, context, {
      stationId: ANTENNA_ID,
      roles: {},
      covers: 'band',
      variant: { id: antenna.id, title: antenna.name || 'unnamed antenna' },
      channels: 'every',
      level: 'highest',
      keyed: { seconds: 5 },
      durationS: 240,
      slots: place => slotsOf(place),
      instruction:
        'Read the match at each channel: VSWR, return loss, ' +
        'or forward and reflected power (5/0.2 W); or bring in a sweep (.s1p). Held as in use: ' +
        'a hand-held antenna takes the body for its other half.',
      radioSettings: [{ id: 'held', words: heldWords(antenna) }],
      cautions: CAUTIONS,
    }),
  )
})

const CAUTIONS: readonly string[] = [
  'An in-line meter is keyed on the antenna itself: only on a frequency you are licensed for, ' +
    'shortly, at the lowest power. Local rules and your licence decide.',
  'RF burns: off the antenna while keyed, eyes and body away from it.',
  'An analyser of antennas is no load: never key a radio into it.',
]

function heldWords({ name, held }: Antenna): string {
  const what = name ? `${name} antenna` : 'Antenna'
  return held ? `${what}: ${held}` : `${what}, held as in use: say below how`
}

/** The slot of a channel’s match. */
export const matchSlotId = (channelId: string): string => `match-${channelId}`

function slotsOf({ band }: StepPlace): Slot[] {
  const rising = [...band.channels].sort((a, b) => a.frequencyHz - b.frequencyHz)
  const middleHz = rising[rising.length >> 1]!.frequencyHz
  const matches = rising.map(({ id, name, frequencyHz }): Slot => ({
    id: matchSlotId(id),
    kind: { is: 'match', channelId: id },
    label: name ? `${printMhz(frequencyHz)}, ${name}` : printMhz(frequencyHz),
    frequencyHz,
    field: MATCH,
    role: null,
  }))
  const other = (id: string, label: string, field: FieldSpec): Slot => ({
    id,
    kind: { is: id },
    label,
    frequencyHz: middleHz,
    field,
    role: null,
    optional: true,
  })
  return [
    ...matches,
    other('best', 'Best at', FREQUENCY),
    other('range-from', 'Within 2:1 from', FREQUENCY),
    other('range-to', 'Within 2:1 to', FREQUENCY),
    other('loss', 'Lost to the mismatch, worst channel', DERIVED),
    other('left', 'Left of the carrier there', DERIVED),
  ]
}
