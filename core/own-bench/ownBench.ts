import Joi from 'joi'
import { parse as secureParse } from 'secure-json-parse'
import type { Calibration, Chain, Instrument } from '../chain'
import { CoreError } from '../errors'
import { nestedTooDeep } from '../json'
import { type Phrasebook, phrasebookSchema } from '../link'
import { type Review, reviewParts } from '../review'
import type { Rulebook } from '../rules'

/** A reviewer's own bench and rulebooks, as they are kept beside the reviews. */
export interface OwnBench {
  changedAt: string
  /** Whose bench it is; a review that is begun takes it for its reviewer. */
  reviewer: string
  instruments: Instrument[]
  chains: Chain[]
  calibrations: Calibration[]
  rulebooks: Rulebook[]
  /** How the reviewer’s own instruments are spoken to. */
  phrasebooks: Phrasebook[]
  /** Words that close what goes out: where the reviewer is reached, who paid. */
  closing: string
}

const FORMAT = 'rigorous-meter-bench'
const FORM = 1

/** Most a bench file may weigh, characters. */
export const MOST_BENCH_CHARACTERS = 8_000_000

const schema = Joi.object<OwnBench>({
  changedAt: Joi.string().isoDate().required(),
  reviewer: Joi.string().allow('').max(400).required(),
  instruments: reviewParts.instruments,
  chains: reviewParts.chains,
  calibrations: reviewParts.calibrations,
  rulebooks: reviewParts.ownRulebooks,
  phrasebooks: Joi.array().items(phrasebookSchema).max(100).default([]),
  closing: Joi.string().allow('').max(2000).default(''),
})

/** A bench with nothing on it. */
export function emptyBench(at: string): OwnBench {
  return {
    changedAt: at,
    reviewer: '',
    instruments: [],
    chains: [],
    calibrations: [],
    rulebooks: [],
    phrasebooks: [],
    closing: '',
  }
}

/** Whether there is anything on it. */
export function isEmptyBench({ instruments, chains, rulebooks }: OwnBench): boolean {
  return instruments.length + chains.length + rulebooks.length === 0
}

/** The bench of a review as one's own: what was there of the same identity is replaced, the rest stays. */
export function keptFrom(review: Review, bench: OwnBench, at: string): OwnBench {
  return {
    ...bench,
    changedAt: at,
    reviewer: review.reviewer || bench.reviewer,
    instruments: merged(bench.instruments, review.instruments),
    chains: merged(bench.chains, review.chains),
    calibrations: merged(bench.calibrations, review.calibrations),
    rulebooks: merged(bench.rulebooks, review.ownRulebooks),
  }
}

/** A review with copies of all that is on a bench; what it has of the same identity stays as it is. */
export function withOwnBench(review: Review, bench: OwnBench): Review {
  return {
    ...review,
    reviewer: review.reviewer || bench.reviewer,
    instruments: merged(bench.instruments, review.instruments),
    chains: merged(bench.chains, review.chains),
    calibrations: merged(bench.calibrations, review.calibrations),
    ownRulebooks: merged(bench.rulebooks, review.ownRulebooks),
  }
}

/** What stands in both has the later’s state, in the earlier’s place. */
function merged<T extends { id: string }>(earlier: readonly T[], later: readonly T[]): T[] {
  const known = new Map(earlier.map(one => [one.id, one]))
  for (const one of later) known.set(one.id, one)
  return [...known.values()]
}

/** Something a review has a copy of, whose original is another now. */
export interface MovedOn {
  kind: 'instrument' | 'chain' | 'rulebook'
  id: string
  name: string
}

/** Copies in a review whose originals on the bench have moved on. */
export function movedOn(review: Review, bench: OwnBench): MovedOn[] {
  return [
    ...differing('instrument', bench.instruments, review.instruments, ({ name }) => name),
    ...differing('chain', bench.chains.map(plainChain), review.chains.map(plainChain), ({ name }) => name),
    ...differing('rulebook', bench.rulebooks, review.ownRulebooks, ({ title }) => title),
  ]
}

/** How often it was changed is no difference. */
const plainChain = ({ revision: _revision, ...chain }: Chain) => chain

