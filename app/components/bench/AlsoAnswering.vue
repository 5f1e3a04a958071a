<script setup lang="ts">
import { kindLinkId, KINDS_BY_THEMSELVES } from '~/link/links'

/** What stands in no chain but may answer: a supply for currents, a counter, analysers of antennas and modulation. */
const TITLES: Readonly<Record<(typeof KINDS_BY_THEMSELVES)[number], string>> = {
  supply: 'Supply: currents of each state',
  counter: 'Counter: the carrier’s frequency',
  'antenna-analyser': 'Antenna analyser: the match at each channel',
  'modulation-analyser': 'Modulation analyser: how far the carrier swings',
}
</script>

<template>
  <details class="sheet also">
    <summary>Answering too, outside of any chain</summary>
    <div v-for="kind in KINDS_BY_THEMSELVES" :key="kind" class="one">
      <strong>{{ TITLES[kind] }}</strong>
      <LinkChoice :link-id="kindLinkId(kind)" :kind="kind" />
    </div>
  </details>
</template>

<style scoped>
.also {
  padding: 10px 16px;
}
summary {
  cursor: pointer;
  font-weight: 600;
}
.one {
  margin-top: 10px;
}
</style>
