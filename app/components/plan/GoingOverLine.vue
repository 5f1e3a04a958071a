<script setup lang="ts">
import { type GoingOver, readyWork } from '#core/plan'
import { setShortName } from '#core/review'

/** A going over in the run: what is seen to when a radio stops transmitting and begins to hear, or back. */
const { going } = defineProps<{ going: GoingOver }>()

const isReady = computed(() => readyWork(going.set) === going.to)
const stateWords = computed(() => {
  const ready = going.set.readyFor
  if (!isReady.value || !ready) return 'its ticks are asked for when the next step is begun'
  return `seen to, ${ready.at.slice(0, 16).replace('T', ' ')}`
})
</script>

<template>
  <details>
    <summary>
      <strong>{{ going.title }}: {{ setShortName(going.set) }}</strong>
      <span class="small quiet">{{ stateWords }}</span>
    </summary>
    <ul class="small">
      <li v-for="line in going.lines" :key="line.id">{{ line.words }}</li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
summary .small {
  margin-left: 10px;
}
ul {
  margin: 4px 0 0;
  padding-left: 20px;
}
</style>
