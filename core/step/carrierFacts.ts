import { perIdentity } from '../cache'
import type { CarrierFacts, LevelRank } from '../rules'
import type { Step } from './step'

type RankedStep = Pick<Step, 'set' | 'band' | 'setting'>

/** Returns where the level of a step stands among those of its band: by the claims, else in the card’s order. */
const rankOf = perIdentity(({ set, band, setting }: RankedStep): LevelRank => {
  const levels = set.levels.flatMap(({ id }, order) => {
    const claim = band.claims[id]
    if (!claim || claim.kind === 'no-level') return []
    return [{ id, strength: claim.kind === 'watts' ? claim.powerW : null, order }]
  })
  const known = levels.every(({ strength }) => strength !== null)
  const sorted = [...levels].sort((a, b) => (known ? b.strength! - a.strength! : a.order - b.order))
  if (sorted[0]?.id === setting.level.id || sorted.length < 2) return 'highest'
  return sorted.at(-1)!.id === setting.level.id ? 'lowest' : 'between'
})

const isSet = (step: Partial<RankedStep>): step is RankedStep => step.setting !== undefined

/** What a rulebook has to know of the carrier of a step. */
export function carrierFacts(
  step: Pick<Step, 'set' | 'band' | 'channel'> & Partial<Pick<Step, 'setting'>>,
  powerW: number,
): CarrierFacts {
  return {
    frequencyHz: step.channel.frequencyHz,
    powerW,
    mode: step.band.mode,
    channelSpacingHz: step.band.channelSpacingHz,
    kind: step.set.kind,
    level: isSet(step) ? rankOf(step) : undefined,
    antennaGainDbd: step.band.antennaGainDbd,
    antennaGainDoubtDb: step.band.antennaGainDoubtDb,
  }
}
