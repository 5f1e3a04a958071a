/** Names under which the page itself may have come from this server. */
const LOOPBACK: ReadonlySet<string> = new Set(['localhost', '127.0.0.1', '[::1]'])

/**
 * Whether a request is from a page of this very server: not from another site, and not from one whose name was turned
 * to this machine after it was loaded.
 * @param named - other names this server is reached under, from who runs it.
 */
export function isFromOwnPage(
  header: (name: string) => string | undefined,
  named: ReadonlySet<string> = new Set(),
): boolean {
  const host = header('host') ?? ''
  const name = host.replace(/:\d+$/, '').toLowerCase()
  if (!LOOPBACK.has(name) && !named.has(name)) return false
  const site = header('sec-fetch-site')
  if (site !== undefined) return site === 'same-origin'
  const origin = header('origin')
  return origin === `http://${host}` || origin === `https://${host}`
}
