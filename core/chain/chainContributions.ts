import { type Contribution, contribution, mismatchContribution, mismatchHalfWidthDb } from '../uncertainty'
import { chainPath } from './chainPath'
import { partLossAt } from './partLoss'
import type { Chain, Instrument, Part } from './types'

/** Typical output VSWR of a hand-held transmitter when nobody measured it (assumed in every report). */
export const ASSUMED_RADIO_VSWR = 2

/**
 * The same at its harmonics and elsewhere beside the carrier: behind its low-pass it sends nearly all back, |Γ| = 0.95
 * (assumed; common practice, no source).
 */
export const ASSUMED_UNWANTED_VSWR = 39

/** What the radio sends: its carrier, or what it should not. */
export type EmissionClass = 'carrier' | 'unwanted'

/** Where in frequency something is sent, and what it is. */
export interface EmissionPlace {
  frequencyHz: number
  emission: EmissionClass
}

const RADIO_VSWR: Record<EmissionClass, number> = {
  carrier: ASSUMED_RADIO_VSWR,
  unwanted: ASSUMED_UNWANTED_VSWR,
}

/** Mismatch terms smaller than this half-width (dB) are left out. */
const SMALLEST_MISMATCH_DB = 0.003

/**
 * What the chain itself adds to a reading's uncertainty: each part's loss, and the mismatch between
 * every two facing ports with the loss between them counted twice.
 */
export function chainContributions(
  chain: Chain,
  instrument: Instrument,
  place: EmissionPlace,
): Contribution[] {
  const { before } = chainPath(chain, instrument)
  return [
    ...before.flatMap(part => partContributions(part, place.frequencyHz)),
    ...mismatchContributions(chain, instrument, place),
  ]
}

/** Half-width of a part's loss at a frequency, dB: what is stated, and the share of the loss on top of it. */
export function partHalfWidthDb(part: Part, frequencyHz: number): number {
  const loss = partLossAt(part, frequencyHz)
  return (
    part.lossUncertainty.halfWidthDb +
    part.lossUncertainty.shareOfLoss * (loss.known ? Math.abs(loss.lossDb) : 0)
  )
}

/** A part's loss as one line, or as two where it is known how much of it changes with frequency. */
function partContributions(part: Part, frequencyHz: number): Contribution[] {
  const { distribution, assumed, flatnessDb } = part.lossUncertainty
  const halfWidthDb = partHalfWidthDb(part, frequencyHz)
  if (halfWidthDb === 0) return []
  const line = { group: 'part' as const, distribution, assumed }
  if (flatnessDb === null || distribution === 'normal')
    return [contribution({ ...line, id: `part:${part.id}`, label: part.name, halfWidth: halfWidthDb })]
  const flat = Math.min(flatnessDb, halfWidthDb)
  return [
    contribution({
      ...line,
      id: `part:${part.id}/level`,
      label: `${part.name}, level`,
      halfWidth: halfWidthDb - flat,
      sharedKey: `part:${part.id}`,
    }),
    contribution({
      ...line,
      id: `part:${part.id}/flatness`,
      label: `${part.name}, over frequency`,
      halfWidth: flat,
    }),
  ].filter(one => one.halfWidth > 0)
}

function mismatchContributions(
  chain: Chain,
  instrument: Instrument,
  { frequencyHz, emission }: EmissionPlace,
): Contribution[] {
  const { before, termination } = chainPath(chain, instrument)
  const ports = [
    { id: 'radio', label: 'radio', vswr: RADIO_VSWR[emission], lossDb: 0, assumed: true },
    ...before.map(part => {
      const loss = partLossAt(part, frequencyHz)
      return {
        id: part.id,
        label: part.name,
        vswr: part.vswr,
        lossDb: loss.known ? loss.lossDb : 0,
        assumed: false,
      }
    }),
    {
      id: instrument.id,
      label: instrument.name,
      vswr: Math.max(instrument.vswr, termination?.vswr ?? 1),
      lossDb: 0,
      assumed: false,
    },
  ]
  const found: Contribution[] = []
  for (let i = 0; i < ports.length; i++) {
    let lossBetweenDb = 0
    for (let j = i + 1; j < ports.length; j++) {
      const left = ports[i]!
      const right = ports[j]!
      const facing = { vswr1: left.vswr, vswr2: right.vswr, lossBetweenDb: Math.max(0, lossBetweenDb) }
      if (mismatchHalfWidthDb(facing) >= SMALLEST_MISMATCH_DB)
        found.push(
          mismatchContribution(
            {
              id: `mismatch:${left.id}:${right.id}`,
              label: `Mismatch, ${left.label} to ${right.label}`,
              assumed: left.assumed,
            },
            facing,
          ),
        )
      lossBetweenDb += right.lossDb
    }
  }
  return found
}
