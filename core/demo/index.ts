export { demoReview, demoSetIds, DEMO_REVIEW_ID } from './demoReview'
