<script setup lang="ts">
import { necessaryBandwidthHz } from '#core/band'
import type { Detection, Display } from '#core/uncertainty'
import { DISPLAY_ITEMS } from '~/components/bench/displayItems'
import type { HarmonicPeak, TracePeaks, TraceSpur } from '#core/format'
import type { Band } from '#core/review'
import { HIGHEST_HARMONIC, type Moment, MOMENT_TITLES, MOMENTS, peakText } from '#core/station'
import { printDbm, printFrequencyShort, printMhzFigure } from '#core/quantity'
import type { TraceFileRead } from '~/workers/trace.worker'
import { askTraceWorker } from '~/workers/traceWorker'
import TraceGlance from './TraceGlance.vue'

/** What a trace file holds, to be looked at before it fills the table. */
const {
  file: given,
  fileName,
  carrierHz,
  rbwOfInstrumentHz,
  band,
} = defineProps<{
  band: Band
  file: TraceFileRead | null
  fileName: string
  carrierHz: number
  rbwOfInstrumentHz: number | null
}>()
const emit = defineEmits<{
  close: []
  take: [
    value: {
      peaks: TracePeaks
      resolutionBandwidthHz: number | null
      keepsHighest: boolean
      detection: Detection | null
      chosen: HarmonicPeak[]
      spurs: TraceSpur[]
      moment: Moment
    },
  ]
  column: [index: number]
}>()

const file = computed(() => given)

const resolutionBandwidthHz = ref<number | null>(null)
const keepsHighest = ref(false)
/** Of which way its points show a level; “instrument”: nobody says so of the trace. */
const shows = ref<Display | 'instrument'>('instrument')
const SHOWS = [{ value: 'instrument', title: 'as its instrument does' } as const, ...DISPLAY_ITEMS]
const found = shallowRef<TracePeaks | null>(null)
const spurs = shallowRef<TraceSpur[]>([])
const wanted = ref<number[]>([])
const moment = ref<Moment>('settled')
const ui = useUiStore()

watch(file, now => {
  resolutionBandwidthHz.value = now?.resolutionBandwidthHz ?? null
  keepsHighest.value = false
  shows.value = now?.detection?.shows ?? 'instrument'
  found.value = null
  moment.value = 'settled'
})
watch(
  [file, resolutionBandwidthHz, keepsHighest],
  async () => {
    const now = file.value
    if (!now) return
    try {
      const points = { frequenciesHz: now.frequenciesHz, levelsDbm: now.levelsDbm }
      const peaks = await askTraceWorker(worker =>
        worker.peaks(points, {
          carrierHz,
          highestHarmonic: HIGHEST_HARMONIC,
          resolutionBandwidthHz: resolutionBandwidthHz.value,
          keepsHighest: keepsHighest.value,
        }),
      )
      spurs.value = await askTraceWorker(worker =>
        worker.spurs(points, {
          carrierHz,
          necessaryBandwidthHz: necessaryBandwidthHz(band),
          resolutionBandwidthHz: resolutionBandwidthHz.value,
          floorDbm: peaks.floorDbm,
          highestHarmonic: HIGHEST_HARMONIC,
        }),
      )
      wanted.value = spurs.value.map(({ frequencyHz }) => frequencyHz)
      found.value = peaks
    } catch (error) {
      ui.sayProblem(error)
    }
  },
  { immediate: true },
)

/** As chosen; how many sweeps only the file can have said. */
const detection = computed<Detection | null>(() => {
  if (shows.value === 'instrument') return null
  const said = file.value?.detection
  return { shows: shows.value, looks: said?.shows === shows.value ? said.looks : null }
})
const count = computed(() => chosen.value.length + wanted.value.length)
const chosen = computed(() => found.value?.peaks.filter(({ peak }) => peak !== null) ?? [])

function take(): void {
  if (found.value)
    emit('take', {
      peaks: found.value,
      resolutionBandwidthHz: resolutionBandwidthHz.value,
      keepsHighest: keepsHighest.value,
      detection: detection.value,
      chosen: chosen.value.filter(({ harmonic }) => moment.value === 'settled' || harmonic > 1),
      spurs: spurs.value.filter(({ frequencyHz }) => wanted.value.includes(frequencyHz)),
      moment: moment.value,
    })
}

