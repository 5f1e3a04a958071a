import type Joi from 'joi'
import {
  defineEventHandler,
  type EventHandler,
  getHeader,
  type H3Event,
  readRawBody,
  setResponseHeader,
  setResponseStatus,
} from 'h3'
import { LinkError, type LinkFault } from './linkError'
import { LINK_LIMITS } from './limits'
import { type RunningLink, theLink } from './running'
import { isFromOwnPage } from './sameOrigin'

const STATUS: Readonly<Record<LinkFault, number>> = {
  'not-allowed': 403,
  'bad-request': 400,
  'unknown-instrument': 404,
  busy: 429,
  unreachable: 502,
  silent: 504,
  'too-long': 502,
  closed: 502,
}

/** A route of the link for a page that asks for the first time: only where it comes from is looked at. */
export function openRoute(answer: (event: H3Event, link: RunningLink) => Promise<unknown>): EventHandler {
  return guarded(async event => answer(event, await ownPage(event)))
}

/** A route of the link: of this server’s own page, with its token, and a body that fits. */
export function linkRoute<T>(
  schema: Joi.ObjectSchema<T>,
  answer: (given: { body: T; token: string; link: RunningLink; event: H3Event }) => Promise<unknown>,
): EventHandler {
  return guarded(async event => {
    const link = await ownPage(event)
    const token = getHeader(event, 'x-link-token') ?? ''
    if (!link.service.tokens.isKnown(token))
      throw new LinkError('not-allowed', 'This page has no token any more: load it again.')
    return answer({ body: await bodyOf(event, schema), token, link, event })
  })
}

function guarded(work: (event: H3Event) => Promise<unknown>): EventHandler {
  return defineEventHandler(async event => {
    setResponseHeader(event, 'cache-control', 'no-store')
    try {
      return await work(event)
    } catch (error) {
      if (!(error instanceof LinkError)) throw error
      setResponseStatus(event, STATUS[error.fault])
      return { fault: error.fault, words: error.message }
    }
  })
}

async function ownPage(event: H3Event): Promise<RunningLink> {
  const link = await theLink()
  if (!isFromOwnPage(name => getHeader(event, name), link.hosts))
    throw new LinkError('not-allowed', 'Only a page of this server may speak to its instruments.')
  return link
}

async function bodyOf<T>(event: H3Event, schema: Joi.ObjectSchema<T>): Promise<T> {
  if (Number(getHeader(event, 'content-length') ?? 0) > LINK_LIMITS.bodyBytes)
    throw new LinkError('bad-request', 'More was sent than is looked at.')
  const text = (await readRawBody(event, 'utf8')) ?? ''
  if (text.length > LINK_LIMITS.bodyBytes)
    throw new LinkError('bad-request', 'More was sent than is looked at.')
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    throw new LinkError('bad-request', 'What was sent is no JSON.')
  }
  const { error, value } = schema.validate(data, { convert: false })
  if (error) throw new LinkError('bad-request', `What was sent does not fit: ${error.message}.`)
  return value as T
}

/** Bytes as characters of the same numbers: what an instrument sends is no Unicode. */
export function asLatin(bytes: Uint8Array): string {
  return Buffer.from(bytes).toString('latin1')
}
