import { printClaimW } from '../../quantity'
import type { RadioSet } from '../../review'
import { TRANSMIT_CAUTIONS } from '../cautions'
import { chainForStation } from '../chainForStation'
import type { Step } from '../contract'
import { fullSupply, SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepId, stepPlaces } from '../stepBasics'

export const CARRIER_POWER_ID = 'carrier-power'

/** Instruments that can read carrier power, the best first. */
export const CARRIER_POWER_INSTRUMENTS = ['power-meter', 'spectrum-analyser'] as const

const KEY_DOWN_S = 8
const DURATION_S = 35

/** One step for every claimed band, level and chosen channel. */
export function planCarrierPower(set: RadioSet, context: StationContext): Step[] {
  const chainId = chainForStation(set, CARRIER_POWER_ID, context, CARRIER_POWER_INSTRUMENTS)
  const chainName = context.chain(chainId)?.name
  return context.plan(set, `${CARRIER_POWER_ID}|${chainId ?? ''}|${chainName ?? ''}`, () =>
    plan(set, chainId, chainName),
  )
}

function plan(set: RadioSet, chainId: string | null, chainName: string | undefined): Step[] {
  const radioSettings = [
    fullSupply(set),
    SETTINGS.dualWatchOff,
    ...(chainName ? [{ id: 'chain', words: `Chain “${chainName}” connected` }] : []),
  ]
  return stepPlaces(set).map((place): Step => ({
    ...place,
    id: stepId(CARRIER_POWER_ID, place),
    stationId: CARRIER_POWER_ID,
    set,
    chainId,
    slots: [
      { id: 'carrier', label: 'carrier', frequencyHz: place.channel.frequencyHz, measures: 'level' },
      {
        id: 'supply-v',
        label: 'supply voltage, keyed',
        frequencyHz: place.channel.frequencyHz,
        measures: 'V',
        optional: true,
      },
      {
        id: 'supply-a',
        label: 'supply current, keyed',
        frequencyHz: place.channel.frequencyHz,
        measures: 'A',
        optional: true,
      },
    ],
    instruction: 'Key up, let the reading settle, and type what the instrument shows.',
    radioSettings,
    cautions: [
      ...TRANSMIT_CAUTIONS,
      ...(place.claim.kind === 'watts' ? [`The maker claims ${printClaimW(place.claim.powerW)} here.`] : []),
    ],
    keyDownS: KEY_DOWN_S,
    durationS: DURATION_S,
    thermal: 'any',
    needsFullSupply: true,
  }))
}
