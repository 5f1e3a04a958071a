<script setup lang="ts">
import { isRead, type Kept, seenMark, type Slot, type SlotResult } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'
import type { SlotRow } from '~/composables/useSlotRows'

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
const ui = useUiStore()
const table = useTemplateRef<HTMLElement>('table')
const entries = new Map<string, { keepFigure: (figure: Omit<Kept, 'slotId'>) => void }>()

const { station, step, bareUnit } = run
const { rows, onlyObserved } = useSlotRows(run, () => ({ slots, proposed, locked }))
const hasApplied = computed(() => slots.some(({ slot }) => slot.applied))

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

/** To the next field below; after the last one it says where to go. */
function goOn(slotId: string): void {
  const next = nextBehind(slotId)
  if (next) focusField(next.slot.id)
  else ui.say(isLastStep() ? LAST_WORDS : NEXT_WORDS)
}

/** The next field below. Where levels are proposed, what is only wished is passed over. */
function nextBehind(slotId: string): SlotRow | undefined {
  const at = rows.value.findIndex(({ slot }) => slot.id === slotId)
  const below = rows.value.slice(at + 1).filter(({ entry }) => entry === 'field')
  if (!hasApplied.value) return below[0]
  return below.find(({ slot }) => !slot.optional || slot.kind.is === 'point')
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

/** The first field that is open: what is asked for or proposed goes before what is wished. */
function firstOpen(): SlotRow | undefined {
  const open = rows.value.filter(({ entry, result }) => entry === 'field' && !isRead(result))
  if (!hasApplied.value) return open[0]
  return open.find(({ slot }) => !slot.optional || slot.kind.is === 'point') ?? open[0]
}

function focusNextOpen(): void {
  const open = firstOpen() ?? rows.value[0]
  if (open) inputOf(open.slot.id)?.focus()
}

function retake(): void {
  const last = focusSlotId.value ?? slots.findLast(isRead)?.slot.id
  if (last) focusField(last)
}

function holdEntry(slotId: string, entry: unknown): void {
  if (entry) entries.set(slotId, entry as { keepFigure: (figure: Omit<Kept, 'slotId'>) => void })
  else entries.delete(slotId)
}

/** Keeps a figure that was heard in the next open field that asks for one beside a generator’s level. */
function keepNext(figure: Omit<Kept, 'slotId'>): void {
  const open = rows.value.find(
    ({ slot, result, entry, disabled }) =>
      slot.kind.is === 'point' && entry === 'field' && !isRead(result) && !disabled,
  )
  if (open) entries.get(open.slot.id)?.keepFigure(figure)
  else ui.sayProblem('Nothing is open here to keep it in, or something is to be ticked first.')
}

/** Puts the cursor in a slot’s field, unless something is half typed elsewhere. */
function takeInHand(slotId: string): void {
  const typing = document.activeElement
  const isField = typing instanceof HTMLInputElement || typing instanceof HTMLTextAreaElement
  if (isField && typing.type !== 'checkbox') {
    const here = typing.closest('[data-slot]')?.getAttribute('data-slot')
    const row = rows.value.find(({ slot }) => slot.id === here)
    if (!row || typing.value !== (row.kept?.text ?? '')) return
  }
  focusField(slotId)
}

defineExpose({ focusNextOpen, retake, keepNext, takeInHand })
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
            <span v-if="row.slot.optional && !row.kept && row.entry !== 'derived'" class="small quiet"
              >if wished</span
            >
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
            <SlotEntry
              v-else
              :ref="entry => holdEntry(row.slot.id, entry)"
              :key="`${step?.set.id}|${step?.id}`"
              :target="row.slot"
              :reading="row.kept"
              :proposed="row.proposed"
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

<style scoped src="./slotTable.css"></style>
