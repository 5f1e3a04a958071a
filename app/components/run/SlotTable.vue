<script setup lang="ts">
import { printMhzFigure } from '#core/quantity'
import { rangeWords, valueWords } from '#core/judging'
import type { SeenLevel } from '#core/review'
import AppliedFields from '../fields/AppliedFields.vue'
import { isRead, type Kept, needsChain, seenMark, type Slot, type SlotResult, stepReach } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'

/** The figures of a step, each with its field, what it comes to, its margin and its verdict. */
const {
  run,
  slots,
  proposed = {},
  locked = false,
} = defineProps<{
  run: StationRun
  slots: SlotResult[]
  /** What generators are proposed to be set to, dBm, by slot and role. */
  proposed?: Readonly<Record<string, Record<string, number>>>
  /** Nothing may be read yet. */
  locked?: boolean
}>()
const focusSlotId = defineModel<string | null>('focusSlotId', { default: null })
const store = useReviewStore()
const ui = useUiStore()
const table = useTemplateRef<HTMLElement>('table')

const { station, step, bareUnit } = run
/** Shown and compared, never judged: no margin to draw. */
const onlyObserved = station.verdicts === 'observed'
const isTyped = ({ field }: Slot) => field.as === 'level' || field.as === 'figure'
const hasApplied = computed(() => slots.some(({ slot }) => slot.applied))
const canBeRead = (slot: Slot) =>
  store.context !== null && step.value !== null && stepReach(step.value, slot, store.context).covered
/** A level has to come through a chain, and so has what a generator is set to. */
function missesChain({ field, role, applied = [] }: Slot): boolean {
  const place = step.value
  if (!place || !needsChain(place)) return false
  const wanted = [...(field.as === 'level' && role !== null ? [role] : []), ...applied.map(one => one.role)]
  return wanted.some(one => (place.chains[one] ?? null) === null)
}

interface Row {
  result: SlotResult
  slot: Slot
  kept: ReturnType<typeof keptIn>
  entry: 'mark' | 'field' | 'derived' | 'out-of-reach'
  proposed: Readonly<Record<string, number>>
  label: string
  value: string
  range: string
  observed: boolean
  why: string | undefined
  disabled: boolean
}

function keptIn(slot: Slot) {
  return (step.value && store.context?.readingsOf(step.value).get(slot.id)) ?? null
}

function entryOf(result: SlotResult): Row['entry'] {
  if (result.slot.field.as === 'derived') return 'derived'
  if (!isTyped(result.slot)) return 'mark'
  return isRead(result) || canBeRead(result.slot) ? 'field' : 'out-of-reach'
}

const rows = computed<Row[]>(() =>
  slots.map(result => {
    const { slot, verdict } = result
    const range = isRead(result) ? rangeWords(result) : '–'
    return {
      result,
      slot,
      kept: keptIn(slot),
      entry: entryOf(result),
      proposed: proposed[slot.id] ?? {},
      label:
        slot.field.as === 'level' ? `${slot.label}, ${printMhzFigure(slot.frequencyHz)} MHz` : slot.label,
      value: slot.field.as === 'mark' ? '' : valueWords(result),
      range: range === '–' ? '' : range,
      observed: onlyObserved || verdict.state === 'observation',
      why: verdict.why ?? undefined,
      disabled: store.readOnly || locked || missesChain(slot),
    }
  }),
)

function keep(slot: Slot, kept: Kept): void {
  const applied = slot.applied ? appliedIn(slot) : {}
  if (applied === null) {
    ui.sayProblem('Type what the generator is set to first: a figure without its level says nothing.')
    return
  }
  const here = isHere(slot.id)
  if (run.keep([{ ...kept, applied }], `the reading ${kept.text} at ${slot.label}`) && here) goOn(slot.id)
}

const appliedFields = new Map<string, InstanceType<typeof AppliedFields>>()

function holdApplied(slotId: string, fields: unknown): void {
  if (fields) appliedFields.set(slotId, fields as InstanceType<typeof AppliedFields>)
  else appliedFields.delete(slotId)
}

