export { createContext, type Context, type StepPlaceId } from './context'
export { createSharedWork, type SharedWork } from './sharedWork'
export type { State } from './state'
