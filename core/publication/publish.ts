import type { ReviewBundle } from '../bundle'
import { type Context, createContext } from '../context'
import { readFigures } from '../findings'
import type { Publication, PublishedVersions } from '../review'
import { stations } from '../station'
import { attachmentHashes, canonicalReview, sha256Of } from './canonical'

/** When and by whom a state is published, and with which program. */
export interface PublicationStamp {
  id: string
  at: string
  who: string
  note: string
  version: string
}

/** Freezes a state of a review: every figure, what made it, and marks of all of it by which it is known again. */
export function publish(bundle: ReviewBundle, stamp: PublicationStamp): Publication {
  const context = createContext(bundle.review)
  const { version, ...given } = stamp
  return {
    ...given,
    sha256: sha256Of(canonicalReview(bundle.review)),
    attachments: attachmentHashes(bundle),
    versions: versionsOf(context, version),
    figures: readFigures(context),
    signature: null,
  }
}

/** What makes figures now: program, stations, rulebooks. */
export function versionsOf(context: Context, program: string): PublishedVersions {
  const books = new Set([
    ...context.rulebooks,
    ...context.review.sets.flatMap(set => set.bands.flatMap(band => context.rulebooksOf(band))),
  ])
  return {
    program,
    stations: Object.fromEntries(stations.map(({ id, version }) => [id, version])),
    rulebooks: [...books].map(({ id, title, edition }) => ({ id, title, edition })),
  }
}

/** A publication’s mark, short enough to be read out: `7F3A-21C9`. */
export function shortMark({ sha256 }: Pick<Publication, 'sha256'>): string {
  const head = sha256.slice(0, 8).toUpperCase()
  return `${head.slice(0, 4)}-${head.slice(4)}`
}
