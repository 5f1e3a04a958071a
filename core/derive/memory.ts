/** A question to the state something was worked out from. Its answer is compared by identity. */
export type Ask<State, Arg> = (state: State, arg: Arg) => unknown

/** Something worked out once, with everything that was asked while working it out. */
interface Derived {
  name: string
  value: unknown
  /** Triples: the question, its argument, the answer then; a null question stands for another derived thing. */
  asked: unknown[]
  /** The reader that last found it still true. */
  provenBy: object | null
  /** The next thing of the same owner: most owners have one or two, so a chain of them is all it takes. */
  next: Derived | null
}

/** What one owner has: a chain of a few, or a map of many. */
type OfOwner = Derived | Map<string, Derived>

/** What was worked out, kept from one state to the next as long as whoever holds it likes. */
export type Memory = WeakMap<object, OfOwner>

/** From here on the things of an owner are looked up in a map. */
const LONGEST_CHAIN = 6

/** The thing of that name, made empty where it is new. */
function derivedOf(memory: Memory, owner: object, name: string): Derived {
  const known = memory.get(owner)
  if (known instanceof Map) return inMap(known, name)
  let length = 0
  for (let one: Derived | null = known ?? null; one; one = one.next, length++)
    if (one.name === name) return one
  if (length < LONGEST_CHAIN) {
    const made = empty(name, known ?? null)
    memory.set(owner, made)
    return made
  }
  const map = new Map<string, Derived>()
  for (let one: Derived | null = known ?? null; one; one = one.next) map.set(one.name, one)
  memory.set(owner, map)
  return inMap(map, name)
}

function inMap(map: Map<string, Derived>, name: string): Derived {
  let known = map.get(name)
  if (!known) map.set(name, (known = empty(name, null)))
  return known
}

function empty(name: string, next: Derived | null): Derived {
  return { name, value: undefined, asked: NOTHING_ASKED, provenBy: null, next }
}

const NOTHING_ASKED: unknown[] = []

/** Fresh memory. */
export function createMemory(): Memory {
  return new WeakMap()
}

/**
 * Reads one state, and records what is read while something is being worked out. A thing that was worked out
 * for an earlier state is used again as long as everything that was asked for it has the very same answer
 * now: what a result hangs on is recorded, never listed.
 */
export interface Reader<State> {
  /** Asks the state, and records the answer for whatever is being worked out. */
  ask: <Arg, Answer>(question: (state: State, arg: Arg) => Answer, arg: Arg) => Answer
  /**
   * Works a thing out for its owner, or uses what was worked out before.
   * @param name - tells the things of one owner apart; with the owner it must name all that `compute` takes
   *   from its surroundings without asking.
   */
  derive: <T>(owner: object, name: string, compute: () => T) => T
}

/** A reader of one state over a memory. O(what was asked) to prove a thing once for each state. */
export function createReader<State>(state: State, memory: Memory): Reader<State> {
  const token = {}
  /** Triples of all that is being worked out, the innermost last: each takes its own off when it is done. */
  const recording: unknown[] = []
  let depth = 0

  function isTrue(known: Derived): boolean {
    if (known.provenBy === token) return true
    const { asked } = known
    for (let i = 0; i < asked.length; i += 3) {
      const question = asked[i] as Ask<State, unknown> | null
      if (question === null) {
        const other = asked[i + 1] as Derived
        if (!isTrue(other) || other.value !== asked[i + 2]) return false
      } else if (question(state, asked[i + 1]) !== asked[i + 2]) return false
    }
    known.provenBy = token
    return true
  }

  return {
    ask(question, arg) {
      const answer = question(state, arg)
      if (depth > 0) recording.push(question, arg, answer)
      return answer
    },
    derive<T>(owner: object, name: string, compute: () => T): T {
      const known = derivedOf(memory, owner, name)
      if (known.provenBy !== token && (known.provenBy === null || !isTrue(known))) {
        const from = recording.length
        depth++
        try {
          known.value = compute()
          known.asked = recording.slice(from)
          known.provenBy = token
        } finally {
          depth--
          recording.length = from
        }
      }
      if (depth > 0) recording.push(null, known, known.value)
      return known.value as T
    },
  }
}
