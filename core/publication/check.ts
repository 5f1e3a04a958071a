import type { ReviewBundle } from '../bundle'
import { type Context, createContext } from '../context'
import { figureDifferences, readFigures, type ReviewDifference } from '../findings'
import type { Publication, PublishedFigure } from '../review'
import { attachmentHashes, canonicalReview, sha256Of } from './canonical'
import { versionsOf } from './publish'
import { type SignatureState, signatureState } from './signature'

/** What a check of a publication came to. */
export interface CheckedPublication {
  publication: Publication
  /** The review in the file is the very one that was published. */
  isSameReview: boolean
  /** What travels beside it and is not what it was, or is not there. */
  changedAttachments: string[]
  /** Figures that come out otherwise now. */
  differences: ReviewDifference[]
  /** Figures that were worked out again. */
  figureCount: number
  /** What makes figures now and did not then, in words. */
  versions: string[]
  signature: SignatureState
}

/** Works every figure of the publications of a file out again, and compares. The newest first. */
export function checkPublications(bundle: ReviewBundle, version: string): CheckedPublication[] {
  const { publications } = bundle.review
  if (publications.length === 0) return []
  const context = createContext(bundle.review)
  const figures = readFigures(context)
  const sha256 = sha256Of(canonicalReview(bundle.review))
  const attachments = new Map(attachmentHashes(bundle).map(one => [one.id, one.sha256]))
  return publications.toReversed().map(publication => ({
    publication,
    isSameReview: publication.sha256 === sha256,
    changedAttachments: publication.attachments
      .filter(one => attachments.get(one.id) !== one.sha256)
      .map(({ id }) => id),
    differences: figureDifferences(publication.figures, figures),
    figureCount: publication.figures.length,
    versions: versionWords(publication, context, version),
    signature: signatureState(publication),
  }))
}

function versionWords({ versions }: Publication, context: Context, program: string): string[] {
  const now = versionsOf(context, program)
  const stations = Object.entries(now.stations)
    .filter(([id, version]) => (versions.stations[id] ?? version) !== version)
    .map(([id, version]) => `station ${id}: version ${versions.stations[id]} then, ${version} now`)
  const books = now.rulebooks.flatMap(({ id, title, edition }) => {
    const then = versions.rulebooks.find(one => one.id === id)
    return then && then.edition !== edition ? [`${title}: ${then.edition} then, ${edition} now`] : []
  })
  const own = versions.program === program ? [] : [`Rigorous Meter ${versions.program} then, ${program} now`]
  return [...own, ...stations, ...books]
}

/** What a check came to as a whole. */
export type CheckedState = 'stands' | 'changed-since' | 'figures-differ' | 'tampered'

/**
 * A publication stands where the review is the very one and every figure comes out the same. Where the review is
 * the same and figures differ, a program of another version worked them out. Where a signature does not fit, somebody
 * changed the publication itself.
 */
export function checkedState(checked: CheckedPublication): CheckedState {
  if (checked.signature === 'bad') return 'tampered'
  if (!checked.isSameReview || checked.changedAttachments.length > 0) return 'changed-since'
  return checked.differences.length > 0 ? 'figures-differ' : 'stands'
}

/** What it came to, in words. */
export function checkedWords(checked: CheckedPublication): string {
  const { figureCount, differences, changedAttachments } = checked
  const count = differenceWords(differences)
  switch (checkedState(checked)) {
    case 'stands':
      return `It stands: the review is the one that was published, and all ${figureCount} figures come out the same.`
    case 'figures-differ':
      return `The review is the one that was published, but ${count}. Another version of the program worked them out.`
    case 'tampered':
      return 'Its signature does not fit: the publication itself was changed after it was signed.'
    case 'changed-since':
      return changedAttachments.length > 0 && checked.isSameReview
        ? `The review is the one that was published, but ${changedAttachments.length} of the traces, ` +
            `curves, pictures or clips beside it are not, or are not there; ${count}.`
        : `The review in this file is not the one that was published; ${count}.`
  }
}

/** How many figures and verdicts differ, in words. */
export function differenceWords(differences: readonly ReviewDifference[]): string {
  const verdicts = differences.filter(({ isVerdict }) => isVerdict).length
  if (differences.length === 0) return 'no figure differs'
  const figures = differences.length === 1 ? '1 figure differs' : `${differences.length} figures differ`
  if (verdicts === 0) return `${figures}, no verdict`
  return `${figures}, ${verdicts === 1 ? '1 verdict' : `${verdicts} verdicts`} among them`
}

/** How a review that goes on differs from what was published of it. */
export function sincePublished(
  { figures }: Publication,
  context: Context,
  now: readonly PublishedFigure[] = readFigures(context),
): ReviewDifference[] {
  return figureDifferences(figures, now)
}
