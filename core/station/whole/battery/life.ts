import type { OwnContribution } from '../../../judging'
import type { BatteryDuty } from './memo'

/** A figure with half the weight of its last digit. */
export interface Rounded {
  value: number
  halfDigit: number
}

/** What a set draws in each state, A. */
export interface StateCurrents {
  transmit: Rounded
  audio: Rounded
  waits: Rounded
}

/** A charge, Ah, and what is left open of it besides the ammeter. */
export interface Charge {
  capacityAh: number
  lines: readonly OwnContribution[]
  /** The ammeter that read the currents read it too: what it reads wrong cancels. */
  sameAmmeter: boolean
}

/** Where the charge goes, Ah an hour, by state. */
export interface MeanCurrent {
  transmitA: number
  audioA: number
  waitsA: number
  meanA: number
}

/** The mean of the currents over a duty, A. */
export function meanCurrent(
  { transmit, audio, waits }: StateCurrents,
  { transmitPercent, audioPercent }: BatteryDuty,
): MeanCurrent {
  const transmitA = (transmit.value * transmitPercent) / 100
  const audioA = (audio.value * audioPercent) / 100
  const waitsA = (waits.value * (100 - transmitPercent - audioPercent)) / 100
  return { transmitA, audioA, waitsA, meanA: transmitA + audioA + waitsA }
}

/** Hours a charge lasts, and what is left open of them, in hours. */
export interface Life {
  hours: number
  own: OwnContribution[]
}

/**
 * Capacity over the duty’s mean current. What is left open is taken to first order: of the capacity, of the last
 * digits by their share of the time, and of the ammeter, which reads all of them wrong alike.
 */
export function lifeOf(
  charge: Charge,
  currents: StateCurrents,
  duty: BatteryDuty,
  ammeter: { percent: number; assumed: boolean },
): Life {
  const mean = meanCurrent(currents, duty)
  const hours = charge.capacityAh / mean.meanA
  const perAh = 1 / mean.meanA
  const waitsPercent = 100 - duty.transmitPercent - duty.audioPercent
  const digits = [
    { id: 'transmit', label: 'keyed', share: duty.transmitPercent / 100, ...currents.transmit },
    { id: 'audio', label: 'receiving with audio', share: duty.audioPercent / 100, ...currents.audio },
    { id: 'waits', label: 'waiting', share: waitsPercent / 100, ...currents.waits },
  ]
  return {
    hours,
    own: [
      ...charge.lines.map(line => ({ ...line, halfWidth: line.halfWidth * perAh })),
      ...(charge.sameAmmeter ? [] : [ammeterLine(hours, ammeter)]),
      ...digits.map(({ id, label, share, halfDigit }): OwnContribution => ({
        id: `digit:${id}`,
        group: 'resolution',
        label: `Last digit of the current ${label}`,
        distribution: 'rectangular',
        halfWidth: (hours * share * halfDigit) / mean.meanA,
      })),
    ],
  }
}

/** What an ammeter leaves open of a figure that grows with its reading. */
export function ammeterLine(
  value: number,
  { percent, assumed }: { percent: number; assumed: boolean },
): OwnContribution {
  return {
    id: 'ammeter',
    group: 'instrument',
    label: 'Ammeter',
    distribution: 'rectangular',
    halfWidth: (Math.abs(value) * percent) / 100,
    assumed,
  }
}
