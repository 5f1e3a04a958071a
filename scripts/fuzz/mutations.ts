import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** Texts that readers of figures stumble over. */
const UGLY_TEXTS = [
  ...['NaN', 'Infinity', '-inf', '1e999', '-1e308', '9'.repeat(500), '0x10', '−13,5', '1,000.5', '', ' '],
  ...['\u0000', '\ud800', '"', '""', ';', ',,,,', '\n\n', '\r', '\t', '#', '__proto__', 'null', '[[[[[['],
  ...['{"a":'.repeat(60), ' '.repeat(100_000), '1e15', '23:59:59', '00:00:01', 'dBm', 'MHz', '∞', '°'],
]

/** Numbers that sizes, rates and counts in a file's head may be. */
const UGLY_NUMBERS = [0, 1, 2, 7, 8, 11, 0x7f, 0xff, 0xffff, 0x7fffffff, 0x80000000, 0xfffffffe, 0xffffffff]

/** A source of chance for one file. */
export function chance(seed: number) {
  const source = xoroshiro128plus(seed)
  const below = (n: number) => Math.floor((source.next() >>> 0) * 2 ** -32 * n)
  const pick = <T>(list: readonly T[]): T => list[below(list.length)]!
  return { below, pick }
}

export type Chance = ReturnType<typeof chance>
type Mutation = (bytes: Uint8Array, by: Chance) => Uint8Array

const text = (words: string) => new TextEncoder().encode(words)

function joined(...parts: Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0))
  let at = 0
  for (const part of parts) {
    whole.set(part, at)
    at += part.length
  }
  return whole
}

/** Mostly near the start, where heads are. */
const place = (bytes: Uint8Array, { below }: Chance) =>
  below(2) === 0 ? below(Math.min(bytes.length, 120)) : below(bytes.length)

const MUTATIONS: Mutation[] = [
  (bytes, { below }) => bytes.slice(0, below(bytes.length + 1)),
  (bytes, { below }) => bytes.slice(0, below(Math.min(bytes.length, 80) + 1)),
  (bytes, by) => {
    const changed = bytes.slice()
    for (let i = by.below(8); i >= 0; i--) changed[place(bytes, by)] = by.below(256)
    return changed
  },
  (bytes, by) => {
    const changed = bytes.slice()
    const at = place(bytes, by) & ~1
    const view = new DataView(changed.buffer)
    if (at + 4 <= changed.length) view.setUint32(at, by.pick(UGLY_NUMBERS), by.below(4) > 0)
    return changed
  },
  (bytes, by) => {
    const at = place(bytes, by)
    return joined(bytes.slice(0, at), text(by.pick(UGLY_TEXTS)), bytes.slice(at + by.below(12)))
  },
  (bytes, by) => {
    const [from, to] = [by.below(bytes.length), by.below(bytes.length)].sort((a, b) => a - b)
    return joined(bytes.slice(0, to), bytes.slice(from, to), bytes.slice(to))
  },
  (bytes, by) => {
    const from = by.below(bytes.length)
    const changed = bytes.slice()
    changed.fill(by.pick([0, 255, 32, 127]), from, from + by.below(400))
    return changed
  },
  (bytes, by) => {
    const from = by.below(bytes.length)
    return joined(bytes.slice(0, from), bytes.slice(from + by.below(60)))
  },
]

/** A file with one to four faults in it. */
export function mutated(bytes: Uint8Array, by: Chance): Uint8Array {
  let changed = bytes
  for (let faults = by.below(4); faults >= 0 && changed.length > 0; faults--)
    changed = by.pick(MUTATIONS)(changed, by)
  return changed
}

/** A JSON text with one value of it replaced, at any depth; or with faults in its bytes. */
export function mutatedJson(bytes: Uint8Array, by: Chance): Uint8Array {
  if (by.below(3) === 0) return mutated(bytes, by)
  const root = { root: JSON.parse(new TextDecoder().decode(bytes)) as unknown }
  for (let faults = by.below(3); faults >= 0; faults--) replaceOne(root, by)
  return text(JSON.stringify(root.root) ?? '')
}

const UGLY_VALUES: unknown[] = [
  ...[null, true, -1, 0, 1e308, -1e308, 1e15, 5e-324, 2 ** 53, '', 'x'.repeat(400), '9'.repeat(500)],
  ...[[], {}, [[[[[[]]]]]], { kind: 'watts' }, 'NaN', '\u0000'],
]

function replaceOne(root: object, { below, pick }: Chance): void {
  let bag = root as Record<string, unknown>
  for (let depth = below(9); depth > 0; depth--) {
    const inner = Object.values(bag).filter(value => typeof value === 'object' && value !== null)
    if (inner.length === 0) break
    bag = pick(inner) as Record<string, unknown>
  }
  const key = pick(Object.keys(bag))
  if (key === undefined) return
  if (below(5) === 0) delete bag[key]
  else bag[key] = structuredClone(pick(UGLY_VALUES))
}
