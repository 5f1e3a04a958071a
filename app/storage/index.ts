export { StorageError } from './disk'
export { loadCurve, loadPicture, loadTrace, saveCurve, savePicture, saveTrace } from './pointsStorage'
export { loadReview, removeReview, saveReview } from './reviewStorage'
export { listReviews, type ReviewHead } from './shelfIndex'
