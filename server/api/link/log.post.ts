import { setResponseHeader } from 'h3'
import { LinkError } from '../../link/linkError'
import { asLatin, linkRoute } from '../../link/request'
import { linkSchemas } from '../../link/schemas'

/** Asks the same again and again; each answer is sent on as a line of JSON as soon as it is there. */
export default linkRoute(linkSchemas.log, async ({ body, token, link, event }) => {
  setResponseHeader(event, 'content-type', 'application/x-ndjson; charset=utf-8')
  const { everyMs, count, ...asked } = body
  const began = Date.now()
  let isGone = false
  return new ReadableStream<Uint8Array>({
    async start(controller) {
      const put = (line: object) => controller.enqueue(Buffer.from(`${JSON.stringify(line)}\n`))
      try {
        for (let i = 0; i < count && !isGone; i++) {
          const bytes = await link.service.say(token, { ...asked, form: 'line' })
          if (isGone) return
          put({ atMs: Date.now() - began, answer: asLatin(bytes) })
          const dueMs = began + (i + 1) * everyMs - Date.now()
          if (i < count - 1 && dueMs > 0) await new Promise(resolve => setTimeout(resolve, dueMs))
        }
      } catch (error) {
        // What came before stands: the fault is the last line.
        const { fault, message } = error instanceof LinkError ? error : new LinkError('closed', String(error))
        if (!isGone) put({ fault, words: message })
      }
      if (!isGone) controller.close()
    },
    cancel() {
      isGone = true
    },
  })
})
