import { LinkError } from '../../link/linkError'
import { linkRoute } from '../../link/request'
import { linkSchemas } from '../../link/schemas'

/** Puts a radio on the virtual bench and has it do something: the hands of who sits before it. */
export default linkRoute(linkSchemas.virtual, async ({ body, link }) => {
  if (!link.virtual)
    throw new LinkError('unknown-instrument', 'The virtual bench is switched off on this server.')
  link.virtual.set(body)
  return { answer: '' }
})
