<script setup lang="ts">
import type { Instrument, PowerMeter, Receiver, SpectrumAnalyser } from '#core/chain'

const { instrument, locked } = defineProps<{ instrument: Instrument; locked: boolean }>()
const emit = defineEmits<{
  change: [label: string, recipe: (draft: Instrument) => void]
  duplicate: []
  remove: []
}>()

const OF = [
  { value: 'reading', title: 'of reading' },
  { value: 'full-scale', title: 'of full scale' },
]
const WAYS = [
  { value: true, title: 'In line, a load behind it' },
  { value: false, title: 'Ends the chain itself' },
]

function meter(label: string, recipe: (draft: PowerMeter) => void): void {
  emit('change', label, draft => draft.kind === 'power-meter' && recipe(draft))
}

const KINDS: Record<Instrument['kind'], string> = {
  'power-meter': 'power meter',
  'spectrum-analyser': 'spectrum analyser',
  receiver: 'receiver or monitor: modulation, frequency, recordings',
}

function receiver(label: string, recipe: (draft: Receiver) => void): void {
  emit('change', label, draft => draft.kind === 'receiver' && recipe(draft))
}

function analyser(label: string, recipe: (draft: SpectrumAnalyser) => void): void {
  emit('change', label, draft => draft.kind === 'spectrum-analyser' && recipe(draft))
}
</script>

