import type { RadioSet } from '../review'
import { type ExpectedPower, powerToExpect } from './expectedPower'
import { type StepPlace, stepPlaces } from './stepPlaces'

/** A place of a set with the power to expect there, W. */
export interface ExpectedPlace extends StepPlace, ExpectedPower {}

/** Every place of a set with the power to expect there. */
export function expectedPlaces(set: RadioSet): ExpectedPlace[] {
  return stepPlaces(set).map(place => ({ ...place, ...powerToExpect(set, place.claim) }))
}

/** Where a set asks most of a chain: its highest power, on a channel chosen for harmonics first. */
export function hottestPlace(places: readonly ExpectedPlace[]): ExpectedPlace | null {
  const [hottest] = [...places].sort(
    (a, b) => b.powerW - a.powerW || Number(b.channel.harmonics) - Number(a.channel.harmonics),
  )
  return hottest ?? null
}