function differing<T extends { id: string }>(
  kind: MovedOn['kind'],
  originals: readonly T[],
  copies: readonly T[],
  nameOf: (one: T) => string,
): MovedOn[] {
  return originals.flatMap(original => {
    const copy = copies.find(({ id }) => id === original.id)
    return copy && sorted(copy) !== sorted(original)
      ? [{ kind, id: original.id, name: nameOf(original) }]
      : []
  })
}

/** The same text for the same content, whatever the order of keys. */
function sorted(value: unknown): string {
  return JSON.stringify(value, (_key, part: unknown) =>
    typeof part === 'object' && part !== null && !Array.isArray(part)
      ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1)))
      : part,
  )
}

/** A review that takes over what has moved on; chains through it rise in revision, so that readings know. */
export function takenOver(review: Review, bench: OwnBench, moved: readonly MovedOn[]): Partial<Review> {
  const ids = new Set(moved.map(({ id }) => id))
  const instruments = review.instruments.map(one => originalOf(one, bench.instruments, ids))
  const changed = new Set(instruments.filter((one, i) => one !== review.instruments[i]).map(({ id }) => id))
  return {
    instruments,
    chains: review.chains.map(copy => {
      const original = originalOf(copy, bench.chains, ids)
      const rises = original !== copy || changed.has(copy.instrumentId)
      return rises ? { ...original, revision: copy.revision + 1 } : copy
    }),
    calibrations: merged(review.calibrations, bench.calibrations.filter(isNewIn(review.calibrations))),
    ownRulebooks: review.ownRulebooks.map(one => originalOf(one, bench.rulebooks, ids)),
  }
}

const isNewIn =
  (known: readonly { id: string }[]) =>
  ({ id }: { id: string }): boolean =>
    !known.some(one => one.id === id)

function originalOf<T extends { id: string }>(copy: T, originals: readonly T[], ids: ReadonlySet<string>): T {
  return (ids.has(copy.id) && originals.find(({ id }) => id === copy.id)) || copy
}

/** A bench as a file. */
export function writeBenchFile(bench: OwnBench): string {
  return `${JSON.stringify({ format: FORMAT, formatVersion: FORM, bench }, null, 2)}\n`
}

/**
 * Reads a bench file, or refuses it in plain words.
 * @throws CoreError `bad-file` or `newer-version`.
 */
export function readBenchFile(text: string, fileName: string): OwnBench {
  if (text.length > MOST_BENCH_CHARACTERS) throw refuse(fileName, 'it is larger than any bench')
  const tooMuch = nestedTooDeep(text, { depth: 40, values: Infinity })
  if (tooMuch) throw refuse(fileName, tooMuch)
  const data = parsed(text, fileName) as { format?: unknown; formatVersion?: unknown; bench?: unknown } | null
  if (data?.format !== FORMAT) throw refuse(fileName, 'it is not a bench of Rigorous Meter')
  if (typeof data.formatVersion === 'number' && data.formatVersion > FORM)
    throw new CoreError(
      'newer-version',
      `“${fileName}” was written by a newer version (form ${data.formatVersion}; ` +
        `this one knows ${FORM}). Nothing was changed.`,
      { got: data.formatVersion, known: FORM },
    )
  return validBench(data.bench, fileName)
}

/** Takes unknown data for a bench. @throws CoreError `bad-file`. */
export function validBench(data: unknown, fileName: string): OwnBench {
  const { error, value } = schema.validate(data, { convert: false })
  if (error) throw refuse(fileName, `it is damaged at ${error.details[0]?.path.join(' › ') ?? 'the top'}`)
  return value as OwnBench
}

function parsed(text: string, fileName: string): unknown {
  try {
    return secureParse(text.replace(/^\uFEFF/, ''), null, {
      protoAction: 'error',
      constructorAction: 'error',
    })
  } catch (cause) {
    throw refuse(fileName, text.trim() === '' ? 'it is empty' : 'it is not JSON, or it was cut short', cause)
  }
}

function refuse(fileName: string, why: string, cause?: unknown): CoreError<'bad-file'> {
  return new CoreError(
    'bad-file',
    `“${fileName}” was not opened: ${why}. Your bench is as it was.`,
    { fileName, row: null, why },
    { cause },
  )
}
