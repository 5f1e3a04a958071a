export { NoStorageError, StorageError } from './disk'
export {
  loadClip,
  loadCurve,
  loadPicture,
  loadTrace,
  saveClip,
  saveCurve,
  savePicture,
  saveTrace,
} from './pointsStorage'
export { rawRecords } from './rawRecords'
export { DamagedReviewError } from './readBack'
export {
  loadReview,
  loadUnchecked,
  noteChange,
  OvertakenError,
  removeReview,
  replaceReview,
  saveReview,
} from './reviewStorage'
export { type DamagedHead, listReviews, type ReviewHead, type ShelfContents } from './shelfIndex'
export { type LostPart } from './reviewParts'