/** What the generators of a slot are set to; null where that is not known. */
function appliedIn({ id }: Slot) {
  return appliedFields.get(id)?.levels() ?? null
}

/** The level of a reading that stands was put right. */
function changeApplied(row: Row, applied: Record<string, SeenLevel>): void {
  if (row.kept)
    run.keep(
      [{ slotId: row.slot.id, text: row.kept.text, seen: row.kept.seen, applied }],
      `the level at ${row.slot.label}`,
    )
}

function mark(slot: Slot, value: boolean | null): void {
  const done = value === true
  run.keep([{ slotId: slot.id, text: done ? 'done' : 'not done', seen: seenMark(done) }], slot.label)
}

function isHere(slotId: string): boolean {
  return document.activeElement?.closest('[data-slot]')?.getAttribute('data-slot') === slotId
}

/** To the next field below; after the last one it says where to go. */
function goOn(slotId: string): void {
  const at = rows.value.findIndex(({ slot }) => slot.id === slotId)
  const next = nextBehind(at)
  if (next) focusField(next.slot.id)
  else ui.say(isLastStep() ? LAST_WORDS : NEXT_WORDS)
}

/** The next field below: what is asked for, or a proposed one; what is only wished is passed over. */
function nextBehind(at: number): Row | undefined {
  const below = rows.value.slice(at + 1).filter(({ entry }) => entry === 'field')
  if (!hasApplied.value) return below[0]
  return below.find(({ slot, proposed: offers }) => !slot.optional || Object.keys(offers).length > 0)
}

const NEXT_WORDS = 'All within reach is in. N goes to the next step.'
const LAST_WORDS = 'All within reach is in. G then F shows the findings.'

function isLastStep(): boolean {
  return run.stepIndex.value >= run.steps.value.length - 1
}

function goBack(slotId: string): void {
  const at = rows.value.findIndex(({ slot }) => slot.id === slotId)
  const before = rows.value.slice(0, at).findLast(({ entry }) => entry === 'field')
  if (before) focusField(before.slot.id)
}

function focusField(slotId: string): void {
  void nextTick(() => inputOf(slotId)?.focus())
}

/** The field of a slot to begin with: the figure itself where the generator’s level is proposed already. */
function inputOf(slotId: string): HTMLInputElement | null {
  const inputs = table.value?.querySelectorAll<HTMLInputElement>(`[data-slot="${slotId}"] input`)
  const isProposed = Object.keys(proposed[slotId] ?? {}).length > 0
  return inputs?.[isProposed ? inputs.length - 1 : 0] ?? null
}

function focusFigure(slotId: string): void {
  const inputs = table.value?.querySelectorAll<HTMLInputElement>(`[data-slot="${slotId}"] input`)
  void nextTick(() => inputs?.[inputs.length - 1]?.focus())
}

function focusNextOpen(): void {
  const open = rows.value.find(({ entry, result }) => entry === 'field' && !isRead(result)) ?? rows.value[0]
  if (open) inputOf(open.slot.id)?.focus()
}

function retake(): void {
  const last = focusSlotId.value ?? slots.findLast(isRead)?.slot.id
  if (last) focusField(last)
}

/** Keeps a figure that was heard in the next open field that asks for one with a generator’s level. */
function keepNext(figure: Omit<Kept, 'slotId'>): void {
  const open = rows.value.find(
    ({ slot, result, entry, disabled }) => slot.applied && entry === 'field' && !isRead(result) && !disabled,
  )
  if (open) keep(open.slot, { ...figure, slotId: open.slot.id })
  else ui.sayProblem('Nothing is open here to keep it in, or something is to be ticked first.')
}

defineExpose({ focusNextOpen, retake, keepNext })
</script>

