export { MAX_TRACE_BYTES, MAX_TRACE_ROWS, MAX_LINE_CHARACTERS } from './limits'
export { parseTraceCsv, type ParsedTrace } from './parseTraceCsv'
export { tracePeaks, type HarmonicPeak, type TracePeaks, type TracePeaksInput } from './tracePeaks'
export { thinTrace } from './thinTrace'
export { traceAtRadio } from './traceAtRadio'
export { writeCsv, type CsvCell } from './writeCsv'
export { traceDoubt } from './traceDoubt'
export { bytesInMemory, partOfSource, type ByteSource } from './byteSource'
export { decodeSamples, type ChannelUse, type SampleFormat } from './recording/sampleFormat'
export { foundInRecording } from './recording/foundInRecording'
export { readWavHead, type WavHead } from './recording/wavHead'
export { tarEntries, type TarEntry } from './recording/tarEntries'
export {
  readSigmfMeta,
  sigmfFormat,
  sigmfSchema,
  withAnnotations,
  type Found,
  type SigmfAnnotation,
  type SigmfMeta,
} from './recording/sigmf'
export { isRecordingName, openRecordings, samplesOf, type Recording } from './recording/openRecordings'
export { traceSpurs, type TraceSpur, type TraceSpursInput } from './traceSpurs'
export { parseLogCsv, type PowerLog } from './parseLogCsv'
export {
  parseTouchstone,
  type ReflectionSweep,
  renormalised,
  type TypedMatch,
  writeTouchstone,
} from './touchstone'
export { type DischargeLog, parseDischargeCsv } from './parseDischargeCsv'
