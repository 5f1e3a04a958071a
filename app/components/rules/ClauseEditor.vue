<script setup lang="ts">
import { parseFrequency } from '#core/quantity'
import {
  isPowerLimit,
  LEVEL_RANKS,
  type LevelRank,
  type LimitClause,
  type Mode,
  QUANTITIES_BY_METHOD,
  RECEIVER_METHOD_TITLES,
  type ReceiverMethod,
} from '#core/rules'
import type { ChangeOf } from '../fields/editField'
import { clauseFields, clauseNote } from './clauseFields'

/** Edits one clause of the reviewer's own rulebook. */
const { clause, disabled } = defineProps<{ clause: LimitClause; disabled: boolean }>()
const emit = defineEmits<{
  change: [label: string, recipe: (draft: LimitClause) => void]
  remove: []
  duplicate: []
}>()

const MODES: Mode[] = ['FM', 'AM', 'SSB']
const SPACINGS = [6250, 10_000, 12_500, 20_000, 25_000].map(value => ({ value, title: `${value / 1e3} kHz` }))
const KINDS = [
  { value: 'handheld', title: 'handheld' },
  { value: 'mobile', title: 'mobile' },
]
const METHODS = Object.entries(RECEIVER_METHOD_TITLES).map(([value, title]) => ({ value, title }))
const LEVELS = LEVEL_RANKS.map(value => ({ value, title: value }))
const STATES = [
  { value: 'operating', title: 'transmitting' },
  { value: 'standby', title: 'standing by' },
]

const change: ChangeOf<LimitClause> = (label, recipe) => emit('change', label, recipe)
const head = computed(() => clauseFields(clause, change))
const note = computed(() => clauseNote(clause, change))

function setState(state: string): void {
  emit('change', 'when a clause applies', draft => {
    if (state === 'standby') draft.when.state = 'standby'
    else delete draft.when.state
  })
}

function setHarmonicsOnly(only: boolean | null): void {
  emit('change', 'when a clause applies', draft => {
    if (only) draft.when.harmonicsOnly = true
    else delete draft.when.harmonicsOnly
  })
}

function setNumber(key: 'fromCarrierTimes' | 'awayHz', value: number | null): void {
  emit('change', 'when a clause applies', draft => {
    if (value === null) delete draft.when[key]
    else draft.when[key] = value
  })
}

function setLimit(limit: LimitClause['limit']): void {
  emit('change', 'a limit', draft => {
    draft.limit = limit
  })
}

const rangesText = computed(() =>
  (clause.when.carrierHz ?? []).map(([from, to]) => `${from / 1e6}–${to / 1e6}`).join(', '),
)
const rangeError = ref('')

/** `144–148, 430-440` in MHz; empty: any. */
function setRanges(text: string): void {
  rangeError.value = ''
  const ranges: [number, number][] = []
  for (const piece of text
    .split(/[;,]\s+|;/)
    .map(one => one.trim())
    .filter(Boolean)) {
    const ends = piece.split(/\s*(?:–|—|-|\bto\b)\s*/).map(end => parseFrequency(end))
    const [from, to] = ends
    if (ends.length !== 2 || !from?.ok || !to?.ok) {
      rangeError.value = `“${piece}” is not a range. Write it as 144–148, in MHz.`
      return
    }
    ranges.push([from.frequencyHz, to.frequencyHz])
  }
  emit('change', 'the carriers of a clause', draft => {
    if (ranges.length > 0) draft.when.carrierHz = ranges
    else delete draft.when.carrierHz
  })
}

function setPower(which: 0 | 1, value: number | null): void {
  emit('change', 'the power a clause is for', draft => {
    const [above, upTo] = draft.when.powerW ?? [0, null]
    const next: [number, number | null] = which === 0 ? [value ?? 0, upTo] : [above, value]
    if (next[0] === 0 && next[1] === null) delete draft.when.powerW
    else draft.when.powerW = next
  })
}

const hasMethods = computed(() => QUANTITIES_BY_METHOD.includes(clause.about))

function setList<K extends 'modes' | 'channelSpacingHz' | 'kinds' | 'methods' | 'levels'>(
  key: K,
  list: NonNullable<LimitClause['when'][K]>,
): void {
  emit('change', 'when a clause applies', draft => {
    if (list.length > 0) draft.when[key] = list
    else delete draft.when[key]
  })
}
</script>

