import usReceivers from './books/us-receivers.rulebook.json'
import caLandMobile from './books/ca-land-mobile.rulebook.json'
import caCb from './books/ca-cb.rulebook.json'
import euAmateur from './books/eu-amateur.rulebook.json'
import euLandMobileIntegral from './books/eu-land-mobile-integral.rulebook.json'
import euData from './books/eu-data.rulebook.json'
import euSpurious from './books/eu-spurious.rulebook.json'
import euCb from './books/eu-cb.rulebook.json'
import euLandMobile from './books/eu-land-mobile.rulebook.json'
import euMarine from './books/eu-marine.rulebook.json'
import euPmr446 from './books/eu-pmr446.rulebook.json'
import goodPractice from './books/good-practice.rulebook.json'
import goodPractice40 from './books/good-practice-40.rulebook.json'
import ituSpurious from './books/itu-spurious.rulebook.json'
import ituSpuriousB from './books/itu-spurious-b.rulebook.json'
import tia603 from './books/tia-603.rulebook.json'
import ukCb from './books/uk-cb.rulebook.json'
import usAmateur from './books/us-amateur.rulebook.json'
import usCb from './books/us-cb.rulebook.json'
import usFrs from './books/us-frs.rulebook.json'
import usGmrs from './books/us-gmrs.rulebook.json'
import usLandMobile from './books/us-land-mobile.rulebook.json'
import usMarine from './books/us-marine.rulebook.json'
import usMurs from './books/us-murs.rulebook.json'
import { CoreError } from '../errors'
import type { LimitClause, Rulebook } from './types'

/** A data file as it lies in `books/`; tests hold every one of them against the schema. */
interface BookFile extends Omit<Rulebook, 'owner' | 'basedOn' | 'clauses'> {
  clauses: (Omit<LimitClause, 'recalled' | 'when' | 'basis' | 'note'> & Partial<LimitClause>)[]
}

/**
 * The data files as they ship, in the order they are offered: law, standards, yardsticks. All of them FROM
 * MEMORY.
 */
export const bookFiles: readonly unknown[] = [
  usAmateur,
  usFrs,
  usGmrs,
  usMurs,
  usCb,
  usMarine,
  usLandMobile,
  usReceivers,
  caLandMobile,
  caCb,
  ituSpurious,
  ituSpuriousB,
  euSpurious,
  euLandMobile,
  euLandMobileIntegral,
  euData,
  euPmr446,
  euCb,
  euMarine,
  euAmateur,
  ukCb,
  tia603,
  goodPractice,
  goodPractice40,
]

const shipped: readonly Rulebook[] = bookFiles.map(file => completed(file as BookFile))

/** The rulebooks of law and the standards that ship with the product. */
export const rulebooks: readonly Rulebook[] = shipped.filter(({ standing }) => standing !== 'yardstick')

/** The yardsticks that ship with the product: no law. */
export const yardsticks: readonly Rulebook[] = shipped.filter(({ standing }) => standing === 'yardstick')

/**
 * A rulebook by its id: the reviewer's own first, then the shipped ones.
 * @throws CoreError `unknown-id`.
 */
export function rulebookById(id: string, own: readonly Rulebook[] = []): Rulebook {
  const found = [...own, ...shipped].find(rulebook => rulebook.id === id)
  if (!found)
    throw new CoreError('unknown-id', `There is no rulebook “${id}” in this version.`, {
      kind: 'rulebook',
      id,
    })
  return found
}

function completed(file: BookFile): Rulebook {
  const { id, title, jurisdiction, edition, standing, note, bands, clauses, noFigure, decides } = file
  return {
    id,
    title,
    jurisdiction,
    edition,
    standing,
    note,
    bands,
    noFigure,
    ...(decides ? { decides } : {}),
    owner: 'shipped',
    basedOn: null,
    clauses: clauses.map(clause => ({ recalled: true, when: {}, basis: 'conducted', note: '', ...clause })),
  }
}
