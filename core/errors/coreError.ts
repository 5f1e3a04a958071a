/** Facts that travel with each error code, so that a screen can word the message itself. */
export interface CoreErrorFacts {
  'out-of-range': { name: string; got: number; min: number; max: number }
  'not-positive': { name: string; got: number }
  empty: { name: string }
  'unknown-id': { kind: string; id: string }
  'bad-file': { fileName: string; row: number | null; why: string }
  'too-large': { fileName: string; got: number; max: number; unit: string }
  'too-few': { name: string; got: number; min: number }
  'bad-review': { why: string }
  'bad-rulebook': { why: string; where: string }
  'newer-version': { got: number; known: number }
}

/** What went wrong, for a program; the message says it for a person. */
export type CoreErrorCode = keyof CoreErrorFacts

/**
 * The one error class of the core. `code` and `facts` are the contract; `message` is plain words
 * that may be shown to the person at the bench as they are.
 */
export class CoreError<C extends CoreErrorCode = CoreErrorCode> extends Error {
  readonly code: C
  readonly facts: CoreErrorFacts[C]

  constructor(code: C, message: string, facts: CoreErrorFacts[C], options?: { cause?: unknown }) {
    super(message, options)
    this.name = 'CoreError'
    this.code = code
    this.facts = facts
  }
}
