<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import type { Part, PartKind } from '#core/chain'
import { parseFrequency, parsePlainNumber } from '#core/quantity'

const { part, first, last, locked } = defineProps<{ part: Part; first: boolean; last: boolean; locked: boolean }>()
const emit = defineEmits<{ change: [label: string, recipe: (draft: Part) => void]; duplicate: []; remove: []; move: [by: number] }>()

const KINDS: { value: PartKind; title: string }[] = [{ value: 'jumper', title: 'Jumper' }, { value: 'pad', title: 'Pad' }, { value: 'adapter', title: 'Adapter' }, { value: 'load', title: 'Load' }]
const LOSSES = [{ value: 'figure', title: 'One figure' }, { value: 'table', title: 'Table over frequency' }]
const KNOWN = [{ value: 'rectangular', title: '±a from a data sheet' }, { value: 'normal', title: 'U (k = 2) from a certificate' }]

const row = reactive({ frequency: '', loss: '', error: '' })

function setLossKind(kind: 'figure' | 'table'): void {
  emit('change', 'how the loss is given', (draft) => {
    if (kind === draft.loss.kind) return
    draft.loss = kind === 'figure'
      ? { kind: 'figure', lossDb: draft.loss.kind === 'table' ? draft.loss.points[0]?.lossDb ?? 0 : 0 }
      : { kind: 'table', points: draft.loss.kind === 'figure' ? [{ frequencyHz: 100e6, lossDb: draft.loss.lossDb }] : [] }
  })
}

function addPoint(): void {
  const frequency = parseFrequency(row.frequency)
  const loss = parsePlainNumber(row.loss, { min: -60, max: 200, unit: 'dB' })
  if (!frequency.ok || !loss.ok) {
    row.error = frequency.ok ? (loss.ok ? '' : loss.message) : frequency.message
    return
  }
  emit('change', 'a point of the loss table', (draft) => {
    if (draft.loss.kind !== 'table') return
    draft.loss.points = [...draft.loss.points.filter(({ frequencyHz }) => frequencyHz !== frequency.frequencyHz), { frequencyHz: frequency.frequencyHz, lossDb: loss.value }].sort((a, b) => a.frequencyHz - b.frequencyHz)
  })
  Object.assign(row, { frequency: '', loss: '', error: '' })
}
</script>