/** What is to be known of a peak before it is taken. */
function remarkOf({ warning, peak }: HarmonicPeak): string {
  const noise = peak?.isNoise ? 'No higher than noise alone gets: at most this.' : ''
  return [noise, warning].filter(Boolean).join(' ')
}

function spurWords({ frequencyHz, levelDbm, aboveFloorDb }: TraceSpur): string {
  const above = `${aboveFloorDb.toFixed(0)} dB above the noise`
  return `${printMhzFigure(frequencyHz)} MHz, ${printDbm(levelDbm)} at the instrument, ${above}`
}
</script>

<template>
  <VDialog
    :model-value="file !== null"
    max-width="720"
    scrollable
    @update:model-value="value => !value && emit('close')"
  >
    <VCard class="dialog">
      <h2>Bring in “{{ fileName }}”?</h2>
      <TraceGlance v-if="file" :points="file" :floor-dbm="found?.floorDbm ?? null" />
      <ul class="understood small">
        <li v-for="line in file?.understood" :key="line">{{ line }}</li>
        <li v-if="found">Its noise floor is about {{ printDbm(found.floorDbm, 0) }} at the instrument.</li>
      </ul>
      <div class="settings">
        <NumberField
          v-model="resolutionBandwidthHz"
          label="Resolution bandwidth"
          frequency
          optional
          empty-words="not known"
        />
        <VBtn
          v-if="rbwOfInstrumentHz !== null && resolutionBandwidthHz !== rbwOfInstrumentHz"
          variant="outlined"
          size="small"
          @click="resolutionBandwidthHz = rbwOfInstrumentHz"
          >Take the instrument’s {{ printFrequencyShort(rbwOfInstrumentHz) }}</VBtn
        >
        <VCheckbox
          v-model="keepsHighest"
          label="Each point is the highest level since the one before (peak detector)"
        />
      </div>
      <div class="settings">
        <VSelect
          v-model="moment"
          :items="MOMENTS.map(value => ({ value, title: MOMENT_TITLES[value] }))"
          label="Taken"
        />
        <VSelect v-model="shows" :items="SHOWS" label="Its points show a level" />
        <VSelect
          v-if="file && file.levelColumns.length > 1"
          :model-value="file.levelColumn"
          :items="file.levelColumns.map(({ index, name }) => ({ value: index, title: name }))"
          label="Column of levels"
          @update:model-value="emit('column', $event)"
        />
      </div>
      <div class="scroll">
        <table class="plain">
          <thead>
            <tr>
              <th>×</th>
              <th class="right">MHz</th>
              <th class="right">Peak, dBm</th>
              <th>Remark</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in found?.peaks" :key="line.harmonic">
              <td>×{{ line.harmonic }}</td>
              <td class="right figure">{{ printMhzFigure(line.frequencyHz) }}</td>
              <td class="right figure">
                {{ line.peak ? peakText(line.peak) : '–' }}
              </td>
              <td class="small" :class="{ doubt: line.warning }">{{ remarkOf(line) }}</td>
            </tr>
          </tbody>
        </table>
        <template v-if="spurs.length">
          <h3>
            Other spurs, outside ±{{ printFrequencyShort(2.5 * necessaryBandwidthHz(band)) }} of the carrier
          </h3>
          <ul class="spurs">
            <li v-for="spur in spurs" :key="spur.frequencyHz">
              <VCheckbox v-model="wanted" :value="spur.frequencyHz" :label="spurWords(spur)" />
            </li>
          </ul>
        </template>
      </div>
      <div class="row end">
        <VBtn variant="text" @click="emit('close')">Leave it</VBtn>
        <VBtn color="primary" :disabled="chosen.length === 0" @click="take"
          >Fill the table with {{ count }} {{ count === 1 ? 'peak' : 'peaks' }}</VBtn
        >
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
.dialog {
  padding: 20px 22px;
  display: grid;
  gap: 12px;
}
.settings {
  display: grid;
  grid-template-columns: 200px auto;
  gap: 6px 12px;
  align-items: center;
  justify-content: start;
}
.settings > .v-checkbox {
  grid-column: 1 / -1;
}
.scroll {
  max-height: 46vh;
  overflow: auto;
}
.plain td {
  padding: 4px 8px;
}
.spurs {
  list-style: none;
  margin: 0;
  padding: 0;
}
h3 {
  margin-top: 8px;
}
</style>
