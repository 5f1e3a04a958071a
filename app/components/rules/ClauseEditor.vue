<script setup lang="ts">
import { parseFrequency } from '#core/quantity'
import {
  isPowerLimit,
  type LimitClause,
  type Mode,
  QUANTITIES,
  quantityWords,
  type Quantity,
} from '#core/rules'

/** Edits one clause of the reviewer's own rulebook. */
const { clause, disabled } = defineProps<{ clause: LimitClause; disabled: boolean }>()
const emit = defineEmits<{
  change: [label: string, recipe: (draft: LimitClause) => void]
  remove: []
  duplicate: []
}>()

const ABOUT = QUANTITIES.map(value => ({ value, title: quantityWords[value] }))
const CONFIDENCES = [
  { value: 'H', title: 'H, sure' },
  { value: 'M', title: 'M, likely' },
  { value: 'L', title: 'L, vague: switched off' },
]
const BASES = [
  { value: 'conducted', title: 'at the socket' },
  { value: 'erp', title: 'radiated (ERP)' },
]
const MODES: Mode[] = ['FM', 'AM', 'SSB']
const SPACINGS = [6250, 10_000, 12_500, 20_000, 25_000].map(value => ({ value, title: `${value / 1e3} kHz` }))
const KINDS = [
  { value: 'handheld', title: 'handheld' },
  { value: 'mobile', title: 'mobile' },
]
const STATES = [
  { value: 'operating', title: 'transmitting' },
  { value: 'standby', title: 'standing by' },
]

const POWER_ONLY: readonly Quantity[] = ['unwanted', 'adjacent-power']

function setAbout(about: Quantity): void {
  emit('change', 'what a clause is about', draft => {
    draft.about = about
    if (POWER_ONLY.includes(about) !== isPowerLimit(draft.limit))
      draft.limit = POWER_ONLY.includes(about)
        ? { kind: 'relative', attenuationDb: 60 }
        : { kind: 'at-most', value: 1, unit: about === 'carrier-power' ? 'W' : 'dB' }
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

function setList<K extends 'modes' | 'channelSpacingHz' | 'kinds'>(
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
    <div class="grid">
      <CommitField
        :model-value="clause.clause"
        label="Clause"
        :disabled="disabled"
        @update:model-value="
          value =>
            emit('change', 'a clause’s name', draft => {
              draft.clause = value
            })
        "
      />
      <VSelect
        :model-value="clause.about"
        :items="ABOUT"
        label="About"
        :disabled="disabled"
        @update:model-value="value => value && setAbout(value)"
      />
      <VSelect
        :model-value="clause.confidence"
        :items="CONFIDENCES"
        label="How sure"
        :disabled="disabled"
        @update:model-value="
          value =>
            value &&
            emit('change', 'how sure a clause is', draft => {
              draft.confidence = value as 'H'
            })
        "
      />
      <VSelect
        :model-value="clause.basis"
        :items="BASES"
        label="Counted"
        :disabled="disabled"
        @update:model-value="
          value =>
            value &&
            emit('change', 'where a limit is counted', draft => {
              draft.basis = value as 'erp'
            })
        "
      />
    </div>
    <h4>When it applies</h4>
    <div class="grid">
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
        @update:model-value="value => setPower(0, value)"
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
        @update:model-value="value => setPower(1, value)"
      />
      <VSelect
        :model-value="clause.when.state ?? 'operating'"
        :items="STATES"
        label="The set is"
        :disabled="disabled"
        @update:model-value="
          value =>
            emit('change', 'when a clause applies', draft => {
              if (value === 'standby') draft.when.state = 'standby'
              else delete draft.when.state
            })
        "
      />
      <VSelect
        :model-value="clause.when.modes ?? []"
        :items="MODES"
        label="Modes"
        multiple
        placeholder="any"
        persistent-placeholder
        :disabled="disabled"
        @update:model-value="value => setList('modes', value)"
      />
      <VSelect
        :model-value="clause.when.channelSpacingHz ?? []"
        :items="SPACINGS"
        label="Channel spacing"
        multiple
        placeholder="any"
        persistent-placeholder
        :disabled="disabled"
        @update:model-value="value => setList('channelSpacingHz', value)"
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
      <VCheckbox
        v-if="clause.about === 'unwanted'"
        :model-value="clause.when.harmonicsOnly ?? false"
        label="Harmonics only"
        :disabled="disabled"
        @update:model-value="
          value =>
            emit('change', 'when a clause applies', draft => {
              if (value) draft.when.harmonicsOnly = true
              else delete draft.when.harmonicsOnly
            })
        "
      />
    </div>
    <h4>What it asks</h4>
    <LimitEditor
      v-if="isPowerLimit(clause.limit)"
      :limit="clause.limit"
      :disabled="disabled"
      @change="
        limit =>
          emit('change', 'a limit', draft => {
            draft.limit = limit
          })
      "
    />
    <ScalarEditor
      v-else
      :limit="clause.limit"
      :disabled="disabled"
      @change="
        limit =>
          emit('change', 'a limit', draft => {
            draft.limit = limit
          })
      "
    />
    <CommitField
      :model-value="clause.note"
      label="Note; {power}, {carrier} and {limit} are filled in"
      :disabled="disabled"
      :maxlength="2000"
      @update:model-value="
        value =>
          emit('change', 'a clause’s note', draft => {
            draft.note = value
          })
      "
    />
  </article>
</template>

<style scoped>
.clause {
  padding: 14px 16px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px;
}
h4 {
  margin: 4px 0 0;
  font-size: 13px;
  color: var(--ink-2);
}
.wrong {
  color: var(--outside);
}
@media (max-width: 1000px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 480px) {
  .grid {
    grid-template-columns: 1fr;
  }
}
</style>
