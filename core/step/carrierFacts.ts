import { kept } from '../derive'
import type { CarrierFacts, LevelRank } from '../rules'
import type { Step } from './step'

type RankedStep = Pick<Step, 'set' | 'band' | 'setting'>

/** Claims and levels never change, they are replaced: each level is ranked once for all steps at it. */
const ranks = new WeakMap<RankedStep['band']['claims'], Ranks>()

interface Ranks {
  levels: RankedStep['set']['levels']
  byId: Map<string, LevelRank>
}

function rankOf(step: RankedStep): LevelRank {
  const { levels } = step.set
  const { claims } = step.band
  let known = ranks.get(claims)
  if (known?.levels !== levels) ranks.set(claims, (known = { levels, byId: new Map() }))
  return kept(known.byId, step.setting.level.id, () => levelRank(step))
}

/** Where the level of a step stands among those its band has: by what is claimed, else in the card’s order. */
function levelRank({ set, band, setting }: RankedStep): LevelRank {
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
