import type { VerdictState } from '../decision'

/** A figure as it was published. */
export interface PublishedFigure {
  /** Set, step and slot. */
  key: string
  set: string
  station: string
  /** Which step and figure, in words. */
  place: string
  /** The figure and what was said of it. */
  words: string
  state: VerdictState
}

/** What published figures were made by. */
export interface PublishedVersions {
  program: string
  /** By station id. */
  stations: Record<string, number>
  rulebooks: { id: string; title: string; edition: string }[]
}

/** Something that travels beside a review: a trace, a curve, a picture, a clip. */
export interface PublishedAttachment {
  id: string
  sha256: string
}

/** A signature over a publication (ECDSA on P-256 with SHA-256). */
export interface PublicationSignature {
  /** Public key, uncompressed point, base64. */
  publicKey: string
  /** r and s after each other, base64. */
  value: string
}

/** A state of a review that was published: what it came to, and marks by which it is known again. */
export interface Publication {
  id: string
  at: string
  who: string
  note: string
  /** SHA-256 of the canonical form of the review, hexadecimal. */
  sha256: string
  attachments: PublishedAttachment[]
  versions: PublishedVersions
  figures: PublishedFigure[]
  /** null: not signed. */
  signature: PublicationSignature | null
}

/** The reviewer’s own words on the sheet of a model. */
export interface SheetWords {
  text: string
  who: string
  at: string
}
