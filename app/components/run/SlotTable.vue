<script setup lang="ts">
import {
  type FigureRead,
  type LevelRead,
  type LevelUnit,
  type ParseFigureOptions,
  printMhzFigure,
} from '#core/quantity'
import {
  isRead,
  rangeWords,
  type Slot,
  type SlotResult,
  stationById,
  stepReach,
  valueWords,
} from '#core/station'
import type { StationRun } from '~/composables/useStationRun'

/** The figures of a step, each with its field, what it comes to, its margin and its verdict. */
const {
  run,
  slots,
  optionsOf,
  bareUnit = 'W',
  valueHead = 'Comes to',
  placeholderOf = () => '',
  wide = false,
} = defineProps<{
  run: StationRun
  slots: SlotResult[]
  /** How a figure is typed in a slot. */
  optionsOf: (slot: Slot) => ParseFigureOptions
  bareUnit?: LevelUnit
  valueHead?: string
  placeholderOf?: (slot: Slot) => string
  /** Figures are long: a whole frequency. */
  wide?: boolean
}>()
const focusSlotId = defineModel<string | null>('focusSlotId', { default: null })
const store = useReviewStore()
const table = useTemplateRef<HTMLElement>('table')

const step = computed(() => run.step.value)
/** Shown and compared, never judged: no margin to draw. */
const onlyObserved = computed(
  () => step.value !== null && stationById(step.value.stationId).judgedBy.length === 0,
)
const isObserved = ({ verdict }: SlotResult) => onlyObserved.value || verdict.state === 'observation'
const keptLevel = (slot: Slot) =>
  (step.value && store.context?.reading(step.value.set.id, step.value.id, slot.id)) ?? null
const keptFigure = (slot: Slot) =>
  (step.value && store.context?.figure(step.value.set.id, step.value.id, slot.id)) ?? null
const reachable = (slot: Slot) =>
  slot.measures !== 'level' ||
  (store.context !== null && step.value !== null && stepReach(step.value, slot, store.context).covered)
const disabled = computed(
  () => store.readOnly || (!step.value?.chainId && slots.some(({ slot }) => slot.measures === 'level')),
)

function draftLevel(slot: Slot, value: { text: string; read: LevelRead } | null): void {
  run.show({ level: value && { slotId: slot.id, ...value, frequencyHz: slot.frequencyHz } })
}

function keepLevel(slot: Slot, value: { text: string; read: LevelRead }): void {
  const here = isHere(slot.id)
  if (
    run.keepAll(
      { levels: [{ slotId: slot.id, ...value, frequencyHz: slot.frequencyHz }] },
      `the reading ${value.text} at ${slot.label}`,
    ) &&
    here
  )
    goOn(slot.id)
}

const asInput = (
  slot: Slot,
  { text, read: { value, resolution, isUpperBound } }: { text: string; read: FigureRead },
) => ({ slotId: slot.id, text, value, resolution, isUpperBound, unit: optionsOf(slot).unit })

function draftFigure(slot: Slot, value: { text: string; read: FigureRead } | null): void {
  run.show({ figure: value && asInput(slot, value) })
}

function keepFigure(slot: Slot, value: { text: string; read: FigureRead }): void {
  const here = isHere(slot.id)
  if (run.keepAll({ figures: [asInput(slot, value)] }, `${slot.label}, ${value.text}`) && here) goOn(slot.id)
}

function mark(slot: Slot, done: boolean): void {
  run.keepAll(
    {
      figures: [
        {
          slotId: slot.id,
          text: done ? 'done' : 'not done',
          value: done ? 1 : 0,
          unit: 'mark',
          resolution: 0,
        },
      ],
    },
    slot.label,
  )
}

function isHere(slotId: string): boolean {
  return document.activeElement?.closest('[data-slot]')?.getAttribute('data-slot') === slotId
}

const ui = useUiStore()

/** To the next field below; after the last one it says where to go. */
function goOn(slotId: string): void {
  const at = slots.findIndex(({ slot }) => slot.id === slotId)
  const next = slots.slice(at + 1).find(({ slot }) => reachable(slot) && slot.measures !== 'mark')
  if (next) focusField(next.slot.id)
  else
    ui.say(
      run.stepIndex.value < run.steps.value.length - 1
        ? 'All fields of this step are behind you. N goes to the next step.'
        : 'All fields are behind you. G then F shows the findings.',
    )
}

