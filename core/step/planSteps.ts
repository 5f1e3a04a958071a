import type { Context } from '../context'
import { printFrequencyShort } from '../quantity'
import { entryOf } from '../cache'
import type { Band, RadioSet, RadioWork } from '../review'
import { chainName, chainsForStation } from './chainsForStation'
import { SETTINGS } from './radioSettings'
import type { Slot } from './slot'
import type { RadioSetting, Roles, Step, StepCover, StepVariant } from './step'
import { stepId, type StepPlace, stepPlaces } from './stepPlaces'

/** How a station plans: where, at which level, and what each step asks for. */
export interface StepPlan {
  stationId: string
  roles: Roles
  /** A step a channel by default; else one a band, or one for the set. */
  covers?: StepCover
  /** Which of several things of one kind it is about: part of its id. */
  variant?: StepVariant
  /** Bands it applies to; all by default. */
  band?: (band: Band) => boolean
  /** Channels: every one, or those chosen for harmonics (the first of a band that has none chosen). */
  channels?: 'every' | 'chosen' | 'only-chosen'
  /** Which level of a channel: the strongest, the weakest, or every one. */
  level: 'highest' | 'lowest' | 'every'
  /** `isFirst`: the first step of the set at this station. */
  slots: (place: StepPlace, isFirst: boolean, here: PlannedHere) => Slot[]
  /** What must be ticked before anything is read; nothing by default. */
  interlocks?: (place: StepPlace, here: PlannedHere) => readonly RadioSetting[]
  instruction: string | ((place: StepPlace) => string)
  radioSettings: readonly RadioSetting[] | ((place: StepPlace, here: PlannedHere) => readonly RadioSetting[])
  cautions: readonly string[] | ((place: StepPlace) => readonly string[])
  keyed: { seconds: number } | null
  durationS: number
  /** A step at each channel spacing the set can be switched to; the list of settings then names it. */
  perSpacing?: boolean
  /** The set must be cold for its first step: the oscillator it warms up is the same on every band. */
  firstIsCold?: boolean
  needsFullSupply?: boolean
}

/** What is known of a step while it is planned. */
export interface PlannedHere {
  /** Its id: under which its readings stand. */
  id: string
  set: RadioSet
  /** Channel spacing it is read at, Hz; null where it does not hang on it. */
  spacingHz: number | null
  chains: Step['chains']
}

/** One step on every channel and level a station asks for. */
export function planSteps(set: RadioSet, context: Context, wanted: StepPlan): Step[] {
  const chains = chainsForStation(set, wanted.stationId, wanted.roles, context)
  const connected = connectedSetting(chains, context)
  const { covers = 'channel', variant = null, firstIsCold = false, needsFullSupply = false } = wanted
  const every = placesOf(context.forGood(stepPlaces, set), wanted)
  const places = coveredOnce(every, covers).flatMap((place): SpacedPlace[] =>
    wanted.perSpacing ? spacingsOf(place) : [{ place }],
  )
  return places.map(({ place, spacing }, index): Step => {
    const isCold = index === 0 && firstIsCold
    const { band, channel, level, claim } = place
    const id = `${coveringId(wanted, place)}${spacing?.suffix ?? ''}`
    const here: PlannedHere = { id, set, spacingHz: spacing?.hz ?? null, chains }
    return {
      id,
      stationId: wanted.stationId,
      set,
      covers,
      variant,
      band,
      channel,
      setting: { level, spacingHz: spacing?.hz ?? null },
      claim,
      chains,
      slots: wanted.slots(place, index === 0, here),
      interlocks: [...(wanted.interlocks?.(place, here) ?? [])],
      work: workOf(wanted.roles),
      instruction: told(wanted.instruction, place, here),
      radioSettings: [
        ...(wanted.perSpacing ? [spacingSetting(place.band)] : []),
        ...(isCold ? [SETTINGS.cold] : []),
        ...told(wanted.radioSettings, place, here),
        ...connected,
      ],
      cautions: [...told(wanted.cautions, place, here)],
      keyed: wanted.keyed,
      durationS: wanted.durationS,
      thermal: isCold ? 'cold' : 'any',
      needsFullSupply,
    }
  })
}

/** Of each band the first place, or of the set; all of them where each channel has a step. */
function coveredOnce(places: StepPlace[], covers: StepCover): StepPlace[] {
  switch (covers) {
    case 'channel':
      return places
    case 'band':
      return places.filter(({ band }, i) => places.findIndex(other => other.band === band) === i)
    case 'set':
      return places.slice(0, 1)
  }
}

/** What a plan says for every place alike, or place by place. */
function told<T extends string | readonly unknown[]>(
  said: T | ((place: StepPlace, here: PlannedHere) => T),
  place: StepPlace,
  here: PlannedHere,
): T {
  return typeof said === 'function' ? said(place, here) : said
}

/** The stable id of a step that may cover more than a channel, or be one of several of its kind. */
function coveringId({ stationId, covers = 'channel', variant }: StepPlan, place: StepPlace): string {
  const suffix = variant ? `:${variant.id}` : ''
  switch (covers) {
    case 'channel':
      return `${stepId(stationId, place)}${suffix}`
    case 'band':
      return `${stationId}:${place.band.id}${suffix}`
    case 'set':
      return `${stationId}${suffix}`
  }
}

/** The chains that are to be connected, in one line. */
function connectedSetting(chains: Step['chains'], context: Context): RadioSetting[] {
  const names = Object.values(chains).flatMap(id => chainName(id, context) ?? [])
  const [only] = names
  if (only === undefined) return []
  const quoted = names.map(name => `“${name}”`).join(', ')
  return [{ id: 'chain', words: names.length === 1 ? `Chain ${quoted} connected` : `Connected: ${quoted}` }]
}

/** A generator on the socket: the radio hears. */
function workOf(roles: Roles): RadioWork {
  return Object.values(roles).some(({ signal }) => signal === 'to-radio') ? 'hears' : 'transmits'
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

function placesOf(every: readonly StepPlace[], wanted: StepPlan): StepPlace[] {
  const channels = new Map<string, StepPlace[]>()
  for (const place of every)
    if ((wanted.band?.(place.band) ?? true) && isWanted(place, wanted.channels ?? 'chosen'))
      entryOf(channels, channelKey(place), () => []).push(place)
  if (wanted.level === 'every') return every.filter(place => channels.has(channelKey(place)))
  const strongest = wanted.level === 'highest'
  return [...channels.values()].map(levels => levelOf(levels, strongest))
}

const channelKey = ({ band, channel }: StepPlace) => `${band.id}|${channel.id}`

function isWanted({ band, channel }: StepPlace, which: NonNullable<StepPlan['channels']>): boolean {
  if (which === 'every') return true
  if (which === 'only-chosen' || band.channels.some(({ harmonics }) => harmonics)) return channel.harmonics
  return channel === [...band.channels].sort((a, b) => a.frequencyHz - b.frequencyHz)[0]
}

/** The place with the strongest or weakest claim; the first where the maker says none. */
function levelOf(levels: StepPlace[], strongest: boolean): StepPlace {
  const watts = ({ claim }: StepPlace) => (claim.kind === 'watts' ? claim.powerW : null)
  const known = levels.filter(place => watts(place) !== null)
  if (known.length === 0) return levels[0]!
  const sign = strongest ? 1 : -1
  return known.reduce((a, b) => (sign * watts(b)! > sign * watts(a)! ? b : a))
}
