export { CoreError, type CoreErrorCode, type CoreErrorFacts } from './coreError'
export { assertInRange, assertPositive } from './assert'
