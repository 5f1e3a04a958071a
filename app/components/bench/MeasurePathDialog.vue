<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import type { Calibration, Part } from '#core/chain'
import { parseFrequency, parseLevel, printMhzFigure, printNumber } from '#core/quantity'

/**
 * Measures a path in two rounds: generator and instrument joined by a short, then through the part. What is
 * typed outlives the tab.
 */
const { part, reviewId, suggestedHz } = defineProps<{
  part: Part
  reviewId: string
  suggestedHz: readonly number[]
}>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ keep: [calibration: Calibration] }>()

interface Draft {
  withWhat: string
  expanded: string
  rows: { frequencyHz: number; through: string; withPart: string }[]
}
const fresh = (): Draft => ({
  withWhat: '',
  expanded: '0.3',
  rows: suggestedHz.map(frequencyHz => ({ frequencyHz, through: '', withPart: '' })),
})
const draft = useLocalStorage<Draft>(`rigorous-meter:path:${reviewId}:${part.id}`, fresh(), {
  listenToStorageChanges: false,
})
const round = ref<'through' | 'with'>('through')
const frequency = ref('')
const wrong = ref('')

const level = (text: string) => {
  const read = parseLevel(text, { bareUnit: 'dBm' })
  return read.ok && !read.isUpperBound ? read.levelDbm : null
}
const rows = computed(() =>
  draft.value.rows.map(row => {
    const through = level(row.through)
    const withPart = level(row.withPart)
    return { ...row, lossDb: through === null || withPart === null ? null : through - withPart }
  }),
)
const done = computed(() => rows.value.filter(({ lossDb }) => lossDb !== null))
const odd = computed(() => done.value.filter(({ lossDb }) => lossDb! < -0.2))

function addFrequency(): void {
  const read = parseFrequency(frequency.value)
  if (!read.ok) {
    wrong.value = read.message
    return
  }
  if (!draft.value.rows.some(row => row.frequencyHz === read.frequencyHz))
    draft.value.rows = [
      ...draft.value.rows,
      { frequencyHz: read.frequencyHz, through: '', withPart: '' },
    ].sort((a, b) => a.frequencyHz - b.frequencyHz)
  frequency.value = ''
  wrong.value = ''
}

function nextField(event: Event): void {
  const fields = [
    ...((event.currentTarget as HTMLElement)
      .closest('table')
      ?.querySelectorAll<HTMLInputElement>(`input[data-round="${round.value}"]`) ?? []),
  ]
  const next = fields[fields.indexOf(event.target as HTMLInputElement) + 1]
  if (next) next.focus()
  else if (round.value === 'through') {
    round.value = 'with'
    void nextTick(() => document.querySelector<HTMLInputElement>('input[data-round="with"]')?.focus())
  }
}

function keep(): void {
  const expanded = Number(draft.value.expanded.replace(',', '.'))
  if (!(expanded >= 0 && expanded <= 60)) {
    wrong.value = 'Say how well the loss is known, in dB (k = 2), such as 0.3.'
    return
  }
  emit('keep', {
    id: crypto.randomUUID(),
    partId: part.id,
    partName: part.name,
    at: new Date().toISOString(),
    withWhat: draft.value.withWhat.trim(),
    expandedDb: expanded,
    points: done.value.map(row => ({
      frequencyHz: row.frequencyHz,
      throughDbm: level(row.through)!,
      withPartDbm: level(row.withPart)!,
    })),
  })
  draft.value = fresh()
  round.value = 'through'
  open.value = false
}
</script>

