<script setup lang="ts">
import { type Calibration, calibrationLoss, type LossPoint, type Part } from '#core/chain'
import { partFields } from './partFields'

const { part, first, last, locked, calibrations, onOther } = defineProps<{
  part: Part
  first: boolean
  last: boolean
  locked: boolean
  /** Measured paths of this part. */ calibrations: readonly Calibration[]
  /** Readings that rest on another loss than the one that stands. */ onOther: number
}>()
const emit = defineEmits<{
  change: [label: string, recipe: (draft: Part) => void]
  duplicate: []
  remove: []
  move: [by: number]
  measure: []
  rejudge: []
}>()

const fields = computed(() => partFields(part, (label, recipe) => emit('change', label, recipe)))

const calibrationItems = computed(() => [
  { value: '', title: 'the stated loss' },
  ...calibrations.map(one => ({
    value: one.id,
    title: `measured ${one.at.slice(0, 10)}, ±${one.expandedDb} dB`,
  })),
])
const standing = computed(() => calibrations.find(({ id }) => id === part.calibrationId))

const standingWords = computed(() =>
  standing.value
    ? calibrationLoss(standing.value)
        .map(point => `${point.lossDb.toFixed(2)} dB at ${point.frequencyHz / 1e6} MHz`)
        .join(', ')
    : '',
)

function keepPoints(points: LossPoint[]): void {
  emit('change', 'a point of the loss table', draft => {
    if (draft.loss.kind === 'table') draft.loss.points = points
  })
}

function chooseLoss(calibrationId: string): void {
  emit('change', 'the loss that stands', draft => {
    draft.calibrationId = calibrationId || null
  })
}

function takeAsOwn(): void {
  emit('change', 'a part’s figures are my own', draft => {
    draft.typical = false
    draft.lossUncertainty.assumed = false
  })
}
</script>

<template>
  <section class="sheet editor" :aria-label="`Part: ${part.name}`">
    <div class="spread">
      <h2>{{ part.name }}</h2>
      <div class="row">
        <VBtn size="small" variant="text" :disabled="locked || first" @click="emit('move', -1)"
          >Move left</VBtn
        >
        <VBtn size="small" variant="text" :disabled="locked || last" @click="emit('move', 1)"
          >Move right</VBtn
        >
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('duplicate')">Duplicate</VBtn>
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('remove')">Remove</VBtn>
      </div>
    </div>
    <EditGrid :fields="fields" :locked="locked" />
    <div class="measured">
      <VSelect
        :model-value="part.calibrationId ?? ''"
        :items="calibrationItems"
        label="New readings use"
        :disabled="locked || calibrations.length === 0"
        @update:model-value="chooseLoss"
      />
      <VBtn variant="outlined" :disabled="locked" @click="emit('measure')">Measure this path</VBtn>
      <p v-if="standing" class="small">
        {{ standingWords }}<template v-if="standing.withWhat">; {{ standing.withWhat }}</template>
      </p>
      <p v-if="onOther > 0" class="small">
        {{ onOther }} readings were taken with another loss of this part and are judged by that.
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('rejudge')"
          >Judge them by this one</VBtn
        >
      </p>
    </div>
    <p v-if="part.typical" class="small quiet">
      Typical figures of such parts.
      <button type="button" class="link" :disabled="locked" @click="takeAsOwn">
        These are this part’s own
      </button>
    </p>
    <p v-if="part.lossUncertainty.assumed" class="small quiet">
      How well this loss is known is a typical figure, assumed until you give your own.
    </p>
    <LossTable
      v-if="part.loss.kind === 'table'"
      :points="part.loss.points"
      :locked="locked"
      @keep="keepPoints"
    >
      <p v-if="standing" class="small quiet">
        The stated loss, for readings that do not rest on a measured path:
      </p>
    </LossTable>
  </section>
</template>

<style scoped>
.measured {
  display: grid;
  grid-template-columns: minmax(0, 320px) auto minmax(0, 1fr);
  gap: 10px 12px;
  align-items: center;
}
.measured p:last-child:not(:nth-child(3)) {
  grid-column: 1 / -1;
}
@media (max-width: 1000px) {
  .measured {
    grid-template-columns: minmax(0, 1fr);
    justify-items: start;
  }
  .measured > :first-child {
    width: 100%;
  }
}
</style>
