import { CoreError } from '../../core/errors'
import { UsageError } from '../../cli/usageError'
import { chance } from './mutations'
import { READERS } from './readers'

const [files = 10_000, seed = 1, only = ''] = process.argv
  .slice(2)
  .map((value, i) => (i < 2 ? Number(value) : value))

/** A file that takes longer than this is a fault, ms. */
const LONGEST_MS = 2000

/** What no person is to read, where it is not what the file says. */
const ENGINE_WORDS = /undefined|\[object|NaN|is not a function/

interface Count {
  files: number
  read: number
  refused: number
  slowestMs: number
}

/** A number in what was accepted that is none. */
function noFigureIn(value: unknown, path = '', depth = 0): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : path
  if (depth > 12 || typeof value !== 'object' || value === null) return null
  const inner = value instanceof Map ? [...value] : Object.entries(value)
  for (const [key, one] of inner) {
    const found = noFigureIn(one, `${path}.${String(key)}`, depth + 1)
    if (found !== null) return found
  }
  return null
}

/** Says what is being read, so that who watches knows what hung. */
const begin = (what: string) => process.send?.({ what })

async function readOne(
  reader: (typeof READERS)[number],
  index: number,
  count: Count,
): Promise<string | null> {
  const by = chance(Number(seed) * 1_000_003 + index)
  const bytes = reader.mutate(by.pick(reader.seeds), by)
  count.files += 1
  const from = performance.now()
  try {
    const found = await reader.read(bytes)
    count.read += 1
    const wrong = noFigureIn(found)
    if (wrong !== null) return `accepted, though ${wrong} is no figure`
  } catch (error) {
    if (!(error instanceof CoreError || error instanceof UsageError))
      return `an error that is not ours: ${error instanceof Error ? error.stack : String(error)}`
    if (error.message.length > 600 || ENGINE_WORDS.test(error.message.replace(/“[^”]*”/g, '')))
      return `no words for a person: ${error.message.slice(0, 200)}`
    count.refused += 1
  } finally {
    count.slowestMs = Math.max(count.slowestMs, performance.now() - from)
  }
  return performance.now() - from > LONGEST_MS ? 'slow' : null
}

const readers = READERS.filter(({ name }) => name.includes(String(only)))
const wrong: string[] = []
const counts = new Map<string, Count>(
  readers.map(({ name }) => [name, { files: 0, read: 0, refused: 0, slowestMs: 0 }]),
)
for (let index = 0; index < Number(files); index++) {
  const reader = readers[index % readers.length]!
  begin(`${reader.name}, file ${index}`)
  const fault = await readOne(reader, index, counts.get(reader.name)!)
  if (fault !== null) wrong.push(`${reader.name}, file ${index}: ${fault}`)
}
console.log(
  `${'reader'.padEnd(28)} ${['files', 'read', 'refused', 'slowest ms'].map(one => one.padStart(10)).join(' ')}`,
)
for (const [name, { files: all, read, refused, slowestMs }] of counts)
  console.log(
    `${name.padEnd(28)} ${[all, read, refused, Math.round(slowestMs)].map(one => String(one).padStart(10)).join(' ')}`,
  )
for (const line of wrong.slice(0, 40)) console.log(line)
console.log(`${wrong.length} wrong`)
process.exit(wrong.length > 0 ? 1 : 0)
