export { simulatedVoice, type SimulatedVoice } from './simulatedVoice'
export { drawPartErrors, gaussian, levelAtInstrument, type PartErrors } from './simulatedPath'
export {
  displayedDbm,
  displayedMeterDbm,
  displayedW,
  drawAnalyser,
  type TrueAnalyser,
} from './simulatedDisplay'
export { seededRandom } from './seededRandom'
export {
  simulatedFm,
  simulatedFmSource,
  simulatedLines,
  simulatedNoise,
  type SimulatedFm,
  type SimulatedLine,
  type SimulatedTone,
} from './simulatedRecording'
export { type SimulatedAntenna, simulatedSweep } from './simulatedAntenna'
export { simulatedDischarge, type SimulatedPack } from './simulatedDischarge'
export {
  receivedAudio,
  type Reception,
  type SimulatedCarrier,
  type SimulatedFmReceiver,
  THERMAL_NOISE_DBM_PER_HZ,
} from './simulatedFmReceiver'
export { receiverMeta, receiverRecording, type ReceiverRecording } from './simulatedReceiver'
export { receivedAmAudio, type SimulatedAmCarrier, type SimulatedAmReceiver } from './simulatedAmReceiver'
export { carriersOf, type GeneratorSetting, type SimulatedGenerator } from './simulatedGenerator'
export * from './bench'
