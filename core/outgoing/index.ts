export { forumPost } from './forumPost'
export { letterOfFindings, type LetterStamp } from './letter'
export { videoDescription } from './videoDescription'
export { webPage } from './webPage'