<template>
  <VDialog v-model="open" max-width="760" aria-label="Measure this path">
    <VCard class="card">
      <div class="spread">
        <h2>Measure this path: {{ part.name }}</h2>
        <VBtn icon size="small" variant="text" aria-label="Close" @click="open = false"
          ><VIcon :icon="mdiClose" size="18"
        /></VBtn>
      </div>
      <p class="small">
        Radio off the chain: nothing may transmit into the generator. The same generator level in both rounds.
      </p>
      <div class="row rounds" role="tablist" aria-label="Rounds">
        <button
          type="button"
          role="tab"
          :aria-selected="round === 'through'"
          :class="{ here: round === 'through' }"
          @click="round = 'through'"
        >
          1 Joined by a short
        </button>
        <button
          type="button"
          role="tab"
          :aria-selected="round === 'with'"
          :class="{ here: round === 'with' }"
          @click="round = 'with'"
        >
          2 Through the part
        </button>
      </div>
      <p>
        {{
          round === 'through'
            ? 'Join generator and instrument with the short. Type what the instrument shows at each frequency.'
            : `Put ${part.name} between them. Type again; touch nothing else.`
        }}
      </p>
      <div class="scroll">
        <table class="plain">
          <thead>
            <tr>
              <th class="right">MHz</th>
              <th class="right">Joined, dBm</th>
              <th class="right">Through the part, dBm</th>
              <th class="right">Loss, dB</th>
              <th><span class="only-read">Remove</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, index) in rows" :key="row.frequencyHz">
              <td class="right figure">{{ printMhzFigure(row.frequencyHz) }}</td>
              <td class="right">
                <input
                  v-model="draft.rows[index]!.through"
                  data-round="through"
                  class="figure"
                  :aria-label="`Joined, ${printMhzFigure(row.frequencyHz)} MHz`"
                  :disabled="round !== 'through'"
                  maxlength="20"
                  autocomplete="off"
                  @keydown.enter.prevent="nextField"
                />
              </td>
              <td class="right">
                <input
                  v-model="draft.rows[index]!.withPart"
                  data-round="with"
                  class="figure"
                  :aria-label="`Through the part, ${printMhzFigure(row.frequencyHz)} MHz`"
                  :disabled="round !== 'with'"
                  maxlength="20"
                  autocomplete="off"
                  @keydown.enter.prevent="nextField"
                />
              </td>
              <td class="right figure">{{ printNumber(row.lossDb, 2) }}</td>
              <td>
                <VBtn
                  icon
                  size="small"
                  variant="text"
                  :aria-label="`Leave out ${printMhzFigure(row.frequencyHz)} MHz`"
                  @click="draft.rows.splice(index, 1)"
                  ><VIcon :icon="mdiClose" size="16"
                /></VBtn>
              </td>
            </tr>
            <tr v-if="rows.length === 0">
              <td colspan="5" class="quiet">
                No frequency yet. Add those you will read at: carriers and their harmonics.
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <form class="row" @submit.prevent="addFrequency">
        <VTextField v-model="frequency" label="Another frequency" suffix="MHz" class="short" /><VBtn
          type="submit"
          variant="outlined"
          :disabled="!frequency"
          >Add</VBtn
        >
      </form>
      <div class="grid">
        <VTextField
          v-model="draft.withWhat"
          label="With which generator and instrument"
          :maxlength="200"
        /><VTextField v-model="draft.expanded" label="Loss known to ± (k = 2)" suffix="dB" />
      </div>
      <p v-if="odd.length" class="wrong small" role="alert">
        At {{ odd.map(row => printMhzFigure(row.frequencyHz)).join(', ') }} MHz it would amplify. Are the two
        rounds swapped?
      </p>
      <p v-if="wrong" class="wrong small" role="alert">{{ wrong }}</p>
      <div class="spread">
        <p class="small quiet">
          {{ done.length }} of {{ rows.length }} frequencies done. Between them the loss is interpolated;
          outside there is none.
        </p>
        <VBtn color="primary" :disabled="done.length === 0" @click="keep">Keep the measured loss</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
.card {
  padding: 18px 20px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  overflow-y: auto;
}
.rounds {
  gap: 4px;
}
.rounds button {
  padding: 7px 13px;
  border-radius: var(--radius);
  border: 1px solid var(--line-2);
}
.rounds .here {
  background: rgb(var(--v-theme-secondary));
  color: rgb(var(--v-theme-background));
  font-weight: 600;
}
input[data-round] {
  width: 120px;
  height: 32px;
  padding: 0 8px;
  text-align: right;
  border: 1px solid var(--line-2);
  border-radius: var(--radius);
  background: var(--sheet);
  color: var(--ink);
  font-size: 15px;
}
input[data-round]:disabled {
  border-color: transparent;
}
.grid {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 200px;
  gap: 12px;
}
.short {
  max-width: 220px;
}
.scroll {
  max-height: 300px;
  overflow: auto;
}
@media (max-width: 560px) {
  .grid {
    grid-template-columns: minmax(0, 1fr);
  }
  input[data-round] {
    width: 86px;
  }
}
</style>
