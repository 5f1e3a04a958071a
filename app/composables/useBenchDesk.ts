import type { Desk } from '#core/handsfree'
import type { Step } from '#core/step'
import { type BenchDesk, benchDesk } from '~/link/benchDesk'
import { useLinks } from '~/link/links'

/** Makes desks of the instruments that answer at a step, by what is linked in this browser. */
export function useBenchDesk() {
  const store = useReviewStore()
  const ui = useUiStore()
  const own = useOwnBenchStore()
  const { links, virtualSeed } = useLinks()
  const practice = usePracticeBench()
  void own.load()

  return (step: () => Step, goesOn: Desk['goesOn'] = async () => true): BenchDesk =>
    benchDesk({
      ...{ step, goesOn, context: () => store.context!, links: links.value },
      ...{ books: own.bench.phrasebooks, seed: virtualSeed.value, practice: practice.value },
      keyedSince: () => (ui.keyedNow?.setId === step().set.id ? ui.keyedNow.since : null),
    })
}
