<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { parseLogCsv } from '#core/format'
import { parseLevel, printWatts, wattsFromDbm } from '#core/quantity'
import {
  droopOf,
  momentSlot,
  POWER_OVER_TIME_ID,
  POWER_OVER_TIME_INSTRUMENTS,
  type Slot,
  type StepResult,
  USUAL_DROOP_DB,
} from '#core/station'
import { simulatedMeterLog } from '#core/virtual'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { buildDroopOption } from '~/charts/droopOption'
import type { ReadingInput } from '~/composables/useStationRun'

const run = useStationRun(POWER_OVER_TIME_ID, () => 'W')
const ui = useUiStore()
const palette = useChartPalette()
const bareUnit = computed(() =>
  run.instrument.value?.kind === 'spectrum-analyser' ? ('dBm' as const) : ('W' as const),
)
const UNITS = {
  V: { unit: 'V' as const, min: 0, max: 100 },
  '°C': { unit: '°C' as const, min: -60, max: 200 },
}
const optionsOf = (slot: Slot) => (slot.measures === '°C' ? UNITS['°C'] : UNITS.V)

function drawn(result: StepResult) {
  return buildDroopOption({
    palette: palette.value,
    droop: droopOf(result.slots),
    claimW: result.step.claim.kind === 'watts' ? result.step.claim.powerW : null,
    usualDb: USUAL_DROOP_DB,
  })
}
const spoken = (result: StepResult) => {
  const droop = droopOf(result.slots)
  return droop
    ? `${result.words}. ${droop.points.map(({ atS, levelDbm }) => `${atS} seconds ${printWatts(wattsFromDbm(levelDbm))}`).join(', ')}`
    : 'Power over time: nothing logged yet.'
}
function summaryOf(result: StepResult): string {
  const droop = droopOf(result.slots)
  if (!droop)
    return 'Type the power at each moment; two are enough for a droop, more give its curve. A log of time and power may be brought in as CSV.'
  const tau =
    droop.timeConstantS === null ? '' : `, with a time constant of about ${Math.round(droop.timeConstantS)} s`
  return `${result.words}${tau}. ${USUAL_DROOP_DB} dB over five minutes is usual (common practice, no source).`
}

function inputOf(atS: number, text: string, source: ReadingInput['source']): ReadingInput | null {
  const step = run.step.value
  const read = parseLevel(text, { bareUnit: bareUnit.value })
  const slot = step?.slots.find(({ id }) => id === momentSlot(atS, 0).id)
  return slot && read.ok ? { slotId: slot.id, text, read, frequencyHz: slot.frequencyHz, source } : null
}

/** A log of time and power: each planned moment takes the nearest line. */
async function bringIn(files: File[]): Promise<void> {
  const file = files[0]!
  try {
    const moments = run.step
      .value!.slots.filter(({ measures }) => measures === 'level')
      .map(({ id }) => Number(id.slice(1)))
    const log = parseLogCsv(await file.text(), file.name, { bareUnit: bareUnit.value })
    const inputs = moments.flatMap(atS => {
      const nearest = log.rows.reduce((a, b) => (Math.abs(b.atS - atS) < Math.abs(a.atS - atS) ? b : a))
      return Math.abs(nearest.atS - atS) <= Math.max(5, 0.1 * atS)
        ? (inputOf(atS, nearest.text, { kind: 'recording', fileName: file.name, sha256: '', curveIds: [] }) ??
            [])
        : []
    })
    if (inputs.length === 0)
      throw new Error(`“${file.name}” holds no line near the moments of the log. Nothing was brought in.`)
    run.keepAll({ levels: inputs }, `${inputs.length} moments from ${file.name}`)
    ui.say(`${inputs.length} moments from “${file.name}” are in the table. ${log.understood.join(' ')}`)
  } catch (error) {
    ui.sayProblem(error)
  }
}

const linked = ref<{ beganAt: number; done: number } | null>(null)
const link = useIntervalFn(readLink, 250, { immediate: false })
const SPEED = 30

/** The simulated meter’s stand-in for the link: a log of five minutes, thirty times as fast. */
function startLink(): void {
  linked.value = { beganAt: Date.now(), done: 0 }
  link.resume()
}
function stopLink(): void {
  link.pause()
  linked.value = null
}
watch(() => run.step.value?.id, stopLink)

function readLink(): void {
  const step = run.step.value
  const state = linked.value
  if (!step || !state) return stopLink()
  const atS = ((Date.now() - state.beganAt) / 1000) * SPEED
  const moments = step.slots
    .filter(({ measures }) => measures === 'level')
    .map(({ id }) => Number(id.slice(1)))
  const due = moments.slice(state.done).filter(moment => moment <= atS)
  if (due.length > 0) {
    const readings = simulatedMeterLog({
      claimW: step.claim.kind === 'watts' ? step.claim.powerW : 5,
      seed: step.set.id.length,
      moments: due,
    })
    const inputs = readings.flatMap(
      ({ atS: moment, powerW }) =>
        inputOf(moment, powerW.toFixed(2) + ' W', { kind: 'link', instrument: 'simulated meter' }) ?? [],
    )
    run.keepAll({ levels: inputs }, `${inputs.length} moments from the simulated meter`)
    linked.value = { ...state, done: state.done + due.length }
  }
  if (linked.value && linked.value.done >= moments.length) stopLink()
}
</script>

<template>
  <StationFrame
    :run="run"
    title="Power over time"
    :instruments="POWER_OVER_TIME_INSTRUMENTS"
    :options-of="optionsOf"
    :bare-unit="bareUnit"
    value-head="At socket"
    accept=".csv,.txt,text/csv"
    nothing-words="Nothing is planned yet: put bands and channels on the card."
    @files="bringIn"
  >
    <template #drawing="{ result }"
      ><Drawing
        :option="drawn(result)"
        :spoken="spoken(result)"
        caption="Power while kept keyed"
        :note="summaryOf(result)"
        :nothing="nothingToDraw(result, null)"
    /></template>
    <template #actions>
      <VBtn v-if="!linked" variant="outlined" :disabled="!run.step.value?.chainId" @click="startLink"
        >Simulated meter</VBtn
      >
      <VBtn v-else variant="flat" color="primary" @click="stopLink">Stop the meter</VBtn>
    </template>
  </StationFrame>
</template>
