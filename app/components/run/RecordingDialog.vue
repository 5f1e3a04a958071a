<script setup lang="ts">
import type { RecordingUse } from '#core/station'
import type { KeptFigure, Step } from '#core/step'
import { withAnnotations, writeCsv } from '#core/format'
import { printHz, printMhz, printSigned } from '#core/quantity'
import { partRange, samplesOfPart, type SpectrumCurve, spectrumCurve } from '#core/signal'
import { buildChannelSpectrumOption } from '~/charts/channelSpectrumOption'
import { stationView } from '~/stations'
import type { FoundInRecording } from '~/composables/useKeepRecording'
import type { Recordings } from '~/composables/useRecordings'

/** What a recording holds, to be looked at before its figures are kept. */
const { recordings, step, use } = defineProps<{ recordings: Recordings; step: Step; use: RecordingUse }>()
const emit = defineEmits<{ take: [value: FoundInRecording] }>()
const palette = useChartPalette()
const config = useRuntimeConfig().public

const { looks, setup, analysis, taken, progress, problem } = recordings
const target = ref(use.targets[0]?.id ?? '')
const open = computed(() => looks.value.length > 0)
watch(open, now => {
  if (now) target.value = use.targets[0]?.id ?? ''
})
const look = computed(() => (setup.value ? (looks.value[setup.value.index] ?? null) : null))
const figures = computed(() =>
  analysis.value
    ? use.figures(analysis.value, { step, target: target.value, centreHz: setup.value?.centreHz ?? null })
    : [],
)
const channelCount = computed(() => {
  const all = look.value?.channels ?? 0
  return setup.value?.as === 'iq' ? Math.floor(all / 2) : all
})
const channels = computed(() =>
  Array.from({ length: channelCount.value }, (_unused, value) => ({ value, title: String(value + 1) })),
)
const halfWidthHz = computed(() => use.halfWidthHz(step))
watch(
  () => setup.value?.as,
  () => {
    if (setup.value) setup.value.channel = 0
  },
)
/** How it is read, short: what stands in the fields, without opening them. */
const readAs = computed(() => {
  if (!setup.value) return ''
  const { as, shiftHz, fromS, toS } = setup.value
  return [
    as === 'iq' ? 'as I and Q' : 'as audio',
    shiftHz === null ? 'the strongest signal' : `the signal ${printSigned(shiftHz, 0)} Hz from the middle`,
    fromS === null && toS === null ? 'all of it' : partRange({ fromS, toS }),
  ].join(', ')
})
const busy = ref(false)

const carrierHz = computed(() => analysis.value?.carrierHz ?? 0)
const reference = computed(
  () => analysis.value?.adjacent?.ownPowerDb ?? analysis.value?.peaks[0]?.levelDb ?? 0,
)
/** How much closer than the station’s own width a closer look goes. */
const CLOSER = 8
const closer = shallowRef<SpectrumCurve | null>(null)
watch(analysis, () => {
  closer.value = null
})
async function toggleCloser(): Promise<void> {
  closer.value = closer.value ? null : await recordings.lookCloser((2 * halfWidthHz.value) / CLOSER)
}
const shownHalfHz = computed(() => (closer.value ? halfWidthHz.value / CLOSER : halfWidthHz.value))

const curve = computed(() => {
  if (!analysis.value) return null
  if (closer.value)
    return {
      x: closer.value.offsetHz,
      y: closer.value.meanDb.map(db => db - reference.value),
      y2: closer.value.highestDb.map(db => db - reference.value),
    }
  const thin = spectrumCurve(analysis.value.spectrum, {
    carrierHz: carrierHz.value,
    withinHz: halfWidthHz.value,
    points: 700,
    referenceDb: reference.value,
  })
  return { x: thin.offsetHz, y: thin.meanDb, y2: thin.highestDb }
})
const option = computed(() =>
  buildChannelSpectrumOption({
    palette: palette.value,
    curve: curve.value,
    bands: analysis.value ? (stationView(step.stationId).bands?.(step, analysis.value) ?? []) : [],
    lines: [],
    levelName: 'dBc',
    halfWidthHz: shownHalfHz.value,
  }),
)
/** What the working out alone leaves open, 95 %; the instrument’s own doubt comes on top once it is kept. */
function doubt({ seen: { unit, standardUncertainty } }: KeptFigure): string {
  if (standardUncertainty === 0) return ''
  return unit === 'Hz'
    ? `±${printHz(2 * standardUncertainty, 2)}`
    : `±${(2 * standardUncertainty).toPrecision(1)}\u00a0${unit}`
}

