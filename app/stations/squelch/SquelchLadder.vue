<script setup lang="ts">
import { printDbm } from '#core/quantity'
import { roundsOf, SQUELCH_SETTINGS, twelveDecibelLevel } from '#core/station'
import { buildSquelchOption } from '~/charts/squelchOption'
import type { StationPart } from '~/stations'

/** Where the squelch opened and closed, round by round, as rungs of a ladder. */
const { run, result } = defineProps<StationPart>()
const palette = useChartPalette()

const rounds = computed(() => {
  const context = run.shownContext.value
  if (!context) return []
  return SQUELCH_SETTINGS.flatMap(({ id, title, rounds: count }) =>
    roundsOf(result.step, id, context).map(({ round, open, close }) => ({
      title: count > 1 ? `Round ${round}` : title,
      openDbm: open?.levelDbm ?? null,
      closeDbm: close?.levelDbm ?? null,
    })),
  )
})
const twelveDbm = computed(() =>
  run.shownContext.value ? (twelveDecibelLevel(result.step, run.shownContext.value)?.value ?? null) : null,
)
const option = computed(() =>
  buildSquelchOption({ palette: palette.value, rounds: rounds.value, twelveDbm: twelveDbm.value }),
)
const words = (level: number | null) => (level === null ? 'not read' : printDbm(level))
const spoken = computed(
  () =>
    `Squelch. ${result.words}. ` +
    rounds.value
      .map(
        ({ title, openDbm, closeDbm }) =>
          `${title}: opens at ${words(openDbm)}, closes at ${words(closeDbm)}`,
      )
      .join('; '),
)
</script>

<template>
  <Drawing
    :option="option"
    :spoken="spoken"
    caption="Where it opens, where it closes"
    note="▲ opens, ▽ closes; dBm at the socket"
    :nothing="rounds.length ? '' : 'Nothing to draw yet: it grows with every round.'"
  />
</template>
