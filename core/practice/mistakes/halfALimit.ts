import { copyRulebook, rulebookById, type LimitClause, type Rulebook } from '../../rules'
import type { Mistake } from '../mistake'

const WHOLE_ID = 'us-amateur'
const HALF_ID = 'practice-half'
const CLAUSE_ID = '97.307e-low'

/** A rulebook from somewhere, with half of what the clause says. */
export const halfALimit: Mistake = {
  id: 'half-a-limit',
  title: 'The rulebook that was chosen knows only “40 dB down” and leaves out the 25 µW',
  needs: ['analyser'],
  plant: world => {
    const half = halved()
    const { settings, sets } = world.review
    // Between both: 40 dB down of 5 W is −3 dBm, 25 µW is −16 dBm.
    for (const { id } of sets)
      world.radios[id] = { ...world.radios[id], harmonicsDbc: [-46.5, -58, -66, -70] }
    world.review = {
      ...world.review,
      ownRulebooks: [half],
      settings: { ...settings, rulebookIds: [HALF_ID] },
    }
  },
  caughtBy: ({ context: { review } }) =>
    review.settings.rulebookIds.includes(WHOLE_ID) ? 'It is judged by the whole clause.' : null,
  reveals: 'The clause beside the limit, read to its end: the strictest of two.',
  hint: 'Who wrote the rulebook this review judges by? What does the shipped one say of the same clause?',
}

function halved(): Rulebook {
  const book = copyRulebook(rulebookById(WHOLE_ID)!, HALF_ID)
  return {
    ...book,
    title: 'Amateur, copied from a leaflet',
    clauses: book.clauses.map(clause =>
      clause.id === CLAUSE_ID
        ? ({ ...clause, limit: { kind: 'relative', attenuationDb: 40 } } as LimitClause)
        : clause,
    ),
  }
}