const facts = computed(() => {
  const found = analysis.value
  if (!found) return []
  const d = found.deviation
  return [
    ...(found.carrierHz === null
      ? []
      : [
          `Carrier ${setup.value?.centreHz === null ? `${printSigned(found.carrierHz, 1)} Hz from the middle` : printMhz(Math.round(10 * (setup.value!.centreHz! + found.carrierHz)) / 10)}${d ? `, known to ±${printHz(Math.max(0.1, 2 * d.carrierUncertaintyHz), 2)} within the recording` : ''}.`,
        ]),
    ...(d
      ? [
          `Deviation +${printHz(d.plusHz, 4)}, −${printHz(d.minusHz, 4)}, half peak to peak ${printHz(d.halfPeakToPeakHz, 4)}, rms ${printHz(d.rmsHz, 3)}.`,
          d.words,
        ]
      : []),
    ...(d?.toneHz
      ? [`Tone ${printHz(d.toneHz, 5)}, distortion ${(100 * (d.distortion ?? 0)).toFixed(1)} %.`]
      : []),
    ...(d?.subAudible
      ? [
          `Tone squelch ${d.subAudible.usualHz ?? d.subAudible.frequencyHz.toFixed(1)} Hz with ${printHz(d.subAudible.deviationHz, 3)} of deviation.`,
        ]
      : []),
    found.words,
    ...found.without,
  ]
})

async function take(): Promise<void> {
  const found = analysis.value
  if (!found) return
  busy.value = true
  emit('take', { analysis: found, figures: figures.value })
}
watch(open, () => {
  busy.value = false
})

/** What was found as SigMF annotations, beside the metadata the recording came with. */
function annotate(): void {
  const found = analysis.value
  if (!found || !look.value || !taken.value) return
  const part = samplesOfPart(
    { sampleCount: look.value.sampleCount, sampleRateHz: taken.value.sampleRateHz },
    taken.value,
  )
  const half = found.occupied ? (found.occupied.highHz - found.occupied.lowHz) / 2 : found.spectrum.enbwHz * 2
  const meta = withAnnotations(
    look.value.meta,
    [
      ...(found.carrierHz === null
        ? []
        : [
            {
              label: 'carrier',
              comment: facts.value.slice(0, 2).join(' '),
              lowHz: found.carrierHz - half,
              highHz: found.carrierHz + half,
            },
          ]),
      ...found.peaks
        .filter(({ frequencyHz }) => Math.abs(frequencyHz - carrierHz.value) > 2 * half)
        .slice(0, 10)
        .map(peak => ({
          label: 'peak',
          comment: `${printSigned(peak.levelDb - reference.value)} dBc`,
          lowHz: peak.frequencyHz - 2 * found.spectrum.enbwHz,
          highHz: peak.frequencyHz + 2 * found.spectrum.enbwHz,
        })),
      ...(found.adjacent?.channels.map(channel => ({
        label: `${channel.side} ${channel.step}`,
        comment: `${printSigned(channel.ratioDb)} dBc in ${printHz(found.adjacent!.filterHz, 3)}`,
        lowHz: channel.lowHz,
        highHz: channel.highHz,
      })) ?? []),
    ],
    {
      firstSample: look.value.firstSample + part.first,
      sampleCount: part.count,
      centreHz: taken.value.centreHz,
      generator: `Rigorous Meter ${config.version}`,
    },
  )
  downloadFile(
    `${look.value.name.replace(/\.[^.]+$/, '')}.sigmf-meta`,
    new Blob([JSON.stringify(meta, null, 2)], { type: 'application/json' }),
  )
}

function takeCsv(): void {
  if (!curve.value || !look.value) return
  const rows = Array.from(curve.value.x, (hz, i) => [
    Math.round(10 * (hz + carrierHz.value + (setup.value?.centreHz ?? 0))) / 10,
    Math.round(100 * curve.value!.y[i]!) / 100,
    Math.round(100 * curve.value!.y2[i]!) / 100,
    Math.round(100 * (curve.value!.y[i]! - 10 * Math.log10(analysis.value!.spectrum.enbwHz))) / 100,
  ])
  downloadFile(
    `${look.value.name.replace(/\.[^.]+$/, '')}-spectrum.csv`,
    new Blob(['\uFEFF', writeCsv([['frequencyHz', 'meanDbc', 'highestDbc', 'densityDbcPerHz'], ...rows])], {
      type: 'text/csv',
    }),
  )
}

function close(): void {
  if (progress.value !== null) void recordings.cancel()
  recordings.drop()
}
</script>

