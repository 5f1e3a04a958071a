import { canBeReadByInstrument, nextRead } from '#core/station'
import { kindLinkId, KINDS_BY_THEMSELVES, useLinks } from '~/link/links'
import type { StationRun } from './useStationRun'

/** Whether instruments of the step in hand answer the application. */
export function useLinkOffer(run: StationRun) {
  const store = useReviewStore()
  const { links } = useLinks()
  const practice = usePracticeBench()

  return computed(() => {
    const [step, context] = [run.step.value, store.context]
    if (!step || !context || !canBeReadByInstrument(run.station, step)) return false
    if (practice.value) return true
    const inRoles = Object.values(step.chains).some(id => {
      const chain = context.chain(id)
      return chain !== undefined && links.value[chain.instrumentId] !== undefined
    })
    if (inRoles) return true
    // What stands in no chain is of use where the station asks for a kind, as the antenna does.
    const asked = nextRead(run.station, step, context)
    if (asked) return asked.is === 'figure' && links.value[kindLinkId(asked.kind)] !== undefined
    return KINDS_BY_THEMSELVES.some(kind => links.value[kindLinkId(kind)] !== undefined)
  })
}
