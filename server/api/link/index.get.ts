import { openRoute } from '../../link/request'

/** Which instruments the link reaches, and a token for the page that asks. */
export default openRoute(async (_event, { service, complaint }) => ({
  token: service.tokens.issue(),
  instruments: service.list(),
  complaint,
}))
