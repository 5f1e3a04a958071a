<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import {
  calibrationLoss,
  type Calibration,
  coaxLossDb,
  type Part,
  type PartKind,
  type PartLoss,
} from '#core/chain'
import { parseFrequency, parsePlainNumber } from '#core/quantity'

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

const KINDS: { value: PartKind; title: string }[] = [
  { value: 'jumper', title: 'Jumper' },
  { value: 'pad', title: 'Pad' },
  { value: 'adapter', title: 'Adapter' },
  { value: 'load', title: 'Load' },
  { value: 'sampler', title: 'Through-line sampler' },
  { value: 'coupler', title: 'Directional coupler' },
  { value: 'combiner', title: 'Combiner' },
  { value: 'filter', title: 'Filter' },
  { value: 'dc-block', title: 'DC block' },
]
const LOSSES = [
  { value: 'figure', title: 'One figure' },
  { value: 'table', title: 'Table over frequency' },
  { value: 'coax', title: 'Law of a cable' },
]
const KNOWN = [
  { value: 'rectangular', title: '±a from a data sheet' },
  { value: 'normal', title: 'U (k = 2) from a certificate' },
]

const row = reactive({ frequency: '', loss: '', error: '' })

/** Where a loss that is one figure now is read off, Hz. */
const ONE_FIGURE_AT_HZ = 100e6

function oneFigureDb(loss: PartLoss): number {
  if (loss.kind === 'figure') return loss.lossDb
  return loss.kind === 'table' ? (loss.points[0]?.lossDb ?? 0) : coaxLossDb(loss, ONE_FIGURE_AT_HZ)
}

/** A loss given in another way that keeps the figure as far as it can. */
function lossOfKind(kind: PartLoss['kind'], before: PartLoss): PartLoss {
  const lossDb = Number(oneFigureDb(before).toFixed(3))
  if (kind === 'figure') return { kind, lossDb }
  if (kind === 'table') return { kind, points: [{ frequencyHz: ONE_FIGURE_AT_HZ, lossDb }] }
  return { kind, lengthM: 1, rootDbPer100M: 14, linearDbPer100M: 2 }
}

function setLossKind(kind: PartLoss['kind']): void {
  emit('change', 'how the loss is given', draft => {
    if (kind !== draft.loss.kind) draft.loss = lossOfKind(kind, draft.loss)
  })
}

const calibrationItems = computed(() => [
  { value: '', title: 'the stated loss' },
  ...calibrations.map(one => ({
    value: one.id,
    title: `measured ${one.at.slice(0, 10)}, ±${one.expandedDb} dB`,
  })),
])
const standing = computed(() => calibrations.find(({ id }) => id === part.calibrationId))

