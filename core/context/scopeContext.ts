import type { Review } from '../review'
import type { ComputeIn, Context } from './context'
import { LOOKED_FURTHER } from './lookedFurther'
import type { Scope } from './scope'
import type { SharedWork } from './sharedWork'
import { viewOf } from './view'

/** Returns what a scope shows, as a context. Asked for anything else it throws `LOOKED_FURTHER`. */
export function scopeContext(scope: Scope, shared: SharedWork): Context {
  const { radio, readings, chains, chainHeads, stationData } = scope
  const ownRadio = { readings, skipped: scope.review.skipped }
  const mustBeOwn = (radioId: string) => {
    if (radioId !== radio.id) throw LOOKED_FURTHER
  }
  const context: Context = {
    ...viewOf(
      {
        review: Object.assign(Object.create(FURTHER) as Review, scope.review),
        chains,
        chainHeads,
        ofRadio: id => {
          mustBeOwn(id)
          return ownRadio
        },
        stationData: (stationId, radioId) => {
          if (radioId !== null) mustBeOwn(radioId)
          const kept = stationData.get(stationId)
          return (radioId === null ? kept?.common : kept?.own) ?? null
        },
      },
      shared,
    ),
    ofRadio(radioId, compute, subject) {
      mustBeOwn(radioId)
      const tried = tryIn(context, compute, subject)
      if (!tried) throw LOOKED_FURTHER
      return tried.value
    },
    once: (compute, subject) => shared.cache.of(compute, subject, context),
  }
  return context
}

/** Stands behind the fields a scope shows: any other field belongs to the whole review. */
const FURTHER: object = new Proxy(Object.freeze({}), {
  get(_target, field) {
    if (typeof field === 'symbol') return undefined
    throw LOOKED_FURTHER
  },
})

/** Works a thing out in a scope, once; null where the scope does not show all it looks at. */
export function tryIn<Subject extends object, Value>(
  context: Context,
  compute: ComputeIn<Subject, Value>,
  subject: Subject,
): { value: Value } | null {
  return context.forGood(attempt<Subject, Value>, compute, subject, context)
}

function attempt<Subject extends object, Value>(
  compute: ComputeIn<Subject, Value>,
  subject: Subject,
  context: Context,
): { value: Value } | null {
  try {
    return { value: compute(subject, context) }
  } catch (error) {
    if (error === LOOKED_FURTHER) return null
    throw error
  }
}
