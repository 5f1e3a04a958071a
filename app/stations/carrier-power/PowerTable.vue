<script setup lang="ts">
import { printClaimW, printMhzFigure, printWatts, wattsFromDbm } from '#core/quantity'
import { CARRIER_POWER_ID } from '#core/station'
import { socketDbm, type StepResult } from '#core/step'

/** All readings of carrier power of the radio in hand. */
const { results, stepId } = defineProps<{ results: StepResult[]; stepId: string }>()
const { placeTo } = useReviewRoute()

const rows = computed(() =>
  results.map(({ step, slots, verdict, words }) => {
    const [carrier] = slots
    const levelDbm = carrier ? socketDbm(carrier) : null
    return {
      id: step.id,
      here: step.id === stepId,
      band: step.band.name,
      mhz: printMhzFigure(step.channel.frequencyHz),
      to: placeTo(CARRIER_POWER_ID, { step: step.id }),
      level: step.setting.level.name,
      read: carrier?.reading?.text ?? '–',
      socket: levelDbm === null ? '–' : printWatts(wattsFromDbm(levelDbm)),
      claim: step.claim.kind === 'watts' ? printClaimW(step.claim.powerW) : '–',
      verdict,
      words,
    }
  }),
)
</script>

<template>
  <section class="sheet table scroll" aria-label="All readings of carrier power">
    <table class="plain">
      <thead>
        <tr>
          <th>Band</th>
          <th class="right">MHz</th>
          <th>Level</th>
          <th class="right">As read</th>
          <th class="right">At socket</th>
          <th class="right">Claim</th>
          <th class="strip-cell">Margin to claim</th>
          <th>Verdict</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id" :class="{ here: row.here }">
          <td>{{ row.band }}</td>
          <td class="right">
            <NuxtLink :to="row.to" class="figure">{{ row.mhz }}</NuxtLink>
          </td>
          <td>{{ row.level }}</td>
          <td class="right figure">{{ row.read }}</td>
          <td class="right figure">{{ row.socket }}</td>
          <td class="right figure">{{ row.claim }}</td>
          <td class="strip-cell"><MarginStrip :verdict="row.verdict" /></td>
          <td><VerdictWord :state="row.verdict.state" :words="row.words" /></td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.table {
  padding: 4px 8px;
}
.strip-cell {
  min-width: 130px;
  width: 20%;
}
</style>
