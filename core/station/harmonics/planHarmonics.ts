import type { RadioSet } from '../../review'
import { ANALYSER_CAUTIONS, TRANSMIT_CAUTIONS } from '../cautions'
import { chainForStation } from '../chainForStation'
import type { Slot, Step } from '../contract'
import { SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepId, stepPlaces } from '../stepBasics'

export const HARMONICS_ID = 'harmonics'

/** Instruments that can read harmonics. */
export const HARMONICS_INSTRUMENTS = ['spectrum-analyser'] as const

/** Up to the 10th harmonic (47 CFR 2.1057(a), from memory). */
export const HIGHEST_HARMONIC = 10

const CAUTIONS = [...ANALYSER_CAUTIONS, ...TRANSMIT_CAUTIONS]
const KEY_DOWN_S = 40
const DURATION_S = 180

/** One step for every band and level on the channels chosen for harmonics, up to ×10. */
export function planHarmonics(set: RadioSet, context: StationContext): Step[] {
  const chainId = chainForStation(set, HARMONICS_ID, context, HARMONICS_INSTRUMENTS)
  const chainName = context.chain(chainId)?.name
  return context.plan(set, `${HARMONICS_ID}|${chainId ?? ''}|${chainName ?? ''}`, () =>
    plan(set, chainId, chainName, frequencyHz =>
      context.once(`slots:${frequencyHz}`, () => harmonicSlots(frequencyHz)),
    ),
  )
}

function plan(
  set: RadioSet,
  chainId: string | null,
  chainName: string | undefined,
  slotsOf: (carrierHz: number) => Slot[],
): Step[] {
  const radioSettings = [
    SETTINGS.toneOff,
    SETTINGS.dualWatchOff,
    SETTINGS.timeOutOff,
    ...(chainName ? [{ id: 'chain', words: `Chain “${chainName}” connected` }] : []),
  ]
  return stepPlaces(set)
    .filter(place => place.channel.harmonics)
    .map((place): Step => ({
      ...place,
      id: stepId(HARMONICS_ID, place),
      stationId: HARMONICS_ID,
      set,
      chainId,
      slots: slotsOf(place.channel.frequencyHz),
      instruction: 'Ambient first, unkeyed. Then key up, let three sweeps pass, and read each peak.',
      radioSettings,
      cautions: CAUTIONS,
      keyDownS: KEY_DOWN_S,
      durationS: DURATION_S,
      thermal: 'any',
      needsFullSupply: true,
    }))
}

/** ×1 to ×10 of a carrier: 146.52 MHz gives 293.04, 439.56, 586.08 … */
export function harmonicSlots(carrierHz: number): Slot[] {
  return Array.from({ length: HIGHEST_HARMONIC }, (_unused, index) => ({
    id: `x${index + 1}`,
    label: `×${index + 1}`,
    frequencyHz: carrierHz * (index + 1),
    measures: 'level',
  }))
}