<template>
  <div ref="table" class="scroll">
    <table :class="['plain', 'slots', { wide: station.wide, paired: hasApplied }]">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col" class="right entry">{{ hasApplied ? 'Generator, as read' : 'As read' }}</th>
          <th scope="col" class="right">{{ station.valueHead ?? 'Comes to' }}</th>
          <th v-if="!onlyObserved" scope="col" class="strip-cell">Margin</th>
          <th scope="col" :colspan="onlyObserved ? 2 : 1">{{ onlyObserved ? 'Observation' : 'Verdict' }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.slot.id"
          :class="{ here: row.slot.id === focusSlotId }"
          @click="focusSlotId = row.slot.id"
        >
          <th scope="row">
            {{ row.slot.label }}
            <span v-if="row.slot.optional && !row.kept" class="small quiet">if wished</span>
          </th>
          <td class="right entry" :data-slot="row.slot.id">
            <VCheckbox
              v-if="row.entry === 'mark'"
              :model-value="isRead(row.result)"
              label="Done"
              :disabled="row.disabled"
              :aria-label="row.slot.label"
              @update:model-value="mark(row.slot, $event)"
            />
            <span v-else-if="row.entry === 'out-of-reach'" class="small quiet">out of reach</span>
            <span v-else-if="row.entry === 'derived'" class="small quiet">worked out</span>
            <div v-else class="fields">
              <AppliedFields
                v-if="row.slot.applied"
                :ref="fields => holdApplied(row.slot.id, fields)"
                :key="`${step?.set.id}|${step?.id}|applied`"
                :fields="row.slot.applied"
                :reading="row.kept"
                :proposed="row.proposed"
                :disabled="row.disabled"
                @changed="changeApplied(row, $event)"
                @go-on="focusFigure(row.slot.id)"
                @focused="focusSlotId = row.slot.id"
              />
              <SlotField
                :key="`${step?.set.id}|${step?.id}`"
                :target="row.slot"
                :reading="row.kept"
                :bare-unit="bareUnit"
                :label="row.label"
                :disabled="row.disabled"
                @draft="run.showDraft"
                @keep="keep(row.slot, $event)"
                @go-on="goOn(row.slot.id)"
                @go-back="goBack(row.slot.id)"
                @focused="focusSlotId = row.slot.id"
              />
            </div>
          </td>
          <td class="right figure">
            {{ row.value }} <span v-if="row.range" class="small quiet">{{ row.range }}</span>
          </td>
          <td v-if="!row.observed" class="strip-cell"><MarginStrip :verdict="row.result.verdict" /></td>
          <td class="word" :colspan="row.observed ? 2 : 1">
            <VerdictWord :state="row.result.verdict.state" :words="row.result.words" :title="row.why" />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.slots tbody th {
  font-weight: 600;
  color: var(--ink);
  font-size: 15px;
  border-bottom: 1px solid var(--line);
  padding: 4px 8px;
  text-align: left;
  min-width: 130px;
}
.slots td {
  padding: 4px 7px;
  height: 43px;
  white-space: nowrap;
}
.slots td.word {
  white-space: normal;
  min-width: 150px;
}
.entry {
  width: 150px;
}
.entry :deep(input[type='text']) {
  min-width: 116px;
}
.wide .entry {
  width: 170px;
}
.wide .entry :deep(input[type='text']) {
  min-width: 158px;
  font-size: 15px;
  padding: 0 6px;
}
.slots td:nth-child(3) {
  white-space: normal;
}
.slots td:nth-child(3) .small {
  white-space: nowrap;
}
.wide td.word {
  min-width: 130px;
}
.wide .strip-cell {
  min-width: 84px;
}
.fields {
  display: flex;
  gap: 6px;
  justify-content: flex-end;
}
.paired .entry {
  width: 240px;
}
.paired .entry :deep(input[type='text']) {
  min-width: 104px;
  width: 112px;
  font-size: 16px;
}
.here {
  background: rgba(var(--v-theme-inside-wash), 0.5);
}
@media (max-width: 700px) {
  .slots thead {
    display: none;
  }
  .slots tbody tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 150px;
    align-items: center;
    border-bottom: 1px solid var(--line);
    padding: 4px 0;
  }
  .slots tbody th,
  .slots td {
    border-bottom: 0;
    height: auto;
    width: auto;
  }
  .slots td:nth-child(3) {
    text-align: left;
  }
}
</style>
