import canonicalize from 'canonicalize'
import { sha256 } from '@noble/hashes/sha2.js'
import { hex, utf8 } from '@scure/base'
import type { ReviewBundle } from '../bundle'
import type { Publication, PublishedAttachment, Review } from '../review'

/**
 * A review in its canonical form: the same text whoever writes it, whatever the order of its keys. What is about
 * publishing it is left out, and so is when it was changed last.
 * @see RFC 8785, JSON Canonicalization Scheme (by a library).
 */
export function canonicalReview(review: Review): string {
  const { publications: _publications, updatedAt: _updatedAt, ...rest } = review
  return canonical(rest)
}

/** What a signature is made over: all of a publication but the signature. */
export function canonicalPublication(publication: Publication): string {
  const { signature: _signature, ...rest } = publication
  return canonical(rest)
}

function canonical(value: unknown): string {
  // What has no value is not there, as in a file.
  return canonicalize(JSON.parse(JSON.stringify(value))) ?? ''
}

/** SHA-256 of bytes, or of a text as UTF-8, hexadecimal. */
export function sha256Of(content: string | Uint8Array): string {
  return hex.encode(sha256(typeof content === 'string' ? utf8.decode(content) : content))
}

/** SHA-256 of everything that travels beside a review, by id, in the order of ids. */
export function attachmentHashes(bundle: ReviewBundle): PublishedAttachment[] {
  const records: [string, unknown][] = [
    ...[...bundle.traces].map(([id, { frequenciesHz, levelsDbm }]): [string, unknown] => [
      id,
      [[...frequenciesHz], [...levelsDbm]],
    ]),
    ...[...bundle.curves].map(([id, { x, y, y2 }]): [string, unknown] => [
      id,
      [[...x], gapped(y), gapped(y2)],
    ]),
    ...bundle.pictures,
    ...bundle.clips,
  ]
  return records
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([id, content]) => ({ id, sha256: sha256Of(canonical(content)) }))
}

/** JSON has no NaN. */
const gapped = (values: Float64Array) => Array.from(values, value => (Number.isNaN(value) ? null : value))
