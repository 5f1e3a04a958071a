export { phrasebookSchema } from './phrasebook/schema'
export {
  MOST_PHRASEBOOK_CHARACTERS,
  readPhrasebookFile,
  writePhrasebookFile,
} from './phrasebook/phrasebookFile'
export { phrasebooks } from './phrasebook/shipped'
export {
  kindWords,
  type Phrase,
  type PhraseAnswer,
  type Phrasebook,
  PHRASE_NAMES,
  type PhraseName,
  type Place,
  PLACES,
  SPOKEN_KINDS,
  type SpokenKind,
} from './phrasebook/types'
export { type Answer, type AnswerForm, blockState, type BlockState, readAnswer } from './scpi/answer'
export { fits, type HeaderPattern, headerPattern } from './scpi/commandTree'
export { SCPI_ERRORS, scpiError, type ScpiError } from './scpi/errors'
export { MOST_MESSAGE, type ScpiCommand, scpiCommands, ScpiSyntaxError } from './scpi/message'
export { scpiNumber } from './scpi/number'
export {
  type Heard,
  heardIn,
  type InstrumentLine,
  makeSafe,
  speak,
  spokenLines,
  type SpeechResult,
  type Spoken,
} from './speak'
export { begun } from './begun'
export { guessAnswer, type GuessedAnswer } from './guessAnswer'
export { levelQuestion, plainBook, readLevel } from './readLevel'
export { spokenKindOf } from './spokenKind'
export { pointsFor, type ReadTrace, readTrace, type TraceResult } from './readTrace'
