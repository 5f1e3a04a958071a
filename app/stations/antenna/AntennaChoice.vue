<script setup lang="ts">
import { removeSteps } from '#core/review'
import { printFrequencyShort, printVswr } from '#core/quantity'
import {
  type Antenna,
  ANTENNA_ID,
  antennaAt,
  type AntennaKind,
  antennasOf,
  MOST_ANTENNAS,
} from '#core/station'
import type { StationPart } from '~/stations'

/** The antenna of this step: its name, whose it is, how it is held, what its label says; and another one. */
const { result, run } = defineProps<StationPart>()
const store = useReviewStore()

const antennas = computed(() => (store.context ? antennasOf(result.step.set, store.context) : []))
const antenna = computed(() => (store.context ? antennaAt(result.step, store.context) : null))
const KINDS: { value: AntennaKind; title: string }[] = [
  { value: 'supplied', title: 'supplied with the set' },
  { value: 'other', title: 'another one' },
  { value: 'control', title: 'the control radio’s' },
]

const words = computed(() => {
  const { held, labelHz, labelVswr } = antenna.value!
  const range = labelHz
    ? `${printFrequencyShort(labelHz[0])} to ${printFrequencyShort(labelHz[1])}`
    : 'no range'
  const promised = labelVswr === null ? '' : `, ${printVswr(labelVswr)}`
  return `${held || 'say how it is held, and over what'}; its label says ${range}${promised}`
})

/** Open where nobody said yet how it is held; from then on as the reader leaves it. */
const isOpen = ref(false)
watch(
  () => `${result.step.set.id}|${antenna.value?.id}`,
  () => {
    isOpen.value = antenna.value?.held === ''
  },
  { immediate: true },
)

function keepOpen(event: Event): void {
  isOpen.value = (event.target as HTMLDetailsElement).open
}

function keepAll(label: string, next: readonly Antenna[]): void {
  store.change(label, draft => {
    const kept = (draft.memos[ANTENNA_ID] ??= { common: null, bySet: {} })
    kept.bySet[result.step.set.id] = { antennas: next.map(one => ({ ...one })) }
  })
}

function change(label: string, changed: Partial<Antenna>): void {
  const id = antenna.value?.id
  keepAll(
    label,
    antennas.value.map(one => (one.id === id ? { ...one, ...changed } : one)),
  )
}

function keepLabel(end: 0 | 1, hz: number | null): void {
  const now = antenna.value?.labelHz ?? null
  const channels = result.step.band.channels.map(({ frequencyHz }) => frequencyHz)
  const range: [number, number] = now ? [...now] : [Math.min(...channels), Math.max(...channels)]
  if (hz !== null) range[end] = hz
  change('the range of an antenna’s label', { labelHz: hz === null ? null : range })
}

function add(): void {
  const id = crypto.randomUUID()
  const fresh: Antenna = { id, name: '', kind: 'other', held: '', labelHz: null, labelVswr: null }
  keepAll('an antenna', [...antennas.value, fresh])
  void nextTick(() => {
    const step = run.steps.value.find(
      ({ variant, band }) => variant?.id === id && band.id === result.step.band.id,
    )
    if (step) run.chooseStep(step.id)
  })
}

function remove(): void {
  const id = antenna.value?.id
  const stepIds = new Set(run.steps.value.filter(({ variant }) => variant?.id === id).map(step => step.id))
  const setId = result.step.set.id
  const next = antennas.value.filter(one => one.id !== id)
  store.change('an antenna removed', draft => {
    removeSteps(draft, { setId, stepIds })
    const kept = (draft.memos[ANTENNA_ID] ??= { common: null, bySet: {} })
    kept.bySet[setId] = { antennas: next.map(one => ({ ...one })) }
  })
}
</script>

<template>
  <details v-if="antenna" class="sheet antenna" :open="isOpen" @toggle="keepOpen">
    <summary>
      {{ antenna.name || 'Unnamed' }} antenna <span class="small quiet">{{ words }}</span>
    </summary>
    <div class="row">
      <CommitField
        :model-value="antenna.name"
        label="Antenna"
        class="name"
        :disabled="store.readOnly"
        @update:model-value="change('an antenna’s name', { name: $event })"
      />
      <VSelect
        :model-value="antenna.kind"
        :items="KINDS"
        label="Whose"
        class="kind"
        :disabled="store.readOnly"
        @update:model-value="change('whose antenna it is', { kind: $event })"
      />
      <CommitField
        :model-value="antenna.held"
        label="How it is held, and over what"
        class="held"
        :disabled="store.readOnly"
        @update:model-value="change('how an antenna is held', { held: $event })"
      />
    </div>
    <div class="row">
      <NumberField
        :model-value="antenna.labelHz?.[0] ?? null"
        label="Label from"
        class="label"
        frequency
        optional
        dense
        empty-words="says none"
        :disabled="store.readOnly"
        @update:model-value="keepLabel(0, $event)"
      />
      <NumberField
        :model-value="antenna.labelHz?.[1] ?? null"
        label="Label to"
        class="label"
        frequency
        optional
        dense
        :disabled="store.readOnly"
        @update:model-value="keepLabel(1, $event)"
      />
      <NumberField
        :model-value="antenna.labelVswr"
        label="VSWR at most"
        class="label"
        unit=":1"
        :min="1"
        :max="100"
        optional
        dense
        empty-words="2:1 is taken"
        :disabled="store.readOnly"
        @update:model-value="change('an antenna’s label', { labelVswr: $event })"
      />
      <VBtn variant="outlined" :disabled="store.readOnly || antennas.length >= MOST_ANTENNAS" @click="add"
        >Another antenna</VBtn
      >
      <VBtn v-if="antennas.length > 1" variant="text" :disabled="store.readOnly" @click="remove"
        >Remove this one</VBtn
      >
    </div>
  </details>
</template>

<style scoped>
.antenna {
  padding: 8px 14px;
}
.antenna summary {
  cursor: pointer;
  font-weight: 600;
}
.row {
  margin-top: 10px;
  gap: 10px;
  align-items: center;
}
.name,
.kind {
  flex: 1 1 170px;
}
.held {
  flex: 3 1 260px;
}
.label {
  flex: 1 1 120px;
  max-width: 180px;
}
</style>
