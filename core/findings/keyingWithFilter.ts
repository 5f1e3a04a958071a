import { libraryPart, type LossPoint, type Part } from '../chain'
import { type Context, createContext } from '../context'
import { parsePlainNumber } from '../quantity'
import type { RadioSet } from '../review'
import { mayIKey, type MayIKey } from './mayIKey'

/** A filter's loss as it was written, or why it cannot be read. */
export type FilterRead = { ok: true; points: LossPoint[] } | { ok: false; message: string }

/** Most lines a filter's loss may have. */
const MOST_LINES = 200

/** Said beside what a filter would bring. */
export const FILTER_CAUTION =
  'Worked out from its loss alone; beyond its table nothing is taken off. ' +
  'A filter sends what it stops back into the radio, which may then make more of it: ' +
  'read the harmonics again with the filter in place before you believe it.'

/** Reads a filter's loss: one line a frequency, MHz and dB; what follows a # is a remark. */
export function parseFilterLoss(text: string): FilterRead {
  const lines = text
    .split('\n')
    .map(line => line.replace(/#.*/, '').trim())
    .filter(line => line !== '')
  if (lines.length === 0) return { ok: false, message: 'One line a frequency: MHz and dB.' }
  if (lines.length > MOST_LINES) return { ok: false, message: `At most ${MOST_LINES} lines.` }
  const points: LossPoint[] = []
  for (const [i, line] of lines.entries()) {
    const [mhz, db, ...more] = line.split(/[\s;]+/)
    const frequency = parsePlainNumber(mhz ?? '', { min: 0.001, max: 1e6, unit: 'MHz' })
    const loss = parsePlainNumber(db ?? '', { min: 0, max: 200, unit: 'dB' })
    if (!frequency.ok || !loss.ok || more.length > 0)
      return { ok: false, message: `Line ${i + 1}, “${line}”: MHz and dB, like 293 45.` }
    points.push({ frequencyHz: frequency.value * 1e6, lossDb: loss.value })
  }
  return { ok: true, points }
}

/** A typical low-pass for the 2 m band as such lines, to begin with. */
export function typicalFilterLoss(): string {
  const { loss } = libraryPart('low-pass-150', 'typical')
  return loss.kind === 'table'
    ? loss.points.map(({ frequencyHz, lossDb }) => `${frequencyHz / 1e6} ${lossDb}`).join('\n')
    : ''
}

/**
 * May they be keyed with a filter between radio and antenna? Every reading is taken through it and judged like any
 * other. Beyond its table nothing is taken off: what is passive adds nothing, and more is not known.
 */
export function mayIKeyWithFilter(
  sets: readonly RadioSet[],
  points: readonly LossPoint[],
  { review }: Context,
): MayIKey[] {
  const filter = filterPart(points)
  const filtered = createContext({
    ...review,
    chains: review.chains.map(chain => ({ ...chain, parts: [filter, ...chain.parts] })),
  })
  return sets.flatMap(set => mayIKey(set, filtered))
}

/** What takes a reading at the radio behind a filter: loss the other way round, and nothing else. */
function filterPart(points: readonly LossPoint[]): Part {
  return {
    ...libraryPart('adapter', 'keying-filter'),
    kind: 'filter',
    name: 'The filter',
    vswr: 1,
    fromHz: null,
    toHz: null,
    loss: {
      kind: 'table',
      points: withEnds(points).map(({ frequencyHz, lossDb }) => ({ frequencyHz, lossDb: -lossDb })),
    },
    lossUncertainty: {
      halfWidthDb: 0,
      distribution: 'rectangular',
      assumed: false,
      shareOfLoss: 0,
      flatnessDb: null,
    },
  }
}

/** The table with nothing on either side of it. */
function withEnds(points: readonly LossPoint[]): LossPoint[] {
  const frequencies = points.map(({ frequencyHz }) => frequencyHz)
  const none = (frequencyHz: number): LossPoint => ({ frequencyHz, lossDb: 0 })
  const [first, last] = [Math.min(...frequencies), Math.max(...frequencies)]
  return [
    none(first * 1e-6),
    none(first * (1 - BESIDE)),
    ...points,
    none(last * (1 + BESIDE)),
    none(last * 1e6),
  ]
}

/** So near an end of the table its loss is no longer taken off, as a share of the frequency. */
const BESIDE = 1e-9
