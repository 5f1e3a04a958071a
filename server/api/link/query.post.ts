import { asLatin, linkRoute } from '../../link/request'
import { linkSchemas } from '../../link/schemas'

/** Says a line to an instrument, and brings the line it answers. */
export default linkRoute(linkSchemas.query, async ({ body, token, link }) => ({
  answer: asLatin(await link.service.say(token, body)),
}))
