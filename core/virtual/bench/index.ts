export { NoAnswerError, virtualLine } from './line'
export { type Keyed, type VirtualRadio, virtualRadio } from './radio'
export { type CommandRun, InstrumentError, type ScpiInstrument, scpiInstrument } from './scpiInstrument'
export { type VirtualBench, virtualBench, type VirtualSetting } from './virtualBench'
