export { type JsonLimits, nestedTooDeep } from './nestedTooDeep'
