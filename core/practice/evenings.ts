import { seededRandom, seedOf } from '../virtual'
import { TIDY_HANDS } from './hands'
import type { BenchPart } from './mistake'
import { mistakeById, mistakes } from './mistakes'
import { practiceReview } from './practiceReview'
import type { PracticeWorld } from './world'

/** How hard an evening is. */
export type EveningLevel = 'easy' | 'middling' | 'hard'

/** An evening of practice. */
export interface Evening {
  id: string
  title: string
  level: EveningLevel
  /** What somebody wants to know. */
  job: string
  /** What stands on the bench, besides what its mistakes need. */
  bench: readonly BenchPart[]
  plants: readonly string[]
  /** Same seed, same evening. */
  seed: number
}

const evening = (
  id: string,
  title: string,
  level: EveningLevel,
  rest: Pick<Evening, 'job' | 'plants' | 'seed'> & Partial<Evening>,
): Evening => ({ id, title, level, bench: [], ...rest })

const LENT = 'A club wants to lend this radio to stewards. Is it within its claims, and is it clean on 2 m?'
const HEARS = 'A club wonders whether this radio hears as well as its box says: 0.2 µV for 12 dB SINAD.'

/** The evenings, easy ones first. Titles do not tell. */
export const evenings: readonly Evening[] = [
  evening('e1', 'The bench as it was left', 'easy', {
    job: LENT,
    plants: ['forgotten-offset'],
    bench: ['meter'],
    seed: 11,
  }),
  evening('e2', 'The quiet receiver', 'easy', { job: HEARS, plants: ['tone-squelch'], seed: 12 }),
  evening('e3', 'The borrowed pad', 'easy', { job: LENT, plants: ['wrong-pad'], bench: ['meter'], seed: 13 }),
  evening('e4', 'Late in the day', 'easy', {
    job: 'Somebody bought it for its 5 W and is not sure. Does it make them, and for how long?',
    plants: ['half-battery'],
    seed: 14,
  }),
  evening('e5', 'Two from one box', 'middling', {
    job: 'The same shop, the same box, two radios. What can be said of the model?',
    plants: ['second-sample'],
    seed: 15,
  }),
  evening('e6', 'The leaflet', 'middling', {
    job: LENT,
    plants: ['half-a-limit'],
    bench: ['meter'],
    seed: 16,
  }),
  evening('e7', 'A little beside it', 'middling', { job: HEARS, plants: ['generator-off'], seed: 17 }),
  evening('e8', 'Half as good as it should be', 'middling', {
    job: HEARS,
    plants: ['generator-emf'],
    seed: 18,
  }),
  evening('e9', 'The tall second', 'middling', {
    job: LENT,
    plants: ['overloaded-analyser'],
    bench: ['meter'],
    seed: 19,
  }),
  evening('e10', 'Somebody else', 'middling', {
    job: LENT,
    plants: ['ambient-carrier'],
    bench: ['meter'],
    seed: 20,
  }),
  evening('e11', 'Nothing to be seen', 'hard', {
    job: LENT,
    plants: ['sweep-ends', 'forgotten-offset'],
    bench: ['meter'],
    seed: 21,
  }),
  evening('e12', 'The nervous receiver', 'hard', {
    job: HEARS,
    plants: ['dual-watch', 'generator-off'],
    seed: 22,
  }),
  evening('e13', 'The neighbour', 'hard', {
    job: 'A hill with many stewards: how well does it keep the next channel out?',
    plants: ['noisy-generator'],
    seed: 23,
  }),
  evening('e14', 'Five minutes', 'hard', {
    job: 'It is to relay for five minutes at a time. Does it hold its power?',
    plants: ['small-load', 'half-battery'],
    seed: 24,
  }),
  evening('e15', 'An old friend of the bench', 'hard', {
    job: LENT,
    plants: ['worn-pad', 'overloaded-analyser'],
    bench: ['meter'],
    seed: 25,
  }),
]

/** Prefix of an evening that is made from a seed. */
const OF_SEED = 'seed-'

/** An evening by its id, also one of a seed. @throws Error for one that does not exist */
export function eveningById(id: string): Evening {
  const found = evenings.find(one => one.id === id)
  if (found) return found
  const seed = id.startsWith(OF_SEED) ? Number(id.slice(OF_SEED.length)) : Number.NaN
  if (Number.isSafeInteger(seed) && seed >= 0) return eveningFromSeed(seed)
  throw new Error(`There is no evening “${id}”.`)
}

/** Any evening: one or two mistakes and a radio from a seed. */
export function eveningFromSeed(seed: number): Evening {
  const random = seededRandom(seedOf(`evening:${seed}`))
  const pick = () => mistakes[Math.floor(random() * mistakes.length)]!
  const first = pick()
  const second = random() < 0.5 ? pick() : first
  const plants = [...new Set([first.id, goesWith(first.id, second.id) ? second.id : first.id])]
  return {
    ...{ id: `${OF_SEED}${seed}`, title: `Evening ${seed}`, plants, seed },
    level: plants.length > 1 ? 'hard' : 'middling',
    job: 'A radio, a bench, an evening. Find out what can be said of it, and say no more.',
    bench: ['meter', 'analyser', 'receiving'],
  }
}

/** Two that are about the same thing would hide each other. */
const TOGETHER_NOT: readonly (readonly [string, string])[] = [
  ['wrong-pad', 'worn-pad'],
  ['half-a-limit', 'second-sample'],
  ['tone-squelch', 'dual-watch'],
  ['overloaded-analyser', 'sweep-ends'],
]

function goesWith(one: string, other: string): boolean {
  return !TOGETHER_NOT.some(pair => pair.includes(one) && pair.includes(other))
}

/** The world of an evening: its review as it is found, and what is true. */
export function worldOf(chosen: Evening, given: { reviewId: string; at: string }): PracticeWorld {
  const planted = chosen.plants.map(mistakeById)
  const parts = new Set([...chosen.bench, ...planted.flatMap(({ needs }) => needs)])
  const world: PracticeWorld = {
    seed: chosen.seed,
    review: practiceReview({
      id: given.reviewId,
      title: `Practice: ${chosen.title}`,
      job: chosen.job,
      at: given.at,
      parts,
    }),
    lossErrorDb: {},
    faces: {},
    radios: {},
    generator: { isEmf: false, offHz: 0, noiseDbcPerHz: null },
    analyserEndsHz: null,
    ambient: [],
    loadBearsW: null,
    hands: TIDY_HANDS,
  }
  for (const { id } of world.review.sets) world.radios[id] = cleanRadio(chosen.seed, id)
  for (const mistake of planted) mistake.plant(world)
  return world
}

/** A radio with nothing wrong but a little missing: what is planted decides the evening, not a draw. */
function cleanRadio(seed: number, setId: string) {
  const random = seededRandom(seedOf(`clean:${seed}:${setId}`))
  const first = -60 - 8 * random()
  return { shortDb: 0.2 + 0.9 * random(), harmonicsDbc: [first, first - 5, first - 9, first - 12] }
}
