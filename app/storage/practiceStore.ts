import Joi from 'joi'
import { type EveningResult, eveningResultSchema, type Hands } from '#core/practice'
import { practiceKept as store } from './practiceIds'

/** What is kept of an evening in this browser, beside its review. */
export interface PracticeKept {
  eveningId: string
  reviewId: string
  startedAt: string
  hands: Hands
  /** Planted mistakes a hint was asked for. */
  hints: string[]
  /** Once the envelope was opened. */
  result: EveningResult | null
}

const names = Joi.string().max(200)
const schema = Joi.object<PracticeKept>({
  eveningId: names.required(),
  reviewId: names.required(),
  startedAt: Joi.string().isoDate().required(),
  hands: Joi.object({
    toneSquelch: Joi.boolean().required(),
    dualWatch: Joi.boolean().required(),
    battery: Joi.valid('full', 'half').required(),
    preamplifier: Joi.boolean().required(),
    extraPad: Joi.boolean().required(),
    offsetDb: Joi.object().pattern(names, Joi.number()).required(),
    turnedAt: Joi.object().pattern(names, Joi.string().isoDate()).required(),
  }).required(),
  hints: Joi.array().items(names).required(),
  result: eveningResultSchema.allow(null).required(),
})

/** An evening by its review; null where the review is none, or what was kept of it is damaged. */
export async function loadPractice(reviewId: string): Promise<PracticeKept | null> {
  const { error, value } = schema.validate(await store.getItem(reviewId))
  return error || !value ? null : value
}

/** Every evening that can be read. */
export async function loadAllPractice(): Promise<PracticeKept[]> {
  const ids = await store.keys()
  const all = await Promise.all(ids.map(loadPractice))
  return all.filter(one => one !== null).sort((a, b) => a.startedAt.localeCompare(b.startedAt))
}

/** Keeps an evening. */
export async function savePractice(kept: PracticeKept): Promise<void> {
  await store.setItem(kept.reviewId, JSON.parse(JSON.stringify(kept)) as PracticeKept)
}
