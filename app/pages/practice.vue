<script setup lang="ts">
import { evenings, practiceRecord } from '#core/practice'
import { beginEvening } from '~/practice/begin'
import { loadAllPractice, type PracticeKept } from '~/storage/practiceStore'

/** Evenings of practice, and how they came out. */
const shelf = useShelfStore()
const ui = useUiStore()
const router = useRouter()
useKeys({ t: () => ui.toggleTheme(), 'g s': () => void router.push('/') })
onMounted(() => (document.title = 'Practice · Rigorous Meter'))

const kept = shallowRef<PracticeKept[]>([])
void shelf.refresh().catch(() => undefined)
void loadAllPractice()
  .then(all => (kept.value = all))
  .catch(error => ui.sayProblem(error))

const seed = ref('')
const isBusy = ref(false)
const results = computed(() => kept.value.flatMap(({ result }) => result ?? []))
const record = computed(() => practiceRecord(results.value))
const lines = computed(() => evenings.map((evening, i) => ({ ...evening, n: i + 1, ...stateOf(evening.id) })))
const seeded = computed(() =>
  kept.value
    .filter(({ eveningId, reviewId }) => eveningId.startsWith('seed-') && shelf.isOnShelf(reviewId))
    .map(one => ({
      id: one.eveningId,
      ...stateOf(one.eveningId),
      title: `Evening ${one.eveningId.slice(5)}`,
    })),
)

/** The last time an evening was begun: still in hand, or how it came out. */
function stateOf(eveningId: string): { words: string; inHand: string | null } {
  const last = kept.value.findLast(one => one.eveningId === eveningId)
  if (!last) return { words: '', inHand: null }
  const inHand = shelf.isOnShelf(last.reviewId) ? last.reviewId : null
  if (!last.result) return { words: inHand ? 'in hand' : '', inHand }
  const { held, ranges, caught, missed } = last.result
  const planted = caught.length + missed.length
  return { words: `${held} of ${ranges} in range, ${caught.length} of ${planted} caught`, inHand }
}

async function begin(eveningId: string): Promise<void> {
  isBusy.value = true
  try {
    const review = await beginEvening(eveningId)
    await shelf.keepNew(review)
    await router.push(`/review/${review.id}/practice`)
  } catch (error) {
    ui.sayProblem(error)
  }
  isBusy.value = false
}

const seedProblem = computed(() =>
  seed.value === '' || /^\d{1,9}$/.test(seed.value) ? '' : 'A whole number.',
)
const MOST_SEED = 1e9

function beginSeeded(): void {
  if (seedProblem.value !== '') return
  void begin(`seed-${seed.value === '' ? Math.floor(Math.random() * MOST_SEED) : Number(seed.value)}`)
}

const recordWords = computed(() => {
  const { ranges, held, chance } = record.value
  if (ranges === 0) return 'No envelope was opened yet.'
  return (
    `${held} of ${ranges} ranges held the truth (95 % asked: ${chance.low} to ${chance.high} is what chance allows; ` +
    'those of one evening share what one meter and one way are off by, and go together more than that).'
  )
})
const share = (count: number) => `${(100 * count) / Math.max(1, record.value.ranges)}%`
</script>

<template>
  <div>
    <AppHeader :crumbs="[{ text: 'Shelf', to: '/' }, { text: 'Practice' }]" />
    <main class="main">
      <div>
        <h1>Practice</h1>
        <p class="quiet">
          A radio, a bench, an evening: simulated, with a truth in an envelope. The review is a real one, with
          every tool there is. Something is wrong with each bench; finding it is the job. Nothing here is
          about a real radio.
        </p>
      </div>
      <section class="sheet evenings" aria-labelledby="evenings">
        <h2 id="evenings">Evenings</h2>
        <ul>
          <li v-for="line in lines" :key="line.id" :data-evening="line.id">
            <span class="figure n">{{ line.n }}</span>
            <span class="what"
              ><strong>{{ line.title }}</strong> <span class="small quiet">{{ line.level }}</span></span
            >
            <span class="small quiet">{{ line.words }}</span>
            <span class="row">
              <VBtn v-if="line.inHand" size="small" variant="text" :to="`/review/${line.inHand}/practice`"
                >Go on</VBtn
              >
              <VBtn size="small" variant="outlined" :disabled="isBusy" @click="begin(line.id)">{{
                line.words ? 'Begin anew' : 'Begin'
              }}</VBtn>
            </span>
          </li>
          <li v-for="line in seeded" :key="line.id">
            <span class="figure n">·</span>
            <strong>{{ line.title }}</strong>
            <span class="small quiet">{{ line.words }}</span>
            <VBtn v-if="line.inHand" size="small" variant="text" :to="`/review/${line.inHand}/practice`"
              >Go on</VBtn
            >
          </li>
        </ul>
        <form class="row" @submit.prevent="beginSeeded">
          <VTextField
            v-model="seed"
            label="Any evening, from a number"
            placeholder="drawn"
            :error-messages="seedProblem"
            class="seed"
          />
          <VBtn type="submit" variant="outlined" :disabled="isBusy">Begin</VBtn>
        </form>
      </section>
      <section class="sheet record" aria-labelledby="record">
        <h2 id="record">Your record</h2>
        <p>{{ recordWords }}</p>
        <div v-if="record.ranges" class="bar" aria-hidden="true">
          <span
            class="chance"
            :style="{ left: share(record.chance.low), width: share(record.chance.high - record.chance.low) }"
          />
          <span class="bead" :style="{ left: share(record.held) }" />
        </div>
        <p v-if="record.planted">
          Planted mistakes caught: {{ record.caught }} of {{ record.planted }}, in {{ record.evenings }}
          {{ record.evenings === 1 ? 'evening' : 'evenings' }}.
        </p>
      </section>
    </main>
  </div>
</template>

<style scoped>
.main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 24px 20px 60px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 16px;
  align-items: start;
}
.main > :first-child {
  grid-column: 1 / -1;
}
@media (max-width: 860px) {
  .main {
    grid-template-columns: minmax(0, 1fr);
  }
}
.evenings,
.record {
  padding: 14px 16px;
  display: grid;
  gap: 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 5px 0;
}
.what {
  flex: 1 1 240px;
}
.n {
  width: 24px;
}
.seed {
  flex: 0 1 280px;
}
.bar {
  position: relative;
  height: 8px;
  margin: 8px 8px;
  background: rgb(var(--v-theme-track));
}
.chance {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--inside);
}
.bead {
  position: absolute;
  top: -3px;
  width: 14px;
  height: 14px;
  margin-left: -7px;
  border-radius: 50%;
  background: var(--ink);
}
</style>
