import { setResponseHeader } from 'h3'
import { linkRoute } from '../../link/request'
import { linkSchemas } from '../../link/schemas'

/** Asks for a whole trace and brings it as it came, bytes and all. */
export default linkRoute(linkSchemas.trace, async ({ body, token, link, event }) => {
  const bytes = await link.service.say(token, body)
  setResponseHeader(event, 'content-type', 'application/octet-stream')
  return Buffer.from(bytes)
})
