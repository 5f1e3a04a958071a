import type { Instrument } from '../chain'
import type { InstrumentLine, Phrasebook, SpokenKind } from '../link'
import type { RoleId } from '../review'
import type { RadioAs } from '../station'

/** An instrument that answers, and how it is spoken to. */
export interface AnsweringInstrument {
  line: InstrumentLine
  book: Phrasebook
  /** As the review knows it; null where it stands in no chain: a supply, a counter. */
  instrument: Instrument | null
  /** What a reading says it came from. */
  name: string
}

/** What a reading without hands is given: instruments by role and by kind, the radio, a clock, and a way to stop. */
export interface Desk {
  at: (role: RoleId) => AnsweringInstrument | null
  ofKind: (kind: SpokenKind) => AnsweringInstrument | null
  /** Has the radio do something. @returns why it does not, in words; null where it does. */
  radio: (does: RadioAs) => Promise<string | null>
  /** Waits until the radio has been keyed for so long, s. */
  untilKeyedFor: (seconds: number) => Promise<void>
  /** Waits while somebody pauses. @returns false once somebody stopped. */
  goesOn: () => Promise<boolean>
}

/** A reading was stopped by hand. */
export class StoppedError extends Error {
  constructor() {
    super('Stopped.')
  }
}
