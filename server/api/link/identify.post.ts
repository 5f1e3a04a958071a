import { asLatin, linkRoute } from '../../link/request'
import { linkSchemas } from '../../link/schemas'

/** Asks an instrument who it is. */
export default linkRoute(linkSchemas.identify, async ({ body, token, link }) => ({
  answer: asLatin(await link.service.say(token, { ...body, form: 'line' })),
}))
