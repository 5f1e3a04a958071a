import type { Instrument } from '../../chain'
import { printFrequencyShort } from '../../quantity'
import type { Band, RadioSet } from '../../review'
import { chainForStation } from '../chainForStation'
import type { RadioSetting, Slot, Step } from '../contract'
import { SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepId, type StepPlace, stepPlaces } from '../stepBasics'

export interface StepPlan {
  stationId: string
  instruments: readonly Instrument['kind'][]
  /** Bands it applies to; all by default. */
  band?: (band: Band) => boolean
  /** Which level of a channel: the strongest, the weakest, or every one. */
  level: 'highest' | 'lowest' | 'every'
  /** `isFirst`: the first step of the set at this station. */
  slots: (place: StepPlace, isFirst: boolean) => Slot[]
  instruction: string
  radioSettings: readonly RadioSetting[]
  cautions: readonly string[]
  keyDownS: number
  durationS: number
  /** A step at each channel spacing the set can be switched to; the list of settings then names it. */
  perSpacing?: boolean
  /** The set must be cold for its first step: the oscillator it warms up is the same on every band. */
  firstIsCold?: boolean
  needsFullSupply?: boolean
}

/**
 * One step on every channel chosen for harmonics (the first of a band that has none chosen), at the level
 * asked for. Kept while set and chain stay the same.
 */
export function planSteps(set: RadioSet, context: StationContext, of: StepPlan): Step[] {
  const chainId = chainForStation(set, of.stationId, context, of.instruments)
  const chainName = context.chain(chainId)?.name
  return context.plan(set, `${of.stationId}|${chainId ?? ''}|${chainName ?? ''}`, () => {
    const places = placesOf(set, of).flatMap((place): SpacedPlace[] =>
      of.perSpacing ? spacingsOf(place) : [{ place }],
    )
    return places.map(({ place, spacing }, index): Step => {
      const isCold = index === 0 && (of.firstIsCold ?? false)
      return {
        ...place,
        ...(spacing && { spacingHz: spacing.hz }),
        id: `${stepId(of.stationId, place)}${spacing?.suffix ?? ''}`,
        stationId: of.stationId,
        set,
        chainId,
        slots: of.slots(place, index === 0),
        instruction: of.instruction,
        radioSettings: [
          ...(of.perSpacing ? [spacingSetting(place.band)] : []),
          ...(isCold ? [SETTINGS.cold] : []),
          ...of.radioSettings,
          ...(chainName ? [{ id: 'chain', words: `Chain “${chainName}” connected` }] : []),
        ],
        cautions: [...of.cautions],
        keyDownS: of.keyDownS,
        durationS: of.durationS,
        thermal: isCold ? 'cold' : 'any',
        needsFullSupply: of.needsFullSupply ?? false,
      }
    })
  })
}

/** A place, and the channel spacing it is read at where the band has several; `suffix` of its step's id. */
interface SpacedPlace {
  place: StepPlace
  spacing?: { hz: number; suffix: string }
}

/**
 * A place once for each channel spacing of its band. The band of each is named after its spacing; the card's
 * own keeps the plain step id.
 */
function spacingsOf(place: StepPlace): SpacedPlace[] {
  const { band } = place
  if (band.alsoSpacingsHz.length === 0) return [{ place }]
  const at = (hz: number, suffix: string): SpacedPlace => ({
    place: {
      ...place,
      band: { ...band, channelSpacingHz: hz, name: `${band.name}, ${printFrequencyShort(hz)}` },
    },
    spacing: { hz, suffix },
  })
  return [
    band.channelSpacingHz === null ? { place } : at(band.channelSpacingHz, ''),
    ...band.alsoSpacingsHz
      .filter(spacing => spacing !== band.channelSpacingHz)
      .map(spacing => at(spacing, `:${spacing}`)),
  ]
}

function spacingSetting(band: Band): RadioSetting {
  return band.channelSpacingHz === null
    ? SETTINGS.narrow
    : { id: SETTINGS.narrow.id, words: `Set to channels of ${printFrequencyShort(band.channelSpacingHz)}` }
}

function placesOf(set: RadioSet, of: StepPlan): StepPlace[] {
  const places = stepPlaces(set).filter(({ band }) => of.band?.(band) ?? true)
  const channels = new Map<string, StepPlace[]>()
  for (const place of places) {
    const chosen = place.band.channels.some(({ harmonics }) => harmonics)
      ? place.channel.harmonics
      : place.channel === [...place.band.channels].sort((a, b) => a.frequencyHz - b.frequencyHz)[0]
    if (!chosen) continue
    const key = `${place.band.id}|${place.channel.id}`
    channels.set(key, [...(channels.get(key) ?? []), place])
  }
  const watts = ({ claim }: StepPlace) => (claim.kind === 'watts' ? claim.powerW : null)
  return [...channels.values()].flatMap(levels => {
    if (of.level === 'every') return levels
    const known = levels.filter(place => watts(place) !== null)
    if (known.length === 0) return levels.slice(0, 1)
    return [
      known.reduce((a, b) =>
        (of.level === 'highest' ? watts(b)! > watts(a)! : watts(b)! < watts(a)!) ? b : a,
      ),
    ]
  })
}
