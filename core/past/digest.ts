import { type Context, createContext } from '../context'
import { type VerdictState, worstVerdict } from '../decision'
import { findings } from '../findings'
import { type Review, setShortName } from '../review'
import { type ControlPoint, controlPoints } from './controlChart'
import { pastRadios, type PastRadio } from './figures'

/** How one radio of a review stands, for a shelf. */
export interface RadioMark {
  setId: string
  name: string
  make: string
  bands: string[]
  state: VerdictState
}

/** What a review comes to, small enough to be kept beside it: marks, figures, readings of control radios. */
export interface ReviewDigest {
  id: string
  updatedAt: string
  marks: RadioMark[]
  radios: PastRadio[]
  controls: ControlPoint[]
}

/** Works a review through once and keeps what a shelf shows of it. */
export function digestOf(review: Review): ReviewDigest {
  const context = createContext(review)
  return {
    id: review.id,
    updatedAt: review.updatedAt,
    marks: marksOf(context),
    radios: pastRadios(context),
    controls: controlPoints(context),
  }
}

function marksOf(context: Context): RadioMark[] {
  const { sets, rows } = findings(context)
  return sets.map((set, i) => {
    const answers = rows.map(row => row.answers[i]!.answer).filter(({ gap }) => gap === null)
    const worst = worstVerdict(answers.map(answer => ({ member: answer, verdict: answer.verdict })))
    return {
      setId: set.id,
      ...{ name: setShortName(set), make: set.make, bands: set.bands.map(({ name }) => name) },
      state: worst?.verdict.state ?? 'not-covered',
    }
  })
}
