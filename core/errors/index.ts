export { CoreError, isCoreError, type CoreErrorCode, type CoreErrorFacts } from './coreError'
export { assertInRange, assertPositive } from './assert'
