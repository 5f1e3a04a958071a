<script setup lang="ts">
import { type RulebookFlip, rulebookFlips } from '#core/findings'
import { type ClauseLine, compareRulebooks, type Rulebook } from '#core/rules'

/** A rulebook beside another edition of itself: what changed, and which verdicts of this review turn. */
const { book } = defineProps<{ book: Rulebook }>()
const store = useReviewStore()
const { all } = useOwnRulebooks()

const otherId = ref<string | null>(null)
const flips = shallowRef<RulebookFlip[] | null>(null)
const others = computed(() =>
  all.value.filter(({ id }) => id !== book.id).map(({ id, title }) => ({ value: id, title })),
)
/** An edition of the same rulebook is offered first: what it was copied from, or a copy of it. */
const nearest = computed(() => {
  const kin = all.value.find(({ id, basedOn }) => id === book.basedOn || basedOn === book.id)
  return kin?.id ?? null
})
const other = computed(() => all.value.find(({ id }) => id === otherId.value) ?? null)
const changes = computed(() => (other.value ? compareRulebooks(other.value, book) : []))

watch(
  () => book.id,
  () => (otherId.value = nearest.value),
  { immediate: true },
)
watch([otherId, () => book, () => store.review], () => (flips.value = null))

function judgeByBoth(): void {
  if (other.value && store.review) flips.value = rulebookFlips(store.review, other.value, book)
}

const asked = (line: ClauseLine | null) =>
  line ? `${line.asks}; ${line.when}${line.off ? ' (switched off)' : ''}` : '–'
</script>

<template>
  <section class="sheet block" aria-labelledby="compare">
    <h2 id="compare">Beside another edition</h2>
    <div class="row pick">
      <VSelect
        v-model="otherId"
        :items="others"
        label="Compared with"
        placeholder="none"
        persistent-placeholder
        clearable
      />
      <VBtn variant="outlined" :disabled="!other || !store.review" @click="judgeByBoth"
        >Which verdicts turn?</VBtn
      >
    </div>
    <template v-if="flips">
      <p v-if="flips.length === 0" class="small">No verdict of this review turns.</p>
      <div v-else class="scroll">
        <table class="plain" aria-label="Verdicts that turn">
          <thead>
            <tr>
              <th>Radio</th>
              <th>Figure</th>
              <th>By {{ other?.title }}</th>
              <th>By {{ book.title }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="flip in flips" :key="`${flip.set}|${flip.station}|${flip.place}`">
              <td>{{ flip.set }}</td>
              <td>{{ flip.station }}: {{ flip.place }}</td>
              <td><VerdictWord :state="flip.before.state" :words="flip.before.words" /></td>
              <td><VerdictWord :state="flip.after.state" :words="flip.after.words" /></td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <template v-if="other">
      <p v-if="changes.length === 0" class="small">Every clause reads the same.</p>
      <div v-else class="scroll">
        <table class="plain" aria-label="What changed">
          <thead>
            <tr>
              <th>Clause</th>
              <th>In {{ other.title }}</th>
              <th>In {{ book.title }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ id, before, after } in changes" :key="id">
              <td>{{ (after ?? before)!.clause }}, {{ (after ?? before)!.about }}</td>
              <td>{{ asked(before) }}</td>
              <td>{{ asked(after) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>

<style scoped>
.pick {
  align-items: center;
}
.pick > :first-child {
  max-width: 320px;
  min-width: 220px;
}
</style>