<template>
  <article class="sheet clause" :aria-label="`Clause ${clause.clause}`">
    <div class="spread">
      <h3>{{ clause.clause }}</h3>
      <div class="row">
        <VBtn size="small" variant="outlined" :disabled="disabled" @click="emit('duplicate')">Duplicate</VBtn>
        <VBtn size="small" variant="outlined" :disabled="disabled" @click="emit('remove')">Remove</VBtn>
      </div>
    </div>
    <EditGrid :fields="head" :locked="disabled" />
    <h4>When it applies</h4>
    <div class="four">
      <div>
        <CommitField
          :model-value="rangesText"
          label="Carriers, MHz"
          placeholder="any, or 144–148"
          :disabled="disabled"
          @update:model-value="setRanges"
        />
        <p v-if="rangeError" class="wrong small" role="alert">{{ rangeError }}</p>
      </div>
      <NumberField
        :model-value="clause.when.powerW?.[0] ? clause.when.powerW[0] : null"
        label="Above"
        unit="W"
        :min="0"
        :max="1000000"
        optional
        empty-words="any power"
        :disabled="disabled"
        @update:model-value="setPower(0, $event)"
      />
      <NumberField
        :model-value="clause.when.powerW?.[1] ?? null"
        label="Up to"
        unit="W"
        :min="0.000001"
        :max="1000000"
        optional
        empty-words="without end"
        :disabled="disabled"
        @update:model-value="setPower(1, $event)"
      />
      <VSelect
        :model-value="clause.when.state ?? 'operating'"
        :items="STATES"
        label="The set is"
        :disabled="disabled"
        @update:model-value="setState"
      />
      <VSelect
        :model-value="clause.when.modes ?? []"
        :items="MODES"
        label="Modes"
        multiple
        placeholder="any"
        persistent-placeholder
        :disabled="disabled"
        @update:model-value="setList('modes', $event)"
      />
      <VSelect
        :model-value="clause.when.channelSpacingHz ?? []"
        :items="SPACINGS"
        label="Channel spacing"
        multiple
        placeholder="any"
        persistent-placeholder
        :disabled="disabled"
        @update:model-value="setList('channelSpacingHz', $event)"
      />
      <VSelect
        :model-value="clause.when.kinds ?? []"
        :items="KINDS"
        label="Kind of set"
        multiple
        placeholder="any"
        persistent-placeholder
        :disabled="disabled"
        @update:model-value="value => setList('kinds', value as ('handheld' | 'mobile')[])"
      />
      <VSelect
        v-if="hasMethods"
        :model-value="clause.when.methods ?? []"
        :items="METHODS"
        label="Measured by"
        multiple
        placeholder="the usual way"
        persistent-placeholder
        :disabled="disabled"
        @update:model-value="value => setList('methods', value as ReceiverMethod[])"
      />
      <VSelect
        :model-value="clause.when.levels ?? []"
        :items="LEVELS"
        label="Power level"
        multiple
        placeholder="any"
        persistent-placeholder
        :disabled="disabled"
        @update:model-value="value => setList('levels', value as LevelRank[])"
      />
      <NumberField
        v-if="clause.about === 'unwanted'"
        :model-value="clause.when.fromCarrierTimes ?? null"
        label="From so many times the carrier"
        unit="×"
        :min="1"
        :max="100"
        optional
        empty-words="everywhere"
        :disabled="disabled"
        @update:model-value="setNumber('fromCarrierTimes', $event)"
      />
      <NumberField
        v-if="clause.about === 'unwanted'"
        :model-value="clause.when.awayHz ?? null"
        label="Not nearer than"
        frequency
        optional
        empty-words="any distance"
        :disabled="disabled"
        @update:model-value="setNumber('awayHz', $event)"
      />
      <VCheckbox
        v-if="clause.about === 'unwanted'"
        :model-value="clause.when.harmonicsOnly ?? false"
        label="Harmonics only"
        :disabled="disabled"
        @update:model-value="setHarmonicsOnly"
      />
    </div>
    <h4>What it asks</h4>
    <LimitEditor
      v-if="isPowerLimit(clause.limit)"
      :limit="clause.limit"
      :disabled="disabled"
      @change="setLimit"
    />
    <ScalarEditor v-else :limit="clause.limit" :disabled="disabled" @change="setLimit" />
    <EditGrid :fields="note" :locked="disabled" inline />
  </article>
</template>

<style scoped>
.clause {
  padding: 14px 16px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
h4 {
  margin: 4px 0 0;
  font-size: 13px;
  color: var(--ink-2);
}
</style>
