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
import { otherTabs } from './otherTabs'

/** What stands set on the bench while the page is left and come back to. */
export interface PracticeKnobs {
  /** What is plugged into the radio; empty: the first way there is. */
  chainId: string
  /** The generator’s level as typed, and as it stands, dBm. */
  levelText: string
  generatorDbm: number
  generatorIsOn: boolean
  offsetHz: number
  /** The second generator, on a neighbour channel. */
  second: { dbm: number; isOn: boolean; side: number }
}

/** An evening that is going on: its bench, what hands do on it, what is kept of it. */
export interface PracticeSession extends PracticeStand {
  evening: Evening
  world: PracticeWorld
  bench: VirtualBench
  kept: Ref<PracticeKept>
  knobs: PracticeKnobs
  turn: (what: HandTurn) => void
  keep: (change: Partial<PracticeKept>) => void
  /** Nobody is at this bench any more in this tab. */
  leave: () => void
}

/** The evening of a review, from what was kept of it. */
export function practiceSession(from: PracticeKept): PracticeSession {
  const evening = eveningById(from.eveningId)
  const world = worldOf(evening, { reviewId: from.reviewId, at: from.startedAt })
  const kept = shallowRef(from)
  const hands = (): Hands => kept.value.hands
  const bench = virtualBench(world.seed, practiceTruth(world, hands))

  const knobs = reactive<PracticeKnobs>({
    ...{ chainId: '', levelText: '-120 dBm', generatorDbm: -120, generatorIsOn: false, offsetHz: 0 },
    second: { dbm: -60, isOn: false, side: 1 },
  })

  /** Knobs as the other tabs have them: what came from there is not sent back. */
  let known = JSON.stringify(knobs)
  const others = otherTabs(from.reviewId, news => {
    if ('kept' in news) return void (kept.value = news.kept)
    known = JSON.stringify(news.knobs)
    Object.assign(knobs, news.knobs)
  })
  const stopTelling = watch(
    knobs,
    () => {
      const now = JSON.stringify(knobs)
      if (now === known) return
      known = now
      others.tell({ knobs })
    },
    { deep: true },
  )

  function keep(change: Partial<PracticeKept>): void {
    kept.value = { ...kept.value, ...change }
    void savePractice(kept.value)
    others.tell({ kept: kept.value })
  }

  return {
    ...{ evening, world, bench, kept, knobs, keep },
    turn: what => keep({ hands: turned(hands(), what, new Date().toISOString()) }),
    stand: bench.stand,
    damage: bench.damage,
    leave: () => {
      stopTelling()
      others.close()
    },
  }
}
