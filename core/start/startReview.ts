import { CoreError } from '../errors'
import {
  type Band,
  newBand,
  newChannel,
  newLevel,
  newRadioSet,
  newReview,
  type PowerClaim,
  type RadioSet,
  type Review,
} from '../review'
import { benchKits } from './benchKits'
import { type Home, homes, rulebooksAt } from './homes'
import { type BandOfKind, type RadioKind, radioKinds } from './radioKinds'
import { type Wish, wishes } from './wishes'

/** What was answered when a review was begun. */
export interface StartAnswers {
  kindId: string
  homeId: string
  /** Any number, also none. */
  kitIds: readonly string[]
  wishId: string
}

/** A review to begin with, and where its first step stands; null where there is no radio yet. */
export interface StartedReview {
  review: Review
  opens: { stationId: string; setId: string } | null
}

/**
 * A review made of four answers: a card as such radios have it, the rules of where one lives, a bench, and what is
 * to be known first. All of it can be changed later.
 * @throws CoreError `unknown-id` for an answer nobody offers.
 */
export function startReview(
  answers: StartAnswers,
  given: { id: string; title: string; at: string; newId: () => string },
): StartedReview {
  const kind = chosen(radioKinds, answers.kindId)
  const home = chosen(homes, answers.homeId)
  const wish: Wish = chosen(wishes, answers.wishId)
  const kits = answers.kitIds.map(id => chosen(benchKits, id).make())
  const empty = newReview({ id: given.id, title: given.title.trim() || titleOf(kind), at: given.at })
  const set = kind.bands.length > 0 ? cardOf(kind, home, given.newId) : null
  return {
    review: {
      ...empty,
      settings: {
        ...empty.settings,
        rulebookIds: rulebooksOf(kind, home),
        alsoStations: [...wish.also],
      },
      sets: set ? [set] : [],
      instruments: kits.flatMap(({ instruments }) => instruments),
      chains: kits.flatMap(({ chains }) => chains),
    },
    opens: set && { stationId: wish.opens, setId: set.id },
  }
}

const titleOf = ({ bands, title }: RadioKind): string =>
  bands.length === 0 ? 'A review' : `A review: ${title.toLowerCase()}`

function chosen<T extends { id: string }>(list: readonly T[], id: string): T {
  const found = list.find(one => one.id === id)
  if (!found) throw new CoreError('unknown-id', `There is no answer “${id}”.`, { kind: 'answer', id })
  return found
}

/** The rules of all its services there; of none, what is general there. */
function rulebooksOf({ bands }: RadioKind, home: Home): string[] {
  const all = new Set(bands.flatMap(({ service }) => rulebooksAt(home, service)))
  return all.size > 0 ? [...all] : [...rulebooksAt(home, 'amateur')]
}

function cardOf(kind: RadioKind, home: Home, newId: () => string): RadioSet {
  return {
    ...newRadioSet({ id: newId(), sample: 'A', levelId: 'high' }),
    kind: kind.kind,
    levels: kind.levels.map(({ id, name }) => newLevel(id, name)),
    bands: kind.bands.map(band => bandOf(band, kind, home, newId)),
  }
}

function bandOf(band: BandOfKind, kind: RadioKind, home: Home, newId: () => string): Band {
  const [first, ...others] = band.channelsHz[home.id] ?? band.channelsHz.elsewhere
  const channel = (frequencyHz: number, harmonics: boolean) =>
    newChannel({ id: newId(), name: '', frequencyHz, harmonics })
  return {
    ...newBand({ id: newId(), name: band.name, levelIds: kind.levels.map(({ id }) => id) }),
    mode: band.mode,
    channelSpacingHz: band.channelSpacingHz,
    claims: Object.fromEntries(kind.levels.map(({ id }) => [id, claimOf(band.claimsW[id] ?? null)])),
    channels: [
      // Harmonics are read in the middle of a band first; other channels when one wants to.
      ...(first === undefined ? [] : [channel(first, true)]),
      ...others.map(frequencyHz => channel(frequencyHz, false)),
    ],
  }
}

const claimOf = (powerW: number | null): PowerClaim =>
  powerW === null ? { kind: 'not-said' } : { kind: 'watts', powerW }
