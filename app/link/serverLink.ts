import type { InstrumentLine, SpokenKind } from '#core/link'
import type { StandSetting } from '#core/virtual'

/** An instrument the server reaches. */
export interface ServerInstrument {
  id: string
  title: string
  kind: SpokenKind
  isVirtual: boolean
  /** Its port on the loopback, for other programs; null where it is somebody’s own. */
  port: number | null
}

/** Whether there is a server that speaks to instruments. */
export type ServerState =
  | { is: 'unknown' }
  | { is: 'none'; why: string }
  | { is: 'there'; token: string; instruments: ServerInstrument[]; complaint: string | null }

/** The server, once it was looked for. */
export const serverState = shallowRef<ServerState>({ is: 'unknown' })

const WITHOUT =
  'This page comes without a server: instruments on the network cannot be reached from it. ' +
  'Serial leads, files and typing work.'

/** Looks for the server once; after it was gone, again. */
export async function lookForServer(): Promise<ServerState> {
  if (serverState.value.is !== 'there') serverState.value = await found()
  return serverState.value
}

async function found(): Promise<ServerState> {
  try {
    const answer = await fetch('/api/link')
    const isJson = answer.headers.get('content-type')?.includes('json') ?? false
    if (!isJson) return { is: 'none', why: WITHOUT }
    const data = (await answer.json()) as { token: string; words?: string } & Pick<
      ServerState & { is: 'there' },
      'instruments' | 'complaint'
    >
    if (!answer.ok) return { is: 'none', why: data.words ?? WITHOUT }
    return { is: 'there', token: data.token, instruments: data.instruments, complaint: data.complaint }
  } catch {
    return { is: 'none', why: WITHOUT }
  }
}

/** The link answered with a fault, or not at all. */
export class ServerLinkError extends Error {}

async function post(route: string, body: object): Promise<Response> {
  const state = await lookForServer()
  if (state.is !== 'there') throw new ServerLinkError(state.is === 'none' ? state.why : WITHOUT)
  const answer = await fetch(`/api/link/${route}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', 'x-link-token': state.token },
    body: JSON.stringify(body),
  }).catch(() => {
    serverState.value = { is: 'unknown' }
    throw new ServerLinkError('The server does not answer any more.')
  })
  if (answer.ok) return answer
  const { words } = (await answer.json().catch(() => ({}))) as { words?: string }
  // A server that was started anew knows no tokens: the next word asks for one.
  if (answer.status === 403) serverState.value = { is: 'unknown' }
  throw new ServerLinkError(words ?? `The server refused (${answer.status}).`)
}

const bytesOf = (text: string) => Uint8Array.from(text, char => char.charCodeAt(0))
const waitMs = (ms: number) => new Promise<void>(resolve => setTimeout(resolve, ms))

/** A line to an instrument of the server. */
export function serverLine(instrumentId: string, lineEnd: '\n' | '\r\n'): InstrumentLine {
  const asked = { instrumentId, lineEnd }
  return {
    send: async line => void (await post('query', { ...asked, line, form: 'none' })),
    sendAll: async lines =>
      void (await post('query', { ...asked, before: lines.slice(0, -1), line: lines.at(-1), form: 'none' })),
    query: async (line, form) => {
      if (form === 'block')
        return new Uint8Array(await (await post('trace', { ...asked, line, form })).arrayBuffer())
      const { answer } = (await (await post('query', { ...asked, line, form })).json()) as { answer: string }
      return bytesOf(answer)
    },
    wait: waitMs,
  }
}

/** Gives an instrument back, so that others need not wait. */
export async function releaseInstrument(instrumentId: string): Promise<void> {
  await post('abort', { instrumentId }).catch(() => undefined)
}

/** Puts a radio on the server’s virtual bench. */
export async function setVirtualBench(setUp: {
  seed: number
  radioId: string
  setting: StandSetting
}): Promise<void> {
  await post('virtual', setUp)
}