<template>
  <VDialog :model-value="open" max-width="860" scrollable persistent @keydown.esc="close">
    <VCard v-if="look && setup" class="dialog" data-testid="recording">
      <h2>Recording “{{ look.name }}”</h2>
      <VSelect
        v-if="looks.length > 1"
        :model-value="setup.index"
        :items="looks.map((one, value) => ({ value, title: one.name }))"
        label="Which of the recordings"
        @update:model-value="
          value => {
            recordings.choose(value)
            recordings.analyse()
          }
        "
      />
      <p class="small">{{ look.understood.join(' · ') }}</p>
      <p v-for="line in look.warnings" :key="line" class="small doubt">{{ line }}</p>
      <details class="how" :open="problem !== '' || undefined">
        <summary class="small">How it is read: {{ readAs }}</summary>
        <div class="settings">
          <VSelect
            v-if="look.mayBeIq"
            v-model="setup.as"
            :items="[
              { value: 'iq', title: 'I and Q' },
              { value: 'audio', title: 'Audio' },
            ]"
            label="The two channels are"
          />
          <VSelect
            v-if="channels.length > 1"
            v-model="setup.channel"
            :items="channels"
            :label="setup.as === 'iq' ? 'Which pair' : 'Which channel'"
          />
          <NumberField v-model="setup.sampleRateHz" label="Samples a second" :min="100" :max="1e9" />
          <NumberField
            v-model="setup.centreHz"
            label="Middle of the recording"
            frequency
            optional
            empty-words="not known"
          />
          <NumberField
            v-model="setup.shiftHz"
            label="Signal from the middle"
            unit="Hz"
            :min="-1e9"
            :max="1e9"
            optional
            empty-words="the strongest"
          />
          <NumberField
            v-model="setup.fromS"
            label="Only from"
            unit="s"
            :min="0"
            :max="1e6"
            optional
            empty-words="the start"
          />
          <NumberField
            v-model="setup.toS"
            label="Only to"
            unit="s"
            :min="0"
            :max="1e6"
            optional
            empty-words="the end"
          />
          <VBtn variant="outlined" :disabled="progress !== null" @click="recordings.analyse()"
            >Read again</VBtn
          >
        </div>
      </details>
      <div v-if="progress !== null" class="progress" role="status">
        <VProgressLinear
          :model-value="100 * progress"
          color="primary"
          height="8"
          rounded
          aria-label="Reading the recording"
        />
        <span class="small"
          >{{ Math.round(100 * progress) }} % of
          {{
            setup.fromS !== null || setup.toS !== null
              ? 'the part'
              : look.bytes >= 1e6
                ? `${Math.round(look.bytes / 1e6)} MB`
                : `${Math.max(1, Math.round(look.bytes / 1e3))} kB`
          }}
          read</span
        >
        <VBtn size="small" variant="outlined" @click="recordings.cancel()">Cancel</VBtn>
      </div>
      <p v-if="problem" class="doubt" role="alert">{{ problem }}</p>
      <div v-if="analysis" class="found">
        <VSelect
          v-if="use.targets.length > 1"
          v-model="target"
          :items="use.targets.map(({ id, title }) => ({ value: id, title }))"
          label="This recording holds"
        />
        <table v-if="figures.length" class="plain small">
          <tbody>
            <tr v-for="figure in figures" :key="figure.slotId">
              <td>{{ step.slots.find(({ id }) => id === figure.slotId)?.label }}</td>
              <td class="right figure">
                {{ figure.seen.isUpperBound ? 'at most ' : '' }}{{ figure.text }}
                <span v-if="doubt(figure)" class="quiet">{{ doubt(figure) }}</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-else class="doubt">Nothing for this station was found in it.</p>
        <TimeFrequencyPicture
          :picture="analysis.picture"
          :seconds="analysis.seconds"
          :from-s="taken?.fromS ?? 0"
          :width-hz="analysis.sampleRateHz"
          :floor-db="analysis.noiseFloorDb"
        />
        <Drawing :option="option" :spoken="`Spectrum around the carrier. ${facts[0] ?? ''}`" />
        <ul class="small understood">
          <li v-for="line in facts" :key="line">{{ line }}</li>
        </ul>
      </div>
      <div class="row end">
        <template v-if="analysis">
          <VBtn variant="text" :disabled="progress !== null" @click="toggleCloser">{{
            closer ? 'Whole width' : 'Look closer'
          }}</VBtn>
          <VBtn variant="text" :disabled="closer !== null" @click="takeCsv">Spectrum as CSV</VBtn>
          <VBtn variant="text" @click="annotate">SigMF annotations</VBtn>
        </template>
        <VBtn variant="text" @click="close">Leave it</VBtn>
        <VBtn color="primary" :loading="busy" :disabled="figures.length === 0" @click="take"
          >Keep {{ figures.length }} {{ figures.length === 1 ? 'figure' : 'figures' }}</VBtn
        >
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
.dialog {
  overflow-y: auto;
  padding: 20px 22px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.understood {
  margin: 0;
  padding-left: 18px;
  color: var(--ink-2);
}
.doubt {
  color: var(--close);
}
.how summary {
  cursor: pointer;
}
.settings {
  padding-top: 10px;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  align-items: start;
}
.progress {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 12px;
  align-items: center;
}
.found {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.end {
  justify-content: flex-end;
  position: sticky;
  bottom: -20px;
  background: var(--sheet);
  padding: 8px 0;
  border-top: 1px solid var(--line);
  margin-bottom: -8px;
}
.right {
  text-align: right;
}
</style>
