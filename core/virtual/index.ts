export { drawPartErrors, gaussian, levelAtInstrument, type PartErrors } from './simulatedPath'
export { displayedDbm, displayedMeterDbm, displayedW, drawAnalyser, type TrueAnalyser } from './simulatedDisplay'
