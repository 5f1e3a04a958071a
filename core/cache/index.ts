export { entryOf } from './entryOf'
export { createIdentityCache, type IdentityCache } from './identityCache'
export { perIdentity } from './perIdentity'
