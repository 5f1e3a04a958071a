import type { Instrument } from '../../chain'
import type { Band, RadioSet } from '../../review'
import { chainForStation } from '../chainForStation'
import type { RadioSetting, Slot, Step } from '../contract'
import type { StationContext } from '../stationContext'
import { stepId, type StepPlace, stepPlaces } from '../stepBasics'

export interface StepPlan {
  stationId: string
  instruments: readonly Instrument['kind'][]
  /** Bands it applies to; all by default. */
  band?: (band: Band) => boolean
  /** Which level of a channel: the strongest, the weakest, or every one. */
  level: 'highest' | 'lowest' | 'every'
  slots: (place: StepPlace) => Slot[]
  instruction: string
  radioSettings: readonly RadioSetting[]
  cautions: readonly string[]
  keyDownS: number
  durationS: number
  thermal?: Step['thermal']
  needsFullSupply?: boolean
}

/** One step on every channel chosen for harmonics (the first of a band that has none chosen), at the level asked for. Kept while set and chain stay the same. */
export function planSteps(set: RadioSet, context: StationContext, of: StepPlan): Step[] {
  const chainId = chainForStation(set, of.stationId, context, of.instruments)
  const chainName = context.chain(chainId)?.name
  return context.plan(set, `${of.stationId}|${chainId ?? ''}|${chainName ?? ''}`, () => placesOf(set, of).map((place): Step => ({
    ...place, id: stepId(of.stationId, place), stationId: of.stationId, set, chainId, slots: of.slots(place), instruction: of.instruction,
    radioSettings: [...of.radioSettings, ...(chainName ? [{ id: 'chain', words: `Chain “${chainName}” connected` }] : [])],
    cautions: [...of.cautions], keyDownS: of.keyDownS, durationS: of.durationS, thermal: of.thermal ?? 'any', needsFullSupply: of.needsFullSupply ?? false,
  })))
}

function placesOf(set: RadioSet, of: StepPlan): StepPlace[] {
  const places = stepPlaces(set).filter(({ band }) => of.band?.(band) ?? true)
  const channels = new Map<string, StepPlace[]>()
  for (const place of places) {
    const chosen = place.band.channels.some(({ harmonics }) => harmonics) ? place.channel.harmonics : place.channel === [...place.band.channels].sort((a, b) => a.frequencyHz - b.frequencyHz)[0]
    if (!chosen) continue
    const key = `${place.band.id}|${place.channel.id}`
    channels.set(key, [...(channels.get(key) ?? []), place])
  }
  const watts = ({ claim }: StepPlace) => (claim.kind === 'watts' ? claim.powerW : null)
  return [...channels.values()].flatMap((levels) => {
    if (of.level === 'every') return levels
    const known = levels.filter(place => watts(place) !== null)
    if (known.length === 0) return levels.slice(0, 1)
    return [known.reduce((a, b) => ((of.level === 'highest' ? watts(b)! > watts(a)! : watts(b)! < watts(a)!) ? b : a))]
  })
}
