import { ADJACENT_CHANNELS, adjacentHz, spacingOf } from '../../../band'
import { type Context, perRadio } from '../../../context'
import type { RadioSet } from '../../../review'
import {
  ANALYSER_CAUTIONS,
  INSTRUMENT_ROLE,
  planSteps,
  SETTINGS,
  type Slot,
  type Step,
  type StepPlace,
  TRANSMIT_CAUTIONS,
} from '../../../step'
import { RECEIVER_ROLES } from '../receiverRole'

/** Identity of the station, as readings are stored under it. */
export const BANDWIDTH_ID = 'bandwidth'

/** Slot of the occupied bandwidth. */
export const OCCUPIED_SLOT = 'obw'

/** Slot of the power that key-downs and releases put into the next channels. */
export const TRANSIENT_SLOT = 'transient'

/** A step on every channel chosen, at each channel spacing the set can be switched to. */
export const planBandwidth = perRadio((set: RadioSet, context: Context): Step[] => {
  return planSteps(set, context, {
    stationId: BANDWIDTH_ID,
    roles: RECEIVER_ROLES,
    level: 'highest',
    perSpacing: true,
    keyed: { seconds: 20 },
    durationS: 180,
    slots: place => [
      occupiedSlot(place),
      ...ADJACENT_CHANNELS.map(channel => adjacentSlot(place, channel)),
      transientSlot(place),
    ],
    instruction:
      'Modulate as loudly as in use, record half a minute of I/Q with a key-down in it, ' +
      'and bring it in; or type what an analyser works out.',
    radioSettings: [SETTINGS.toneOff, SETTINGS.timeOutOff],
    cautions: [...ANALYSER_CAUTIONS, ...TRANSMIT_CAUTIONS],
  })
})

/** What a key-down or a release puts into the next channels: from a recording that holds one, or typed. */
function transientSlot({ channel: { frequencyHz } }: StepPlace): Slot {
  return {
    id: TRANSIENT_SLOT,
    kind: { is: 'transient' },
    label: 'Next channels at key-down',
    frequencyHz,
    role: INSTRUMENT_ROLE,
    field: { as: 'figure', unit: 'dB', min: -200, max: 20, placeholder: 'dBc' },
    optional: true,
  }
}

function occupiedSlot({ channel: { frequencyHz } }: StepPlace): Slot {
  return {
    id: OCCUPIED_SLOT,
    kind: { is: 'occupied' },
    label: 'Occupied bandwidth, 99\u00a0%',
    frequencyHz,
    role: INSTRUMENT_ROLE,
    field: { as: 'figure', unit: 'Hz', bareScale: 1000, min: 0, max: 1e6, placeholder: 'kHz' },
  }
}

function adjacentSlot(
  { band, channel }: StepPlace,
  { id, side, step }: (typeof ADJACENT_CHANNELS)[number],
): Slot {
  return {
    id,
    kind: { is: 'adjacent', side, step },
    label: `${step === 1 ? 'Next' : 'Second'} channel ${side < 0 ? 'below' : 'above'}`,
    frequencyHz: adjacentHz({ side, step }, { carrierHz: channel.frequencyHz, spacingHz: spacingOf(band) }),
    role: INSTRUMENT_ROLE,
    field: { as: 'figure', unit: 'dB', min: -200, max: 20, placeholder: 'dBc' },
    optional: step === 2,
  }
}
