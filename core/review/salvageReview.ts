import { knownBooks, OF_A_SET } from './crossCheck'
import { migrateReview } from './migrateReview'
import { newReview } from './newReview'
import { fieldSchema, itemSchema, mostItems } from './schemaParts'
import type { Review } from './types'
import { validateReview } from './validateReview'

/** Something that was left out of a review, because it is damaged or belongs to what is. */
export interface LeftOut {
  field: keyof Review
  /** How many of a list; null for a field as a whole, that is as in a new review now. */
  count: number | null
  why: 'unreadable' | 'too-many' | 'of-no-radio' | 'unknown-rulebook'
}

/** What is sound of a damaged review, as a review of its own. */
export interface Salvaged {
  review: Review
  left: LeftOut[]
}

type Plain = Record<string, unknown>

/**
 * Makes a sound review of whatever can be read of a damaged one: each field and each item of a list is taken
 * where the schema takes it; what belonged to something that is gone goes with it. Everything that is left out
 * is named.
 * @param data - of any form, as far as it could be read.
 * @param given - the new review's identity; its title where the old one cannot be read.
 * @returns null where nothing of a review can be found.
 */
export function salvageReview(
  data: unknown,
  given: { id: string; title: string; at: string },
): Salvaged | null {
  const found = upToDate(data)
  if (!isPlain(found)) return null
  const fresh = newReview(given)
  const left: LeftOut[] = []
  const taken: Plain = { ...fresh }
  for (const field of Object.keys(fresh) as (keyof Review)[]) {
    if (field === 'id' || found[field] === undefined) continue
    const value = Array.isArray(fresh[field]) ? soundItems(found[field], field, left) : found[field]
    if (isSound(fieldSchema(field), value)) taken[field] = value
    else left.push({ field, count: null, why: 'unreadable' })
  }
  const review = withoutUnknownBooks(withoutStrays(taken as unknown as Review, left), left)
  return { review: validateReview(review), left }
}

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The data in the present form; as it is where it is too damaged to be brought there. */
function upToDate(data: unknown): unknown {
  try {
    return migrateReview(data)
  } catch {
    return data
  }
}

function isSound(schema: ReturnType<typeof fieldSchema>, value: unknown): boolean {
  return schema.validate(value, { convert: false }).error === undefined
}

function soundItems(value: unknown, field: keyof Review, left: LeftOut[]): unknown {
  if (!Array.isArray(value)) return value
  const item = itemSchema(field)
  const sound = value.filter(one => isSound(item, one))
  const most = mostItems(field) ?? Infinity
  count(left, { field, count: value.length - sound.length, why: 'unreadable' })
  count(left, { field, count: Math.max(0, sound.length - most), why: 'too-many' })
  return sound.slice(0, most)
}

function count(left: LeftOut[], out: LeftOut & { count: number }): void {
  if (out.count > 0) left.push(out)
}

/** Takes out what belongs to a radio that is not there. */
function withoutStrays(review: Review, left: LeftOut[]): Review {
  const sets = new Set(review.sets.map(({ id }) => id))
  const kept: Plain = { ...review }
  for (const field of Object.keys(OF_A_SET) as (keyof typeof OF_A_SET)[]) {
    const list: readonly { setId: string }[] = review[field]
    const stays = list.filter(({ setId }) => sets.has(setId))
    count(left, { field, count: list.length - stays.length, why: 'of-no-radio' })
    kept[field] = stays
  }
  return kept as unknown as Review
}

/** Takes out what is judged by a rulebook nobody has. */
function withoutUnknownBooks(review: Review, left: LeftOut[]): Review {
  const known = knownBooks(review)
  const { rulebookIds, yardstickId } = review.settings
  const stay = rulebookIds.filter(id => known.has(id))
  const asked = review.sets.flatMap(set => set.bands.flatMap(band => band.rulebookIds ?? []))
  const unknown = [...rulebookIds, ...asked].filter(id => !known.has(id)).length
  count(left, { field: 'settings', count: unknown, why: 'unknown-rulebook' })
  return {
    ...review,
    settings: {
      ...review.settings,
      rulebookIds:
        stay.length > 0
          ? stay
          : newReview({ id: 'x', title: 'x', at: review.createdAt }).settings.rulebookIds,
      yardstickId: yardstickId !== null && known.has(yardstickId) ? yardstickId : null,
    },
    sets: review.sets.map(set => ({
      ...set,
      bands: set.bands.map(band => ({
        ...band,
        rulebookIds: band.rulebookIds?.every(id => known.has(id)) ? band.rulebookIds : null,
      })),
    })),
  }
}

const NAMES: Partial<Record<keyof Review, [one: string, many: string]>> = {
  sets: ['radio', 'radios'],
  instruments: ['instrument', 'instruments'],
  chains: ['chain', 'chains'],
  readings: ['reading', 'readings'],
  traces: ['trace', 'traces'],
  curves: ['curve', 'curves'],
  keyDowns: ['key-down', 'key-downs'],
  notes: ['note', 'notes'],
  pictures: ['picture', 'pictures'],
  clips: ['clip', 'clips'],
  skipped: ['step left out', 'steps left out'],
  runOrder: ['place of the run’s order', 'places of the run’s order'],
  calibrations: ['calibration', 'calibrations'],
  calibrationSwaps: ['change of calibration', 'changes of calibration'],
  padTests: ['pad test', 'pad tests'],
  controlChecks: ['check of the control radio', 'checks of the control radio'],
  otherFigures: ['figure of another tester', 'figures of other testers'],
  ownRulebooks: ['rulebook of your own', 'rulebooks of your own'],
  publications: ['publication', 'publications'],
  settings: ['rulebook asked for', 'rulebooks asked for'],
}

const WHOLES: Partial<Record<keyof Review, string>> = {
  title: 'the title',
  purpose: 'the purpose',
  reviewer: 'the reviewer',
  createdAt: 'when it was begun',
  updatedAt: 'when it was changed last',
  settings: 'how it judges: the settings are those of a new review',
  ticks: 'the ticks of the lists',
  memos: 'what stations keep besides readings',
  sheetWords: 'your own words on sheets',
}

const REASONS: Record<LeftOut['why'], string> = {
  unreadable: 'damaged',
  'too-many': 'more than a review holds',
  'of-no-radio': 'of a radio that is not there',
  'unknown-rulebook': 'that nobody has',
}

/** What was left out, in words; a field in `many` words where its name is not known here. */
export function leftOutWords({ field, count: howMany, why }: LeftOut): string {
  if (howMany === null) return WHOLES[field] ?? `${NAMES[field]?.[1] ?? field}: all of them`
  const [one, many] = NAMES[field] ?? [field, field]
  return `${howMany} ${howMany === 1 ? one : many}, ${REASONS[why]}`
}
