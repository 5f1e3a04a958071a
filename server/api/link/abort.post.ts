import { linkRoute } from '../../link/request'
import { linkSchemas } from '../../link/schemas'

/** Gives an instrument back, cutting off what this page has under way there. */
export default linkRoute(linkSchemas.abort, async ({ body, token, link }) => {
  await link.service.abort(token, body.instrumentId)
  return { answer: '' }
})
