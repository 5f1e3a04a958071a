<script setup lang="ts">
import type { RulebookFlip } from '#core/findings'
import { type ClauseLine, compareRulebooks, type Rulebook } from '#core/rules'

/** A rulebook beside another edition of itself: what changed, and which verdicts of this review turn. */
const { book } = defineProps<{ book: Rulebook }>()
const store = useReviewStore()
const ui = useUiStore()
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
let asked: { cancel: () => void } | null = null
let turn = 0
const busy = ref(false)

/** What was asked of another pair, or of the review as it was, is of no use any more. */
function forget(): void {
  turn += 1
  asked?.cancel()
  asked = null
  busy.value = false
  flips.value = null
}
watch([otherId, () => book, () => store.review], forget)
onScopeDispose(forget)

async function judgeByBoth(): Promise<void> {
  if (!other.value || !store.review) return
  forget()
  busy.value = true
  const mine = turn
  const pair = [toRaw(store.review), toRaw(other.value), toRaw(book)] as const
  const { flipsBetween } = await import('~/workers/comparisonWorker')
  if (mine !== turn) return
  const job = (asked = flipsBetween(...pair))
  try {
    const found = await job.done
    if (mine === turn) flips.value = found
  } catch (error) {
    if (mine === turn) ui.sayProblem(error)
  } finally {
    if (mine === turn) busy.value = false
  }
}

const asksOf = (line: ClauseLine | null) =>
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
      <VBtn variant="outlined" :disabled="!other || !store.review" :loading="busy" @click="judgeByBoth"
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
              <td>{{ asksOf(before) }}</td>
              <td>{{ asksOf(after) }}</td>
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
