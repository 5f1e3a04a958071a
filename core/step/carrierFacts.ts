import type { CarrierFacts, LevelRank } from '../rules'
import type { Step } from './step'

/** Where the level of a step stands among those its band has: by what is claimed, else in the card’s order. */
function levelRank({ set, band }: Pick<Step, 'set' | 'band'>, setting: Step['setting']): LevelRank {
  const levels = set.levels.flatMap(({ id }, order) => {
    const claim = band.claims[id]
    if (!claim || claim.kind === 'no-level') return []
    return [{ id, strength: claim.kind === 'watts' ? claim.powerW : null, order }]
  })
  const known = levels.every(({ strength }) => strength !== null)
  const sorted = [...levels].sort((a, b) => (known ? b.strength! - a.strength! : a.order - b.order))
  if (sorted[0]?.id === setting.level.id || sorted.length < 2) return 'highest'
  return sorted.at(-1)!.id === setting.level.id ? 'lowest' : 'between'
}

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
    ...(step.setting ? { level: levelRank(step, step.setting) } : {}),
    antennaGainDbd: step.band.antennaGainDbd,
    antennaGainDoubtDb: step.band.antennaGainDoubtDb,
  }
}
