import { chainPath, type Part, partLossAt } from '../../chain'
import { wattsFromDbm } from '../../quantity'
import type { PartErrors } from '../simulatedPath'
import type { Plug } from './setting'

/** Small bodies are as hot as they get after a minute, finned ones after five. */
const SMALL_BELOW_W = 20
const SOAKS_S = { small: 60, finned: 300 } as const
/** What a part stands above what is written on it. */
const SPARE = 1.25
/** What a part that burnt takes from all that comes through it, dB. */
const BURNT_DB = 2.5

/** How hot a way gets: who is keyed into it, with what, for how long. */
export interface Heating {
  carrierDbm: number
  frequencyHz: number
  forS: number
}

/** Parts of a way that do not bear what they take up, from the radio on. */
export function burningParts({ chain, instrument }: Plug, heating: Heating): Part[] {
  const { before, termination } = chainPath(chain, instrument)
  let arrivingW = wattsFromDbm(heating.carrierDbm)
  const burning: Part[] = []
  for (const part of before) {
    const loss = partLossAt(part, heating.frequencyHz)
    const leavingW = arrivingW * 10 ** (-(loss.known ? loss.lossDb : 0) / 10)
    if (burns(part, arrivingW - leavingW, heating.forS)) burning.push(part)
    arrivingW = leavingW
  }
  if (termination && burns(termination, arrivingW, heating.forS)) burning.push(termination)
  return burning
}

function burns({ ratingW }: Part, takenW: number, forS: number): boolean {
  if (ratingW === null || takenW <= ratingW) return false
  const soaksS = ratingW < SMALL_BELOW_W ? SOAKS_S.small : SOAKS_S.finned
  return takenW * forS > SPARE * ratingW * soaksS
}

/** What the parts of a way are off by once some of them burnt: so much less comes through. */
export function withBurnt(
  errors: PartErrors,
  { chain, instrument }: Plug,
  burnt: ReadonlySet<string>,
): PartErrors {
  const count = chain.parts.filter(({ id }) => burnt.has(id)).length
  const [first] = chainPath(chain, instrument).before
  if (count === 0 || !first) return errors
  const { levelDb = 0, flatnessDb = () => 0 } = errors.get(first.id) ?? {}
  return new Map(errors).set(first.id, { levelDb: levelDb + count * BURNT_DB, flatnessDb })
}
