import {
  type Evening,
  eveningById,
  type Hands,
  type HandTurn,
  practiceTruth,
  type PracticeWorld,
  turned,
  worldOf,
} from '#core/practice'
import { type VirtualBench, virtualBench } from '#core/virtual'
import type { PracticeStand } from '~/link/benchDesk'
import { type PracticeKept, savePractice } from '~/storage/practiceStore'

/** An evening that is going on: its bench, what hands do on it, what is kept of it. */
export interface PracticeSession extends PracticeStand {
  evening: Evening
  world: PracticeWorld
  bench: VirtualBench
  kept: Ref<PracticeKept>
  turn: (what: HandTurn) => void
  keep: (change: Partial<PracticeKept>) => void
}

/** The evening of a review, from what was kept of it. */
export function practiceSession(from: PracticeKept): PracticeSession {
  const evening = eveningById(from.eveningId)
  const world = worldOf(evening, { reviewId: from.reviewId, at: from.startedAt })
  const kept = shallowRef(from)
  const hands = (): Hands => kept.value.hands
  const bench = virtualBench(world.seed, practiceTruth(world, hands))

  function keep(change: Partial<PracticeKept>): void {
    kept.value = { ...kept.value, ...change }
    void savePractice(kept.value)
  }

  return {
    ...{ evening, world, bench, kept, keep },
    turn: what => keep({ hands: turned(hands(), what, new Date().toISOString()) }),
    stand: bench.stand,
  }
}
