import { demoReview } from '#core/demo'
import { writeReviewFile } from '#core/review'
import { defineEventHandler, setResponseHeader } from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'

let file: string | null = null

/** The demo review as a review file. It is always the same, so it is made once, when somebody first asks. */
export default defineEventHandler(event => {
  file ??= demoFile()
  setResponseHeader(event, 'content-type', 'application/json; charset=utf-8')
  return file
})

function demoFile(): string {
  const bundle = demoReview()
  const { version } = useRuntimeConfig().public
  return writeReviewFile(bundle, { version: String(version), at: bundle.review.createdAt })
}
