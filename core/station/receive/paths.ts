import type { Role, Roles } from '../../step'

/** The generator whose signal is wanted. */
export const GENERATOR = 'generator'
/** A second generator that disturbs it. */
export const INTERFERER = 'interferer'
/** What comes out of the speaker. */
export const AUDIO = 'audio'

const generator: Role = { title: 'Generator', instruments: ['signal-generator'], signal: 'to-radio' }
const audio: Role = { title: 'Audio', instruments: ['audio-meter'], signal: 'audio', optional: true }

/** One signal into the radio. */
export const ONE_SIGNAL: Roles = { [GENERATOR]: generator, [AUDIO]: audio }

/** A wanted signal and an interfering one, through one combiner; a second generator may be missing. */
export const TWO_SIGNALS: Roles = {
  [GENERATOR]: { ...generator, title: 'Wanted' },
  [INTERFERER]: { ...generator, title: 'Interferer', optional: true, apartFrom: GENERATOR },
  [AUDIO]: audio,
}
