export type { ChainHead } from './chainHeads'
export { createContext, type ComputeIn, type Context, type StepPlaceId } from './context'
export { perRadio, perStep } from './perRadio'
export { createSharedWork, type SharedWork } from './sharedWork'
