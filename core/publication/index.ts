export { canonicalPublication, canonicalReview, sha256Of } from './canonical'
export {
  type CheckedPublication,
  type CheckedState,
  checkedState,
  checkedWords,
  checkPublications,
  differenceWords,
  sincePublished,
} from './check'
export { type PublicationStamp, publish, shortMark, versionsOf } from './publish'
export { keyFingerprint, type SignatureState, signatureState } from './signature'
