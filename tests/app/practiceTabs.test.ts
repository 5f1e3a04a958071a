import { expect, it } from 'vitest'
import { TIDY_HANDS } from '#core/practice'
import { practiceSession } from '~/practice/session'
import type { PracticeKept } from '~/storage/practiceStore'

const kept: PracticeKept = {
  ...{ eveningId: 'e2', reviewId: 'r', startedAt: '2026-11-20T10:00:00.000Z' },
  ...{ hands: { ...TIDY_HANDS, toneSquelch: true }, hints: [], result: null },
}
const soon = () => new Promise(resolve => setTimeout(resolve, 30))

it('what hands do on a bench of practice stands so in its other tabs, and in no other evening', async () => {
  const [one, other] = [practiceSession(kept), practiceSession(kept)]
  const elsewhere = practiceSession({ ...kept, reviewId: 'another' })
  one.turn({ turn: 'toneSquelch', to: false })
  other.knobs.generatorDbm = -111
  other.knobs.second.isOn = true
  await soon()
  expect(other.kept.value.hands.toneSquelch).toBe(false)
  expect(other.kept.value).toEqual(one.kept.value)
  expect(one.knobs).toEqual(other.knobs)
  expect(one.knobs.generatorDbm).toBe(-111)
  expect(elsewhere.kept.value.hands.toneSquelch).toBe(true)
  expect(elsewhere.knobs.generatorDbm).toBe(-120)
  // Turned back in the other: nothing echoes.
  one.knobs.generatorDbm = -100
  await soon()
  expect([one.knobs.generatorDbm, other.knobs.generatorDbm]).toEqual([-100, -100])
  for (const session of [one, other, elsewhere]) session.leave()
})

it('nothing is heard any more once somebody left', async () => {
  const [one, other] = [practiceSession(kept), practiceSession(kept)]
  other.leave()
  one.turn({ turn: 'toneSquelch', to: false })
  await soon()
  expect(other.kept.value.hands.toneSquelch).toBe(true)
  one.leave()
})
