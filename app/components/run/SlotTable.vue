<script setup lang="ts">
import { printMhzFigure } from '#core/quantity'
import { rangeWords, valueWords } from '#core/judging'
import { isRead, type Kept, needsChain, seenMark, type Slot, type SlotResult, stepReach } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'

/** The figures of a step, each with its field, what it comes to, its margin and its verdict. */
const { run, slots } = defineProps<{ run: StationRun; slots: SlotResult[] }>()
const focusSlotId = defineModel<string | null>('focusSlotId', { default: null })
const store = useReviewStore()
const table = useTemplateRef<HTMLElement>('table')

const { station, step, bareUnit } = run
/** Shown and compared, never judged: no margin to draw. */
const onlyObserved = station.verdicts === 'observed'
const isTyped = ({ field }: Slot) => field.as !== 'mark'
const canBeRead = (slot: Slot) =>
  store.context !== null && step.value !== null && stepReach(step.value, slot, store.context).covered
const missesChain = computed(
  () => step.value !== null && needsChain(step.value) && Object.values(step.value.chains).includes(null),
)

interface Row {
  result: SlotResult
  slot: Slot
  kept: ReturnType<typeof keptIn>
  entry: 'mark' | 'field' | 'out-of-reach'
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
      label:
        slot.field.as === 'level' ? `${slot.label}, ${printMhzFigure(slot.frequencyHz)} MHz` : slot.label,
      value: isTyped(slot) ? valueWords(result) : '',
      range: range === '–' ? '' : range,
      observed: onlyObserved || verdict.state === 'observation',
      why: verdict.why ?? undefined,
      disabled: store.readOnly || (slot.field.as === 'level' && missesChain.value),
    }
  }),
)

function keep(slot: Slot, kept: Kept): void {
  const here = isHere(slot.id)
  if (run.keep([kept], `the reading ${kept.text} at ${slot.label}`) && here) goOn(slot.id)
}

function mark(slot: Slot, value: boolean | null): void {
  const done = value === true
  run.keep([{ slotId: slot.id, text: done ? 'done' : 'not done', seen: seenMark(done) }], slot.label)
}

function isHere(slotId: string): boolean {
  return document.activeElement?.closest('[data-slot]')?.getAttribute('data-slot') === slotId
}

const ui = useUiStore()

/** To the next field below; after the last one it says where to go. */
function goOn(slotId: string): void {
  const at = rows.value.findIndex(({ slot }) => slot.id === slotId)
  const next = rows.value.slice(at + 1).find(({ entry }) => entry === 'field')
  if (next) focusField(next.slot.id)
  else ui.say(isLastStep() ? LAST_WORDS : NEXT_WORDS)
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

function inputOf(slotId: string): HTMLInputElement | null {
  return table.value?.querySelector<HTMLInputElement>(`[data-slot="${slotId}"] input`) ?? null
}

function focusNextOpen(): void {
  const open = rows.value.find(({ entry, result }) => entry === 'field' && !isRead(result)) ?? rows.value[0]
  if (open) inputOf(open.slot.id)?.focus()
}

function retake(): void {
  const last = focusSlotId.value ?? slots.findLast(isRead)?.slot.id
  if (last) focusField(last)
}

defineExpose({ focusNextOpen, retake })
</script>

<template>
  <div ref="table" class="scroll">
    <table :class="['plain', 'slots', { wide: station.wide }]">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col" class="right entry">As read</th>
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
            <SlotField
              v-else
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
