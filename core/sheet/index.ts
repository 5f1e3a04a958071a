export { type Paper, PAPERS, sheetDrawing } from './drawSheet'
export { asSentences, madeSentences, type SaidSentence } from './sentences'
export { type Sheet, sheetOf, type SheetLine, type SheetStamp } from './sheet'
export { measuredWords as measuredOf } from './measured'
