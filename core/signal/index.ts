export { psophometricWeightDb } from './psophometricWeight'
export { PSOPHOMETRIC_POINTS } from './psophometric.table'
