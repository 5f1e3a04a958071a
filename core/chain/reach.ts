import { MINUS, printFrequencyShort, printMhz } from '../quantity'
import { chainLossAt } from './chainLoss'
import type { Chain, Instrument } from './types'

/** Whether a frequency can be measured through this chain, and if not, why. */
export type Reach = { covered: true } | { covered: false; why: string; because: 'instrument' | 'chain' }

/** Can this chain and instrument say anything at `frequencyHz`? */
export function reachAt(chain: Chain, instrument: Instrument, frequencyHz: number): Reach {
  if (frequencyHz > instrument.toHz)
    return {
      covered: false,
      because: 'instrument',
      why: `${instrument.name} stops at ${printFrequencyShort(instrument.toHz)}.`,
    }
  if (frequencyHz < instrument.fromHz)
    return {
      covered: false,
      because: 'instrument',
      why: `${instrument.name} starts at ${printFrequencyShort(instrument.fromHz)}.`,
    }
  const loss = chainLossAt(chain, instrument, frequencyHz)
  return loss.known ? { covered: true } : { covered: false, because: 'chain', why: loss.why }
}

/** The harmonics of a fundamental out of reach, in words; null when all are within reach. */
export function outOfReachInWords(
  chain: Chain,
  instrument: Instrument,
  carrierHz: number,
  highest: number,
): string | null {
  const missing: number[] = []
  for (let n = 1; n <= highest; n++) if (!reachAt(chain, instrument, n * carrierHz).covered) missing.push(n)
  const first = missing[0]
  if (first === undefined) return null
  const beyondInstrument = missing.filter(n => n * carrierHz > instrument.toHz)
  if (beyondInstrument.length === missing.length)
    return (
      `×${first}${first < highest ? ' and up' : ''} of ${printMhz(carrierHz)} ` +
      `${first < highest ? 'lie' : 'lies'} above ${printFrequencyShort(instrument.toHz)}: not covered`
    )
  return (
    `${harmonicList(missing)} of ${printMhz(carrierHz)}: not covered. ` +
    `${whyNot(chain, instrument, first * carrierHz)}`
  )
}

/** Harmonic numbers as a person lists them: `×3, ×5 to ×8`. */
export function harmonicList(numbers: readonly number[]): string {
  const runs: [number, number][] = []
  for (const n of [...numbers].sort((a, b) => a - b)) {
    const run = runs[runs.length - 1]
    if (run && n === run[1] + 1) run[1] = n
    else runs.push([n, n])
  }
  return runs
    .map(([from, to]) => {
      if (from === to) return `×${from}`
      if (to === from + 1) return `×${from}, ×${to}`
      return `×${from} to ×${to}`
    })
    .join(', ')
}

function whyNot(chain: Chain, instrument: Instrument, frequencyHz: number): string {
  const reach = reachAt(chain, instrument, frequencyHz)
  return reach.covered ? MINUS : reach.why
}
