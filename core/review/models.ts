import type { RadioSet } from './cardTypes'
import type { Review } from './types'

/** A model with its samples. */
export interface Model {
  /** Stable while make and model are spelled the same; a radio nobody named stands for itself. */
  key: string
  name: string
  sets: RadioSet[]
}

/** The models of a review, each with its samples, in the order of the review; controls stand last. */
export function modelsOf({ sets }: Pick<Review, 'sets'>): Model[] {
  const models = new Map<string, Model>()
  for (const set of sets.toSorted((a, b) => Number(a.role === 'control') - Number(b.role === 'control'))) {
    const name = `${set.make} ${set.model}`.trim()
    const key = name === '' ? set.id : name.toLowerCase()
    const model = models.get(key) ?? { key, name: name || 'Unnamed set', sets: [] }
    models.set(key, { ...model, sets: [...model.sets, set] })
  }
  return [...models.values()]
}
