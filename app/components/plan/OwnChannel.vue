<script setup lang="ts">
import { parseFrequency, printMhzFigure } from '#core/quantity'
import { newChannel, type RadioSet, setShortName } from '#core/review'

/** A channel beyond those of the card, put in the run with harmonics and all. */
const { radio } = defineProps<{ radio: RadioSet }>()
const store = useReviewStore()
const ui = useUiStore()
const { changeBand } = useCardEdits(() => radio)

const bandId = ref('')
const name = ref('')
const mhz = ref('')
const problem = ref('')
const bands = computed(() => radio.bands.map(band => ({ value: band.id, title: band.name })))
watch(
  bands,
  now => {
    if (!now.some(({ value }) => value === bandId.value)) bandId.value = now[0]?.value ?? ''
  },
  { immediate: true },
)

function add(): void {
  const read = parseFrequency(mhz.value)
  problem.value = read.ok ? '' : read.message
  if (!read.ok || !bandId.value) return
  const { frequencyHz } = read
  const channel = newChannel({
    id: crypto.randomUUID(),
    name: name.value.trim(),
    frequencyHz,
    harmonics: true,
  })
  const isAdded = changeBand('a channel of your own', bandId.value, draft => {
    draft.channels.push(channel)
  })
  if (!isAdded) return
  ui.say(`${printMhzFigure(frequencyHz)} MHz is in the run, with harmonics and all.`)
  name.value = ''
  mhz.value = ''
}
</script>

<template>
  <section class="sheet panel" aria-label="A channel of your own">
    <h2>A channel of your own</h2>
    <form class="own" @submit.prevent="add">
      <VSelect
        v-model="bandId"
        :items="bands"
        :label="`Band of ${setShortName(radio)}`"
        :disabled="store.readOnly"
      />
      <VTextField v-model="name" label="Name" maxlength="60" :disabled="store.readOnly" />
      <VTextField
        v-model="mhz"
        label="MHz"
        inputmode="decimal"
        :error-messages="problem"
        :disabled="store.readOnly"
      />
      <VBtn type="submit" variant="outlined" :disabled="store.readOnly || mhz.trim() === ''">Add it</VBtn>
    </form>
  </section>
</template>

<style scoped>
.own {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  width: 100%;
}
</style>