function goBack(slotId: string): void {
  const at = slots.findIndex(({ slot }) => slot.id === slotId)
  const before = slots.slice(0, at).findLast(({ slot }) => reachable(slot) && slot.measures !== 'mark')
  if (before) focusField(before.slot.id)
}

function focusField(slotId: string): void {
  void nextTick(() => table.value?.querySelector<HTMLInputElement>(`[data-slot="${slotId}"] input`)?.focus())
}

function focusNextOpen(): void {
  const open =
    slots.find(result => reachable(result.slot) && result.slot.measures !== 'mark' && !isRead(result)) ??
    slots[0]
  if (open) table.value?.querySelector<HTMLInputElement>(`[data-slot="${open.slot.id}"] input`)?.focus()
}

function retake(): void {
  const last = focusSlotId.value ?? slots.findLast(isRead)?.slot.id
  if (last) focusField(last)
}

defineExpose({ focusNextOpen, retake })
</script>

<template>
  <div ref="table" class="scroll">
    <table :class="['plain', 'slots', { wide }]">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col" class="right entry">As read</th>
          <th scope="col" class="right">{{ valueHead }}</th>
          <th v-if="!onlyObserved" scope="col" class="strip-cell">Margin</th>
          <th scope="col" :colspan="onlyObserved ? 2 : 1">{{ onlyObserved ? 'Observation' : 'Verdict' }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in slots"
          :key="one.slot.id"
          :class="{ here: one.slot.id === focusSlotId }"
          @click="focusSlotId = one.slot.id"
        >
          <th scope="row">
            {{ one.slot.label }}
            <span v-if="one.slot.optional && !isRead(one)" class="small quiet">if wished</span>
          </th>
          <td class="right entry" :data-slot="one.slot.id">
            <VCheckbox
              v-if="one.slot.measures === 'mark'"
              :model-value="(one.figure?.value ?? 0) === 1"
              label="Done"
              :disabled="disabled"
              :aria-label="one.slot.label"
              @update:model-value="value => mark(one.slot, value === true)"
            />
            <span v-else-if="!reachable(one.slot) && !one.reading" class="small quiet">out of reach</span>
            <ReadingField
              v-else-if="one.slot.measures === 'level'"
              :key="`${step?.set.id}|${step?.id}`"
              :reading="keptLevel(one.slot)"
              :bare-unit="bareUnit"
              :label="`${one.slot.label}, ${printMhzFigure(one.slot.frequencyHz)} MHz`"
              :disabled="disabled"
              @draft="value => draftLevel(one.slot, value)"
              @keep="value => keepLevel(one.slot, value)"
              @go-on="goOn(one.slot.id)"
              @go-back="goBack(one.slot.id)"
              @focused="focusSlotId = one.slot.id"
            />
            <FigureField
              v-else
              :key="`${step?.set.id}|${step?.id}|f`"
              :figure="keptFigure(one.slot)"
              :options="optionsOf(one.slot)"
              :label="one.slot.label"
              :placeholder="placeholderOf(one.slot)"
              :disabled="disabled"
              @draft="value => draftFigure(one.slot, value)"
              @keep="value => keepFigure(one.slot, value)"
              @go-on="goOn(one.slot.id)"
              @go-back="goBack(one.slot.id)"
              @focused="focusSlotId = one.slot.id"
            />
          </td>
          <td class="right figure">
            {{ one.slot.measures === 'mark' ? '' : valueWords(one) }}
            <span v-if="isRead(one) && rangeWords(one) !== '–'" class="small quiet">{{
              rangeWords(one)
            }}</span>
          </td>
          <td v-if="!isObserved(one)" class="strip-cell"><MarginStrip :verdict="one.verdict" /></td>
          <td class="word" :colspan="isObserved(one) ? 2 : 1">
            <VerdictWord
              :state="one.verdict.state"
              :words="one.words"
              :title="one.verdict.why ?? undefined"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
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
.strip-cell {
  min-width: 100px;
  width: 22%;
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
