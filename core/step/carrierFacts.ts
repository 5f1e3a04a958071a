import type { CarrierFacts } from '../rules'
import type { Step } from './step'

/** What a rulebook has to know of the carrier of a step. */
export function carrierFacts(step: Pick<Step, 'set' | 'band' | 'channel'>, powerW: number): CarrierFacts {
  return {
    frequencyHz: step.channel.frequencyHz,
    powerW,
    mode: step.band.mode,
    channelSpacingHz: step.band.channelSpacingHz,
    kind: step.set.kind,
    antennaGainDbd: step.band.antennaGainDbd,
    antennaGainDoubtDb: step.band.antennaGainDoubtDb,
  }
}
