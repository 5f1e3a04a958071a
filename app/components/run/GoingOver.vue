<script setup lang="ts">
import type { GoingOver } from '#core/plan'
import { setShortName } from '#core/review'

/** A radio goes over from transmitting to receiving, or back: nothing else is shown until it is seen to. */
const { going } = defineProps<{ going: GoingOver }>()
const store = useReviewStore()

const ticked = ref<string[]>([])
watch(
  () => `${going.set.id}|${going.to}`,
  () => {
    ticked.value = []
  },
)
const isDone = computed(() => going.lines.every(({ id }) => ticked.value.includes(id)))
const why = computed(() =>
  going.to === 'hears'
    ? 'A generator is about to stand at its socket. One press of the key would destroy it.'
    : 'It is about to be keyed. A generator at its socket would not survive.',
)

function tick(id: string, value: boolean | null): void {
  const others = ticked.value.filter(other => other !== id)
  ticked.value = value === true ? [...others, id] : others
}

function goOver(): void {
  if (!isDone.value) return
  const readyFor = { work: going.to, ticked: [...ticked.value], at: new Date().toISOString() }
  store.change(going.title.toLowerCase(), draft => {
    const radio = draft.sets.find(({ id }) => id === going.set.id)
    if (radio) radio.readyFor = readyFor
  })
}
</script>

<template>
  <section class="sheet over stack" :aria-label="going.title">
    <h1><VerdictMark state="too-close" /> {{ going.title }}: {{ setShortName(going.set) }}</h1>
    <p>{{ why }}</p>
    <ul>
      <li v-for="line in going.lines" :key="line.id">
        <VCheckbox
          :model-value="ticked.includes(line.id)"
          :label="line.words"
          :disabled="store.readOnly"
          @update:model-value="tick(line.id, $event)"
        />
      </li>
    </ul>
    <div class="row">
      <VBtn color="primary" :disabled="!isDone || store.readOnly" @click="goOver">All seen to: go on</VBtn>
      <span class="small quiet"
        >{{ ticked.length }} of {{ going.lines.length }} ticked; kept with the radio.</span
      >
    </div>
  </section>
</template>

<style scoped>
.over {
  padding: 20px 24px;
  max-width: 760px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 2px;
}
h1 {
  font-size: 20px;
}
</style>