<template>
  <section class="sheet editor" :aria-label="`Instrument: ${instrument.name}`">
    <div class="spread">
      <h2>
        {{ instrument.name }} <span class="quiet small">{{ KINDS[instrument.kind] }}</span>
      </h2>
      <div class="row">
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('duplicate')">Duplicate</VBtn>
        <VBtn size="small" variant="outlined" :disabled="locked" @click="emit('remove')">Remove</VBtn>
      </div>
    </div>
    <div class="grid">
      <CommitField
        :model-value="instrument.name"
        label="Name"
        :disabled="locked"
        @update:model-value="
          value =>
            value &&
            emit('change', 'an instrument’s name', draft => {
              draft.name = value
            })
        "
      />
      <CommitField
        :model-value="instrument.note"
        label="Note"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'an instrument’s note', draft => {
              draft.note = value
            })
        "
      />
      <NumberField
        :model-value="instrument.fromHz"
        label="Range from"
        frequency
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'an instrument’s range', draft => {
              draft.fromHz = value ?? draft.fromHz
            })
        "
      />
      <NumberField
        :model-value="instrument.toHz"
        label="Range to"
        frequency
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'an instrument’s range', draft => {
              draft.toHz = value ?? draft.toHz
            })
        "
      />
      <NumberField
        :model-value="instrument.vswr"
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
      <template v-if="instrument.kind === 'power-meter'">
        <NumberField
          :model-value="instrument.accuracyPercent"
          label="Accuracy ±"
          unit="%"
          :min="0"
          :max="1000"
          :disabled="locked"
          @update:model-value="
            value =>
              meter('an accuracy', draft => {
                draft.accuracyPercent = value ?? 0
                draft.assumed = false
              })
          "
        />
        <VSelect
          :model-value="instrument.accuracyOf"
          :items="OF"
          label="Percent"
          :disabled="locked"
          @update:model-value="
            value =>
              meter('an accuracy', draft => {
                draft.accuracyOf = value as 'reading'
              })
          "
        />
        <NumberField
          :model-value="instrument.fullScaleW"
          label="Full scale"
          unit="W"
          :min="0.000001"
          :max="100000"
          :disabled="locked"
          @update:model-value="
            value =>
              meter('a full scale', draft => {
                draft.fullScaleW = value ?? draft.fullScaleW
              })
          "
        />
        <NumberField
          :model-value="instrument.maxInputW"
          label="Most it bears"
          unit="W"
          :min="0.000001"
          :max="100000"
          :disabled="locked"
          @update:model-value="
            value =>
              meter('a largest input', draft => {
                draft.maxInputW = value ?? draft.maxInputW
              })
          "
        />
        <NumberField
          :model-value="instrument.resolution"
          label="Last digit"
          unit="W"
          :min="0"
          :max="1000"
          :disabled="locked"
          @update:model-value="
            value =>
              meter('a resolution', draft => {
                draft.resolution = value ?? 0
              })
          "
        />
        <VSelect
          :model-value="instrument.inLine"
          :items="WAYS"
          label="How it sits"
          :disabled="locked"
          @update:model-value="
            value =>
              meter('how a meter sits', draft => {
                draft.inLine = value as boolean
              })
          "
        />
      </template>
      <template v-else-if="instrument.kind === 'receiver'">
        <NumberField
          :model-value="instrument.damageDbm"
          label="Damage above"
          unit="dBm"
          :min="-100"
          :max="100"
          :disabled="locked"
          @update:model-value="
            value =>
              receiver('a damage level', draft => {
                draft.damageDbm = value ?? draft.damageDbm
              })
          "
        />
        <NumberField
          :model-value="instrument.overloadDbm"
          label="Overload above"
          unit="dBm"
          :min="-100"
          :max="100"
          :disabled="locked"
          @update:model-value="
            value =>
              receiver('an overload level', draft => {
                draft.overloadDbm = value ?? draft.overloadDbm
              })
          "
        />
        <NumberField
          :model-value="instrument.deviationPercent"
          label="Deviation known to ±"
          unit="%"
          :min="0"
          :max="100"
          :disabled="locked"
          @update:model-value="
            value =>
              receiver('an accuracy', draft => {
                draft.deviationPercent = value ?? 0
                draft.assumed = false
              })
          "
        />
        <NumberField
          :model-value="instrument.ratioDb"
          label="Ratios known to ±"
          unit="dB"
          :min="0"
          :max="60"
          :disabled="locked"
          @update:model-value="
            value =>
              receiver('an accuracy', draft => {
                draft.ratioDb = value ?? 0
                draft.assumed = false
              })
          "
        />
      </template>
      <template v-else>
        <NumberField
          :model-value="instrument.damageDbm"
          label="Damage above"
          unit="dBm"
          :min="-100"
          :max="100"
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('a damage level', draft => {
                draft.damageDbm = value ?? draft.damageDbm
              })
          "
        />
        <NumberField
          :model-value="instrument.overloadDbm"
          label="Overload above"
          unit="dBm"
          :min="-100"
          :max="100"
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('an overload level', draft => {
                draft.overloadDbm = value ?? draft.overloadDbm
              })
          "
        />
        <NumberField
          :model-value="instrument.flatnessDb"
          label="of which over frequency ±"
          unit="dB"
          :min="0"
          :max="60"
          optional
          empty-words="not known: all of it"
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('an accuracy', draft => {
                draft.flatnessDb = value
              })
          "
        />
        <NumberField
          :model-value="instrument.floorDbm"
          label="Noise floor"
          unit="dBm"
          :min="-200"
          :max="50"
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('a noise floor', draft => {
                draft.floorDbm = value ?? draft.floorDbm
              })
          "
        />
        <NumberField
          :model-value="instrument.floorDoubtDb"
          label="Floor known to ±"
          unit="dB"
          :min="0"
          :max="60"
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('how well a floor is known', draft => {
                draft.floorDoubtDb = value ?? 0
              })
          "
        />
        <NumberField
          :model-value="instrument.resolutionBandwidthHz"
          label="Resolution bandwidth"
          frequency
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('a resolution bandwidth', draft => {
                draft.resolutionBandwidthHz = value ?? draft.resolutionBandwidthHz
              })
          "
        />
        <NumberField
          :model-value="instrument.amplitudeAccuracyDb"
          label="Amplitude accuracy ±"
          unit="dB"
          :min="0"
          :max="60"
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('an accuracy', draft => {
                draft.amplitudeAccuracyDb = value ?? 0
                draft.assumed = false
              })
          "
        />
        <NumberField
          :model-value="instrument.resolution"
          label="Last digit"
          unit="dB"
          :min="0"
          :max="20"
          :disabled="locked"
          @update:model-value="
            value =>
              analyser('a resolution', draft => {
                draft.resolution = value ?? 0
              })
          "
        />
      </template>
      <NumberField
        v-if="instrument.kind !== 'power-meter'"
        :model-value="instrument.referencePpm"
        label="Frequency reference ±"
        unit="ppm"
        :min="0"
        :max="1000"
        optional
        empty-words="not stated"
        :disabled="locked"
        @update:model-value="
          value =>
            emit('change', 'a frequency reference', draft => {
              draft.referencePpm = value
            })
        "
      />
    </div>
    <p v-if="instrument.assumed" class="small quiet">
      This accuracy is a typical figure for such an instrument; the report says it is assumed until you give
      your own.
    </p>
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
@media (max-width: 1000px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
