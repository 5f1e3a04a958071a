import { type RunEnd, runWithoutHands } from '#core/handsfree'
import type { Context } from '#core/context'
import { openInterlocks, runKey } from '#core/plan'
import { nextRead, type ReadAction } from '#core/station'
import type { Kept, Step } from '#core/step'
import { plainWords } from '~/errors/plainWords'
import type { StationRun } from './useStationRun'

/** What a run without hands is doing. */
export type LinkState = 'idle' | 'reading' | 'paused' | 'stopping'

/** What is to be read next at a step. */
export type NextAt = (run: StationRun, step: Step, context: Context) => ReadAction | null

const nextOfStation: NextAt = ({ station }, step, context) => nextRead(station, step, context)

/** Reads what a step wants from instruments that answer, one figure after the other, until nothing is open. */
export function useLinkRead(run: StationRun, nextAt: NextAt = nextOfStation) {
  const store = useReviewStore()
  const deskAt = useBenchDesk()
  const isOffered = useLinkOffer(run)
  const state = ref<LinkState>('idle')
  const told = ref('')

  /** What is under way ends first, its generators off: another run beside it would be read through that. */
  function stop(): void {
    if (state.value !== 'idle') state.value = 'stopping'
  }

  function pause(): void {
    if (state.value === 'paused') state.value = 'reading'
    else if (state.value === 'reading') state.value = 'paused'
  }

  /** Waits while somebody pauses; false once it was stopped. */
  async function goesOn(): Promise<boolean> {
    while (state.value === 'paused') await new Promise(resolve => setTimeout(resolve, 50))
    return state.value === 'reading'
  }

  function whyNot(): string | null {
    const [step, context] = [run.step.value, store.context]
    if (!step || !context) return 'There is no step in hand.'
    if (store.readOnly) return 'This review is open elsewhere: nothing is read here.'
    // Nobody keys a radio that listens: what could harm a generator there is locked by a tick of its own.
    if (step.work === 'transmits' && run.unsafe.value)
      return 'A bench check is open: nothing is keyed before it is seen to.'
    if (openInterlocks(step, context).length > 0) return 'Something is to be ticked before anything is read.'
    if (!nextAt(run, step, context)) return 'Everything this step wants is read. R takes a reading again.'
    return null
  }

  /** Starts reading, or stops what is under way. */
  async function readAll(): Promise<void> {
    if (state.value !== 'idle') return stop()
    const refused = whyNot()
    if (refused !== null) return void (told.value = refused)
    const here = run.step.value!
    const isHere = () => run.step.value !== null && runKey(run.step.value) === runKey(here)
    state.value = 'reading'
    told.value = 'Reading …'
    const desk = deskAt(() => here, goesOn)
    const end = await runWithoutHands({
      desk,
      step: () => (isHere() ? run.step.value : null),
      next: () => (store.context && isHere() ? nextAt(run, run.step.value!, store.context) : null),
      keep: kept => isHere() && keepRead(kept),
      progress: count => void (told.value = `${count} read. ${lastWords}`),
      said: plainWords,
    })
    void desk.leave()
    told.value = [endWords(end), ...desk.damage().map(words => `Damaged: ${words}.`)].join(' ')
    state.value = 'idle'
  }

  let lastWords = ''

  function keepRead(kept: Kept): boolean {
    const label = run.step.value?.slots.find(({ id }) => id === kept.slotId)?.label ?? kept.slotId
    const answer = kept.source?.kind === 'link' ? (kept.source.answer ?? '') : ''
    lastWords = `${label}: it answered ${answer}, kept as ${kept.text}.`
    return run.keep([kept], `${label} read by the link`)
  }

  function endWords(end: RunEnd): string {
    switch (end.is) {
      case 'done':
        return end.kept === 1 ? lastWords : `${end.kept} read. ${lastWords}`
      case 'stopped':
        return `Stopped, ${end.kept} read and kept. What gives power out is off.`
      case 'failed':
        return `${end.why} ${end.kept === 0 ? 'Nothing was kept.' : `The ${end.kept} read before are kept.`}`
    }
  }

  watch(() => run.step.value && runKey(run.step.value), stop)
  onScopeDispose(stop)
  return { isOffered, state: readonly(state), told: readonly(told), readAll, pause }
}