function addPoint(): void {
  const frequency = parseFrequency(row.frequency)
  const loss = parsePlainNumber(row.loss, { min: -60, max: 200, unit: 'dB' })
  if (!frequency.ok) return void (row.error = frequency.message)
  if (!loss.ok) return void (row.error = loss.message)
  emit('change', 'a point of the loss table', draft => {
    if (draft.loss.kind !== 'table') return
    draft.loss.points = [
      ...draft.loss.points.filter(({ frequencyHz }) => frequencyHz !== frequency.frequencyHz),
      { frequencyHz: frequency.frequencyHz, lossDb: loss.value },
    ].sort((a, b) => a.frequencyHz - b.frequencyHz)
  })
  Object.assign(row, { frequency: '', loss: '', error: '' })
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
    <div class="grid">
      <CommitField
        :model-value="part.name"
        label="Name"
        :disabled="locked"
        @update:model-value="
          value =>
            value &&
            emit('change', 'a part’s name', draft => {
              draft.name = value
            })
        "
      />
      <CommitField
        :model-value="part.note"
        label="Connectors, type"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a part’s note', draft => {
              draft.note = value
            })
        "
      />
      <VSelect
        :model-value="part.kind"
        :items="KINDS"
        label="Kind"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a part’s kind', draft => {
              draft.kind = value as PartKind
            })
        "
      />
      <NumberField
        :model-value="part.vswr"
        label="VSWR"
        :min="1"
        :max="1000"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a VSWR', draft => {
              draft.vswr = value ?? 1
            })
        "
      />
      <NumberField
        :model-value="part.ratingW"
        label="Power rating"
        unit="W"
        :min="0.001"
        :max="100000"
        optional
        empty-words="not known"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a power rating', draft => {
              draft.ratingW = value
            })
        "
      />
      <NumberField
        :model-value="part.fromHz"
        label="Usable from"
        frequency
        optional
        empty-words="not stated"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a usable range', draft => {
              draft.fromHz = value
            })
        "
      />
      <NumberField
        :model-value="part.toHz"
        label="Usable to"
        frequency
        optional
        empty-words="not stated"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a usable range', draft => {
              draft.toHz = value
            })
        "
      />
      <VSelect
        :model-value="part.loss.kind"
        :items="LOSSES"
        :label="part.kind === 'load' ? 'Loss to its tap' : 'Loss'"
        :disabled="locked"
        @update:model-value="value => setLossKind(value)"
      />
      <NumberField
        v-if="part.loss.kind === 'figure'"
        :model-value="part.loss.lossDb"
        label="Loss"
        unit="dB"
        :min="-60"
        :max="200"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a loss', draft => {
              draft.loss = { kind: 'figure', lossDb: value ?? 0 }
            })
        "
      />
      <template v-if="part.loss.kind === 'coax'">
        <NumberField
          :model-value="part.loss.lengthM"
          label="Length"
          unit="m"
          :min="0"
          :max="10000"
          :disabled="locked"
          @update:model-value="
            value =>
              emit('change', 'a length', draft => {
                if (draft.loss.kind === 'coax') draft.loss.lengthM = value ?? 0
              })
          "
        />
        <NumberField
          :model-value="part.loss.rootDbPer100M"
          label="√f term, 100 m at 100 MHz"
          unit="dB"
          :min="0"
          :max="1000"
          :disabled="locked"
          @update:model-value="
            value =>
              emit('change', 'the law of a cable', draft => {
                if (draft.loss.kind === 'coax') draft.loss.rootDbPer100M = value ?? 0
              })
          "
        />
        <NumberField
          :model-value="part.loss.linearDbPer100M"
          label="f term, 100 m at 100 MHz"
          unit="dB"
          :min="-100"
          :max="1000"
          :disabled="locked"
          @update:model-value="
            value =>
              emit('change', 'the law of a cable', draft => {
                if (draft.loss.kind === 'coax') draft.loss.linearDbPer100M = value ?? 0
              })
          "
        />
      </template>
      <NumberField
        :model-value="part.lossUncertainty.halfWidthDb"
        label="Loss known to ±"
        unit="dB"
        :min="0"
        :max="60"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'how well a loss is known', draft => {
              draft.lossUncertainty.halfWidthDb = value ?? 0
              draft.lossUncertainty.assumed = false
            })
        "
      />
      <VSelect
        :model-value="part.lossUncertainty.distribution"
        :items="KNOWN"
        label="Known from"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'where a loss is known from', draft => {
              draft.lossUncertainty.distribution = value as 'normal'
            })
        "
      />
      <NumberField
        v-if="part.lossUncertainty.distribution === 'rectangular'"
        :model-value="part.lossUncertainty.flatnessDb"
        label="of which over frequency ±"
        unit="dB"
        :min="0"
        :max="60"
        optional
        empty-words="not known: all of it"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'how well a loss is known', draft => {
              draft.lossUncertainty.flatnessDb = value
            })
        "
      />
      <NumberField
        :model-value="part.lossUncertainty.shareOfLoss * 100"
        label="and of the loss itself ±"
        unit="%"
        :min="0"
        :max="100"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'how well a loss is known', draft => {
              draft.lossUncertainty.shareOfLoss = (value ?? 0) / 100
            })
        "
      />
      <NumberField
        :model-value="part.zeroRatingAtC"
        label="No rating left at"
        unit="°C"
        :min="26"
        :max="1000"
        optional
        empty-words="not derated"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a derating', draft => {
              draft.zeroRatingAtC = value
            })
        "
      />
      <NumberField
        :model-value="part.peakW"
        label="Most it may see"
        unit="W"
        :min="0.001"
        :max="100000"
        optional
        empty-words="as rated"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'the most a part may see', draft => {
              draft.peakW = value
            })
        "
      />
    </div>
    <div class="measured">
      <VSelect
        :model-value="part.calibrationId ?? ''"
        :items="calibrationItems"
        label="New readings use"
        :disabled="locked || calibrations.length === 0"
        @update:model-value="
          value =>
            emit('change', 'the loss that stands', draft => {
              draft.calibrationId = value || null
            })
        "
      />
      <VBtn variant="outlined" :disabled="locked" @click="emit('measure')">Measure this path</VBtn>
      <p v-if="standing" class="small">
        {{
          calibrationLoss(standing)
            .map(point => `${point.lossDb.toFixed(2)} dB at ${point.frequencyHz / 1e6} MHz`)
            .join(', ')
        }}<template v-if="standing.withWhat">; {{ standing.withWhat }}</template>
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
      <button
        type="button"
        class="link"
        :disabled="locked"
        @click="
          emit('change', 'a part’s figures are my own', draft => {
            draft.typical = false
            draft.lossUncertainty.assumed = false
          })
        "
      >
        These are this part’s own
      </button>
    </p>
    <p v-if="part.lossUncertainty.assumed" class="small quiet">
      How well this loss is known is a typical figure, assumed until you give your own.
    </p>
    <div v-if="part.loss.kind === 'table'" class="points">
      <p v-if="standing" class="small quiet">
        The stated loss, for readings that do not rest on a measured path:
      </p>
      <table class="plain">
        <thead>
          <tr>
            <th class="right">MHz</th>
            <th class="right">Loss, dB</th>
            <th><span class="only-read">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="point in part.loss.points" :key="point.frequencyHz">
            <td class="right figure">{{ point.frequencyHz / 1e6 }}</td>
            <td class="right figure">{{ point.lossDb.toFixed(2) }}</td>
            <td>
              <VBtn
                icon
                size="small"
                variant="text"
                :aria-label="`Remove the point at ${point.frequencyHz / 1e6} MHz`"
                :disabled="locked"
                @click="
                  emit('change', 'a point of the loss table', draft => {
                    if (draft.loss.kind === 'table')
                      draft.loss.points = draft.loss.points.filter(
                        ({ frequencyHz }) => frequencyHz !== point.frequencyHz,
                      )
                  })
                "
                ><VIcon :icon="mdiClose" size="16"
              /></VBtn>
            </td>
          </tr>
        </tbody>
      </table>
      <form class="row" @submit.prevent="addPoint">
        <VTextField
          v-model="row.frequency"
          label="Frequency"
          suffix="MHz"
          class="narrow"
          :disabled="locked"
          :error="row.error !== ''"
        />
        <VTextField
          v-model="row.loss"
          label="Loss"
          suffix="dB"
          class="narrow"
          :disabled="locked"
          :error="row.error !== ''"
        />
        <VBtn type="submit" variant="outlined" :disabled="locked">Add the point</VBtn>
      </form>
      <p v-if="row.error" class="wrong small" role="alert">{{ row.error }}</p>
      <p class="small quiet">
        Between points the loss is interpolated over log frequency. Outside the table there is no figure, and
        readings there are not covered.
      </p>
    </div>
  </section>
</template>

<style scoped>
.editor {
  padding: 14px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px;
}
.points {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  max-width: 480px;
}
.narrow {
  max-width: 160px;
}
.measured {
  display: grid;
  grid-template-columns: minmax(0, 320px) auto minmax(0, 1fr);
  gap: 10px 12px;
  align-items: center;
}
.measured p:last-child:not(:nth-child(3)) {
  grid-column: 1 / -1;
}
.link {
  color: var(--spruce);
  text-decoration: underline;
}
.wrong {
  color: var(--outside);
}
@media (max-width: 1000px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
  .measured {
    grid-template-columns: minmax(0, 1fr);
    justify-items: start;
  }
  .measured > :first-child {
    width: 100%;
  }
}
</style>
