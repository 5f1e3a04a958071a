<script setup lang="ts">
import { printDb, printNumber } from '#core/quantity'
import type { Heard } from '~/workers/listen.worker'

/** (S+N)/N of AM and SSB: what is heard with the modulation on, against what is heard with it off. */
const { heard, disabled = false } = defineProps<{ heard: Heard | null; disabled?: boolean }>()
const emit = defineEmits<{ keep: [ratio: { db: number; scatterDb: number }] }>()

/** Reports that are put together: five a second, overlapping. */
const REPORTS = 10
/** Powers of overlapping seconds that scatter by less than this are taken to be steady, dB. */
const LEAST_SCATTER_DB = 0.15

const recent = shallowRef<number[]>([])
watch(
  () => heard,
  value => {
    if (value) recent.value = [...recent.value, value.totalDb].slice(-REPORTS)
  },
)
const withTone = ref<number | null>(null)
const without = ref<number | null>(null)
const isSteady = computed(() => recent.value.length === REPORTS)
const ratio = computed(() =>
  withTone.value === null || without.value === null ? null : withTone.value - without.value,
)

function take(which: 'on' | 'off'): void {
  const mean = recent.value.reduce((sum, value) => sum + value, 0) / recent.value.length
  if (which === 'on') withTone.value = mean
  else without.value = mean
  recent.value = []
}

function scatter(): number {
  const values = recent.value
  if (values.length < 3) return LEAST_SCATTER_DB
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return Math.max(
    LEAST_SCATTER_DB,
    Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / values.length),
  )
}

function keep(): void {
  if (ratio.value !== null) emit('keep', { db: ratio.value, scatterDb: Math.SQRT2 * scatter() })
}

const words = (value: number | null) => (value === null ? '–' : `${printNumber(value, 1)} dB of full scale`)
</script>

<template>
  <div class="row" aria-label="Signal and noise against noise">
    <VBtn variant="outlined" size="small" :disabled="!isSteady" @click="take('on')">Modulation is on</VBtn>
    <span class="small figure">{{ words(withTone) }}</span>
    <VBtn variant="outlined" size="small" :disabled="!isSteady" @click="take('off')">Modulation is off</VBtn>
    <span class="small figure">{{ words(without) }}</span>
    <VBtn color="primary" size="small" :disabled="disabled || ratio === null" @click="keep"
      >Keep {{ ratio === null ? '–' : printDb(ratio) }}</VBtn
    >
    <span class="small quiet">Two steady seconds each; leave the volume as it is.</span>
  </div>
</template>
