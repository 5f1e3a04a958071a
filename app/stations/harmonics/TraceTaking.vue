<script setup lang="ts">
import type { HarmonicPeak, TraceSpur } from '#core/format'
import { levelFromPeak, levelFromSpur, type TakenTrace } from '#core/station'
import { chainIdOf, type Step } from '#core/step'
import type { TraceHead } from '#core/review'
import type { StationRun } from '~/composables/useStationRun'
import TraceDialog from './TraceDialog.vue'
import { useTraceFiles } from './useTraceFiles'

/** Brings a trace in: looked at in a dialog, then its peaks and spurs become readings. */
const { run, step } = defineProps<{ run: StationRun; step: Step }>()
const store = useReviewStore()
const ui = useUiStore()
const files = useTraceFiles()
const picker = useTemplateRef<HTMLInputElement>('picker')

const { instrument } = run
const disabled = computed(() => store.readOnly || chainIdOf(step) === null)
const instrumentRbwHz = computed(() =>
  instrument.value?.kind === 'spectrum-analyser' ? instrument.value.resolutionBandwidthHz : null,
)

/** What the trace dialog hands over. */
interface Chosen extends Omit<TakenTrace, 'source'> {
  chosen: HarmonicPeak[]
  spurs: TraceSpur[]
}

function take(picked: File[]): void {
  if (!disabled.value) void files.bringIn(picked[0])
}

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  take([...(input.files ?? [])])
  input.value = ''
}

function pick(): void {
  picker.value?.click()
}

async function keep(chosen: Chosen): Promise<void> {
  const file = files.file.value
  const chainId = chainIdOf(step)
  if (!file || chainId === null) return
  const traceId = crypto.randomUUID()
  const points = { frequenciesHz: file.frequenciesHz, levelsDbm: file.levelsDbm }
  try {
    await store.keepTrace(traceId, points)
  } catch (error) {
    ui.sayProblem(error)
    return
  }
  const fileName = files.fileName.value
  const taken: TakenTrace = {
    ...chosen,
    source: { kind: 'file', fileName, sha256: file.sha256, traceId },
  }
  const levels = [
    ...chosen.chosen.flatMap(peak => levelFromPeak(step.slots, peak, taken) ?? []),
    ...chosen.spurs.flatMap(spur => levelFromSpur(spur, taken) ?? []),
  ]
  const head: TraceHead = {
    id: traceId,
    setId: step.set.id,
    stepId: step.id,
    fileName,
    sha256: file.sha256,
    pointCount: points.frequenciesHz.length,
    fromHz: points.frequenciesHz[0] ?? 0,
    toHz: points.frequenciesHz.at(-1) ?? 0,
    resolutionBandwidthHz: chosen.resolutionBandwidthHz,
    keepsHighest: chosen.keepsHighest,
    floorDbm: chosen.peaks.floorDbm,
    chainId,
    at: new Date().toISOString(),
  }
  if (run.keep(levels, `${levels.length} peaks from ${fileName}`, review => void review.traces.push(head)))
    ui.say(`${levels.length} peaks from “${fileName}” are in the table.`)
  files.drop()
}

defineExpose({ pick, take, takeRead: files.takeRead })
</script>

<template>
  <VBtn variant="outlined" :loading="files.busy.value" :disabled="disabled" @click="pick"
    >Bring in a trace</VBtn
  >
  <input
    ref="picker"
    type="file"
    accept=".csv,.txt,.tsv,.dat,text/csv,text/plain"
    class="only-read"
    tabindex="-1"
    aria-label="Trace file"
    data-testid="trace-file"
    @change="picked"
  />
  <TraceDialog
    :band="step.band"
    :file="files.file.value"
    :file-name="files.fileName.value"
    :carrier-hz="step.channel.frequencyHz"
    :rbw-of-instrument-hz="instrumentRbwHz"
    @close="files.drop"
    @column="files.useColumn"
    @take="keep"
  />
</template>
