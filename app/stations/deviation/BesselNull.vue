<script setup lang="ts">
import { firstNullToneHz, fullDeviationHz } from '#core/band'
import { printHz } from '#core/quantity'
import type { StationPart } from '~/stations'

/** How to find a deviation without a deviation meter. */
const { result } = defineProps<StationPart>()
const tone = computed(() => printHz(firstNullToneHz(result.step.band), 4))
const full = computed(() => printHz(fullDeviationHz(result.step.band), 2))
</script>

<template>
  <p class="small quiet helper">
    Bessel null: turn up a clean tone of {{ tone }} from nothing until the carrier first vanishes on an
    analyser: that is {{ full }} of deviation. Or take any tone, find where the carrier vanishes, and type the
    tone above.
  </p>
</template>
