import { type Contribution, contribution, mismatchHalfWidthDb } from '../uncertainty'
import { chainPath } from './chainPath'
import { partLossAt } from './partLoss'
import type { Chain, Instrument } from './types'

/** Typical output VSWR of a hand-held transmitter when nobody measured it (assumed in every report). */
export const ASSUMED_RADIO_VSWR = 2

/** Mismatch terms smaller than this half-width (dB) are left out. */
const SMALLEST_MISMATCH_DB = 0.003

/**
 * What the chain itself adds to a reading's uncertainty: each part's loss, and the mismatch between
 * every two facing ports with the loss between them counted twice.
 */
export function chainContributions(chain: Chain, instrument: Instrument, frequencyHz: number): Contribution[] {
  const { before } = chainPath(chain, instrument)
  const losses = before
    .filter(part => part.lossUncertainty.halfWidthDb > 0)
    .map(part => contribution({
      id: `part:${part.id}`, group: 'part', label: part.name,
      distribution: part.lossUncertainty.distribution, halfWidthDb: part.lossUncertainty.halfWidthDb, assumed: part.lossUncertainty.assumed,
    }))
  return [...losses, ...mismatchContributions(chain, instrument, frequencyHz)]
}

function mismatchContributions(chain: Chain, instrument: Instrument, frequencyHz: number): Contribution[] {
  const { before, termination } = chainPath(chain, instrument)
  const ports = [
    { id: 'radio', label: 'radio', vswr: ASSUMED_RADIO_VSWR, lossDb: 0, assumed: true },
    ...before.map((part) => {
      const loss = partLossAt(part, frequencyHz)
      return { id: part.id, label: part.name, vswr: part.vswr, lossDb: loss.known ? loss.lossDb : 0, assumed: false }
    }),
    { id: instrument.id, label: instrument.name, vswr: Math.max(instrument.vswr, termination?.vswr ?? 1), lossDb: 0, assumed: false },
  ]
  const found: Contribution[] = []
  for (let i = 0; i < ports.length; i++) {
    let lossBetweenDb = 0
    for (let j = i + 1; j < ports.length; j++) {
      const left = ports[i]!
      const right = ports[j]!
      const halfWidthDb = mismatchHalfWidthDb({ vswr1: left.vswr, vswr2: right.vswr, lossBetweenDb })
      if (halfWidthDb >= SMALLEST_MISMATCH_DB)
        found.push(contribution({ id: `mismatch:${left.id}:${right.id}`, group: 'mismatch', label: `Mismatch, ${left.label} to ${right.label}`, distribution: 'u-shaped', halfWidthDb, assumed: left.assumed }))
      lossBetweenDb += right.lossDb
    }
  }
  return found
}
