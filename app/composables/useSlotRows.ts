import { printMhzFigure } from '#core/quantity'
import { rangeWords, valueWords } from '#core/judging'
import type { Reading } from '#core/review'
import { isRead, needsChain, type Slot, type SlotResult, stepReach } from '#core/step'
import type { StationRun } from './useStationRun'

/** A slot as its table shows it. */
export interface SlotRow {
  result: SlotResult
  slot: Slot
  kept: Reading | null
  entry: 'mark' | 'field' | 'derived' | 'out-of-reach'
  /** What generators are proposed to be set to, dBm, by role. */
  proposed: Readonly<Record<string, number>>
  label: string
  value: string
  range: string
  observed: boolean
  why: string | undefined
  disabled: boolean
}

/** Copied as it stands: there is nothing to measure a margin by. */
function isWords({ field }: Slot): boolean {
  return field.as === 'figure' && field.unit === 'words'
}

/** Seen to hold or not, with nothing to measure a margin by. */
function isPlainCheck({ state, margin }: SlotResult['verdict']): boolean {
  return margin === null && (state === 'inside' || state === 'outside')
}

/** What the rows are made of. */
export interface SlotRowsInput {
  slots: readonly SlotResult[]
  proposed: Readonly<Record<string, Record<string, number>>>
  locked: boolean
}

const isTyped = ({ field }: Slot) => field.as === 'level' || field.as === 'figure'

/** The slots of the step in hand as rows: each with its field, what it comes to, and whether it may be read. */
export function useSlotRows({ station, step }: StationRun, input: () => SlotRowsInput) {
  const store = useReviewStore()
  /** Shown and compared, never judged: no margin to draw. */
  const onlyObserved = station.verdicts === 'observed'

  /** A level has to come through a chain, and so has what a generator is set to. */
  function missesChain({ field, role, applied = [] }: Slot): boolean {
    const place = step.value
    if (!place || !needsChain(place)) return false
    const wanted = [...(field.as === 'level' && role !== null ? [role] : []), ...applied.map(one => one.role)]
    return wanted.some(one => (place.chains[one] ?? null) === null)
  }

  function keptIn(slot: Slot): Reading | null {
    return (step.value && store.context?.readingsOf(step.value).get(slot.id)) ?? null
  }

  function canBeRead(slot: Slot): boolean {
    return store.context !== null && step.value !== null && stepReach(step.value, slot, store.context).covered
  }

  function entryOf(result: SlotResult): SlotRow['entry'] {
    if (result.slot.field.as === 'derived') return 'derived'
    if (!isTyped(result.slot)) return 'mark'
    return isRead(result) || canBeRead(result.slot) ? 'field' : 'out-of-reach'
  }

  function rowOf(result: SlotResult): SlotRow {
    const { slot, verdict } = result
    const range = isRead(result) ? rangeWords(result) : '–'
    return {
      result,
      slot,
      kept: keptIn(slot),
      entry: entryOf(result),
      proposed: input().proposed[slot.id] ?? {},
      label:
        slot.field.as === 'level' ? `${slot.label}, ${printMhzFigure(slot.frequencyHz)} MHz` : slot.label,
      value: slot.field.as === 'mark' ? '' : valueWords(result),
      range: range === '–' ? '' : range,
      observed: onlyObserved || verdict.state === 'observation' || isPlainCheck(verdict) || isWords(slot),
      why: verdict.why ?? undefined,
      disabled: store.readOnly || input().locked || missesChain(slot),
    }
  }

  const rows = computed(() => input().slots.map(rowOf))
  return { rows, onlyObserved }
}