<template>
  <section class="sheet editor" :aria-label="`Part: ${part.name}`">
    <div class="spread">
      <h2>{{ part.name }}</h2>
      <div class="row">
        <VBtn size="small" variant="text" :disabled="locked || first" @click="emit('move', -1)">Move left</VBtn>
        <VBtn size="small" variant="text" :disabled="locked || last" @click="emit('move', 1)">Move right</VBtn>
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('duplicate')">Duplicate</VBtn>
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('remove')">Remove</VBtn>
      </div>
    </div>
    <div class="grid">
      <CommitField :model-value="part.name" label="Name" :disabled="locked" @update:model-value="value => value && emit('change', 'a part’s name', draft => { draft.name = value })" />
      <CommitField :model-value="part.note" label="Connectors, type" :disabled="locked" @update:model-value="value => emit('change', 'a part’s note', draft => { draft.note = value })" />
      <VSelect :model-value="part.kind" :items="KINDS" label="Kind" :disabled="locked" @update:model-value="value => emit('change', 'a part’s kind', draft => { draft.kind = value as PartKind })" />
      <NumberField :model-value="part.vswr" label="VSWR" :min="1" :max="1000" :disabled="locked" @update:model-value="value => emit('change', 'a VSWR', draft => { draft.vswr = value ?? 1 })" />
      <NumberField :model-value="part.ratingW" label="Power rating" unit="W" :min="0.001" :max="100000" optional empty-words="not known" :disabled="locked" @update:model-value="value => emit('change', 'a power rating', draft => { draft.ratingW = value })" />
      <NumberField :model-value="part.fromHz" label="Usable from" frequency optional empty-words="not stated" :disabled="locked" @update:model-value="value => emit('change', 'a usable range', draft => { draft.fromHz = value })" />
      <NumberField :model-value="part.toHz" label="Usable to" frequency optional empty-words="not stated" :disabled="locked" @update:model-value="value => emit('change', 'a usable range', draft => { draft.toHz = value })" />
      <VSelect :model-value="part.loss.kind" :items="LOSSES" :label="part.kind === 'load' ? 'Loss to its tap' : 'Loss'" :disabled="locked" @update:model-value="value => setLossKind(value as 'figure')" />
      <NumberField v-if="part.loss.kind === 'figure'" :model-value="part.loss.lossDb" label="Loss" unit="dB" :min="-60" :max="200" :disabled="locked" @update:model-value="value => emit('change', 'a loss', draft => { draft.loss = { kind: 'figure', lossDb: value ?? 0 } })" />
      <NumberField :model-value="part.lossUncertainty.halfWidthDb" label="Loss known to ±" unit="dB" :min="0" :max="60" :disabled="locked" @update:model-value="value => emit('change', 'how well a loss is known', draft => { draft.lossUncertainty.halfWidthDb = value ?? 0; draft.lossUncertainty.assumed = false })" />
      <VSelect :model-value="part.lossUncertainty.distribution" :items="KNOWN" label="Known from" :disabled="locked" @update:model-value="value => emit('change', 'where a loss is known from', draft => { draft.lossUncertainty.distribution = value as 'normal' })" />
    </div>
    <p v-if="part.lossUncertainty.assumed" class="small quiet">How well this loss is known is a typical figure, assumed until you give your own.</p>
    <div v-if="part.loss.kind === 'table'" class="points">
      <table class="plain">
        <thead><tr><th class="right">MHz</th><th class="right">Loss, dB</th><th><span class="only-read">Remove</span></th></tr></thead>
        <tbody>
          <tr v-for="point in part.loss.points" :key="point.frequencyHz">
            <td class="right figure">{{ point.frequencyHz / 1e6 }}</td><td class="right figure">{{ point.lossDb.toFixed(2) }}</td>
            <td><VBtn icon size="small" variant="text" :aria-label="`Remove the point at ${point.frequencyHz / 1e6} MHz`" :disabled="locked" @click="emit('change', 'a point of the loss table', draft => { if (draft.loss.kind === 'table') draft.loss.points = draft.loss.points.filter(({ frequencyHz }) => frequencyHz !== point.frequencyHz) })"><VIcon :icon="mdiClose" size="16" /></VBtn></td>
          </tr>
        </tbody>
      </table>
      <form class="row" @submit.prevent="addPoint">
        <VTextField v-model="row.frequency" label="Frequency" suffix="MHz" class="narrow" :disabled="locked" :error="row.error !== ''" />
        <VTextField v-model="row.loss" label="Loss" suffix="dB" class="narrow" :disabled="locked" :error="row.error !== ''" />
        <VBtn type="submit" variant="outlined" :disabled="locked">Add the point</VBtn>
      </form>
      <p v-if="row.error" class="wrong small" role="alert">{{ row.error }}</p>
      <p class="small quiet">Between points the loss is interpolated over log frequency. Outside the table there is no figure, and readings there are not covered.</p>
    </div>
  </section>
</template>

<style scoped>
.editor { padding: 14px 16px; display: grid; grid-template-columns: minmax(0, 1fr); gap: 12px; }
.grid { display: grid; grid-template-columns: repeat(4, minmax(0, 1fr)); gap: 12px; }
.points { display: grid; grid-template-columns: minmax(0, 1fr); gap: 10px; max-width: 480px; }
.narrow { max-width: 160px; }
.wrong { color: var(--outside); }
@media (max-width: 1000px) { .grid { grid-template-columns: 1fr 1fr; } }
</style>
