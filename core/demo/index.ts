export { demoReview, demoSetIds } from './demoReview'
