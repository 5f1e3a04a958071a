<script setup lang="ts">
import { spacingOf } from '#core/band'
import { clickScatterDb } from '#core/hearing'
import { parsePlainNumber, printDb, printNumber } from '#core/quantity'
import { weightingWords } from '#core/signal'
import { GENERATOR } from '#core/station'
import { type Kept, parseGuardedLevel, seenFigure, seenLevel, type Step } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'
import type { HeardRecording, HeardStretch } from '~/workers/audio.worker'

/** What was found in a recording of audio: each stretch gets the level that was set for it, then all is kept. */
const { recording, run, step } = defineProps<{ recording: HeardRecording; run: StationRun; step: Step }>()
const emit = defineEmits<{ close: []; channel: [channel: number] }>()

const next = run.coaching.value?.next?.levelDbm ?? null
const first = ref(next === null ? '' : printNumber(next, 1))
const stepDb = ref('-1')
const channel = ref(0)
const isIn = ref(recording.stretches.map(({ sinadDb, doubts }) => sinadDb !== null && doubts.length === 0))

const several = computed(() => recording.stretches.length > 1)
const slot = computed(() => step.slots.findLast(({ kind }) => kind.is === 'point'))
const guard = computed(() => slot.value?.applied?.[0]?.guard ?? null)
const { weighting } = useHearingWeighting()
const filter = computed(() => weightingWords(weighting.value))

/** The level of each stretch, as it follows from the first and the step; or why there is none. */
const levels = computed(() => {
  const by = parsePlainNumber(stepDb.value, { min: -40, max: 40, unit: 'dB' })
  const from = guard.value && parseGuardedLevel(first.value, guard.value)
  return recording.stretches.map((_stretch, index) => {
    if (!from) return { ok: false as const, message: 'No generator on the bench.' }
    if (!from.ok) return { ok: false as const, message: from.message }
    if (!by.ok) return { ok: false as const, message: by.message }
    return parseGuardedLevel(`${(from.levelDbm + index * by.value).toFixed(2)} dBm`, guard.value!)
  })
})
const problem = computed(() => {
  const bad = levels.value.find((level, index) => isIn.value[index] && !level.ok)
  return bad && !bad.ok ? bad.message : ''
})
const count = computed(() => isIn.value.filter(Boolean).length)

function keptOf(stretch: HeardStretch, index: number, n: number): Kept[] {
  const level = levels.value[index]!
  if (!isIn.value[index] || stretch.sinadDb === null || !level.ok) return []
  const seconds = stretch.toS - stretch.fromS
  const { standardUncertaintyDb, sinadDb } = stretch
  const doubted = stretch.doubts.length > 0 ? ` Kept in spite of: ${stretch.doubts.join(' ')}` : ''
  return [
    {
      slotId: `p${n}`,
      text: printNumber(sinadDb, 1),
      seen: seenFigure({
        value: Number(sinadDb.toFixed(2)),
        unit: 'dB',
        resolution: 0.1,
        standardUncertainty: clickScatterDb(
          { sinadDb, seconds, standardUncertaintyDb },
          spacingOf(step.band),
        ),
        method: `${stretch.fromS.toFixed(1)} to ${stretch.toS.toFixed(1)} s of ${recording.fileName}, ${filter.value}.${doubted}`,
      }),
      applied: { [GENERATOR]: seenLevel(level, { frequencyHz: slot.value!.applied![0]!.frequencyHz }) },
      source: { kind: 'recording', fileName: recording.fileName, sha256: recording.sha256, curveIds: [] },
    },
  ]
}

function keep(): void {
  if (problem.value || count.value === 0 || !slot.value) return
  let n = Number(slot.value.kind.n)
  const kept = recording.stretches.flatMap((stretch, index) => {
    const one = keptOf(stretch, index, n)
    n += one.length
    return one
  })
  if (run.keep(kept, `${kept.length} readings from ${recording.fileName}`)) emit('close')
}
</script>

<template>
  <VDialog :model-value="true" max-width="760" @update:model-value="emit('close')">
    <section class="sheet found stack" aria-label="Audio brought in">
      <h2>{{ recording.fileName }}</h2>
      <p class="small quiet">
        {{ recording.seconds.toFixed(1) }} s at {{ recording.sampleRateHz }} samples a second, {{ filter }}.
        {{
          several
            ? `Cut where level or noise steps: ${recording.stretches.length} stretches.`
            : 'One level throughout.'
        }}
      </p>
      <div class="row">
        <VTextField
          v-model="first"
          label="Generator at first"
          suffix="dBm"
          class="short"
          autofocus
          @keydown.enter="keep"
        />
        <VTextField v-if="several" v-model="stepDb" label="Then by" suffix="dB" class="short" />
        <VSelect
          v-if="recording.channels > 1"
          v-model="channel"
          class="short"
          :items="Array.from({ length: recording.channels }, (_, i) => ({ value: i, title: `${i + 1}` }))"
          label="Channel"
          @update:model-value="emit('channel', $event)"
        />
      </div>
      <table class="plain">
        <thead>
          <tr>
            <th>Keep</th>
            <th class="right">From</th>
            <th class="right">To</th>
            <th class="right">SINAD</th>
            <th class="right">Generator</th>
            <th>Doubts</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(stretch, index) in recording.stretches" :key="stretch.fromS">
            <td>
              <VCheckbox
                v-model="isIn[index]"
                :disabled="stretch.sinadDb === null"
                :aria-label="`Keep the stretch from ${stretch.fromS.toFixed(1)} s`"
              />
            </td>
            <td class="right figure">{{ stretch.fromS.toFixed(1) }} s</td>
            <td class="right figure">{{ stretch.toS.toFixed(1) }} s</td>
            <td class="right figure" data-testid="stretch-sinad">
              {{ stretch.sinadDb === null ? '–' : printDb(stretch.sinadDb) }}
            </td>
            <td class="right figure">
              {{ levels[index]?.ok ? printNumber(levels[index].levelDbm, 1) : '–' }}
            </td>
            <td class="small">{{ stretch.doubts.join(' ') || 'none' }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="problem" class="wrong small" role="alert">{{ problem }}</p>
      <div class="row">
        <VBtn color="primary" :disabled="count === 0 || problem !== ''" @click="keep"
          >Keep {{ count }} {{ count === 1 ? 'reading' : 'readings' }}</VBtn
        >
        <VBtn variant="outlined" @click="emit('close')">Leave it</VBtn>
      </div>
    </section>
  </VDialog>
</template>

<style scoped>
.found {
  padding: 18px 20px;
  max-height: 84vh;
  overflow: auto;
}
.short {
  max-width: 180px;
}
</style>
