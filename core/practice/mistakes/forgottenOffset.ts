import type { Mistake } from '../mistake'
import { PRACTICE_IDS } from '../practiceReview'
import { areAllAfter, standingWith } from './lastTaken'

const LEFT_DB = 40

/** An offset from last time stands on the analyser, and nobody wrote it down. */
export const forgottenOffset: Mistake = {
  id: 'forgotten-offset',
  title: `An offset of ${LEFT_DB} dB was left on the analyser`,
  needs: ['analyser'],
  plant: world => {
    const { offsetDb } = world.hands
    world.hands = { ...world.hands, offsetDb: { ...offsetDb, [PRACTICE_IDS.analyser]: LEFT_DB } }
  },
  caughtBy: ({ context: { review }, hands }) => {
    const chain = review.chains.find(({ id }) => id === PRACTICE_IDS.clean)
    const onScreenDb = hands.offsetDb[PRACTICE_IDS.analyser] ?? 0
    if (onScreenDb !== 0)
      return chain?.offsetOnInstrumentDb === onScreenDb
        ? 'The chain knows the offset that stands on it.'
        : null
    const at = hands.turnedAt[`offset:${PRACTICE_IDS.analyser}`]
    const isAgain = areAllAfter(standingWith(review, PRACTICE_IDS.analyser), at)
    return isAgain ? 'The offset was cleared, and what stands was read after it.' : null
  },
  reveals: 'A carrier 40 dB above its claim: “47 kW from a handheld”. Or a look at the corner of the screen.',
  hint: 'What else stands on the analyser’s screen besides the trace?',
}
