import { printDbm } from '#core/quantity'
import { carrierForLimit, isFirstLine } from '#core/station'
import type { SlotResult } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'

/** What is said of the limit: which slot is explained, what the line is called, which carrier it is from. */
export function useLimitWords(run: StationRun, focusSlotId: Readonly<Ref<string | null>>) {
  const { step, result, shownContext } = run

  const focus = computed<SlotResult | null>(() => {
    const slots = result.value?.slots ?? []
    const chosen = slots.find(({ slot }) => slot.id === focusSlotId.value)
    if (!chosen || !(chosen.reading || chosen.limit)) return result.value?.governs ?? slots[1] ?? null
    return isFirstLine(chosen.slot) ? { ...chosen, limit: slots[1]?.limit ?? null } : chosen
  })

  /** What the line in the spectrum is called: a figure where it is the same at every harmonic. */
  const limitLabel = computed(() => {
    const slots = result.value?.slots ?? []
    const levels = new Set(slots.flatMap(limitText))
    if (levels.size === 0) return ''
    const figure = levels.size === 1 ? ` ${[...levels][0]!}` : ' at each harmonic'
    const own = slots.some(({ yardstick }) => yardstick?.limit.kind === 'limit')
    return own ? `your yardstick${figure}, no figure in law` : `limit${figure}`
  })

  const carrierWords = computed(() => {
    const context = shownContext.value
    const carrier = step.value && context ? carrierForLimit(step.value, context) : null
    if (!carrier) return ''
    return carrier.from === 'claim'
      ? 'Worked out from the power in the claim, until the carrier is read.'
      : `Worked out from the ${carrier.words}.`
  })

  return { focus, limitLabel, carrierWords }
}

function limitText({ limit, yardstick }: SlotResult): string[] {
  const shown = yardstick?.limit ?? limit
  return shown?.kind === 'limit' ? [printDbm(shown.limitDbm, 2)] : []
}
