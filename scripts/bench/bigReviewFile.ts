// Writes the review of 12 000 readings as a file, to be brought in by the browser’s share of the bench.
import { writeFileSync } from 'node:fs'
import { writeReviewFile } from '../../core/review'
import { bigReview } from './bigReview'

const review = bigReview({
  sets: 200,
  readingsPerSet: 60,
  rulebookIds: ['us-amateur', 'itu-spurious', 'eu-land-mobile'],
})
const bundle = { review, traces: new Map(), curves: new Map(), pictures: new Map(), clips: new Map() }
writeFileSync(process.argv[2]!, writeReviewFile(bundle, { version: 'bench', at: review.createdAt }))
