<script setup lang="ts">
import { accuracyInWords, calibrationLoss } from '#core/chain'
import { printFrequencyShort } from '#core/quantity'

/** My bench: instruments, chains, calibrations and rulebooks that new reviews take copies of. */
const own = useOwnBenchStore()
const ui = useUiStore()
const router = useRouter()
useKeys({ t: () => ui.toggleTheme(), 'g s': () => void router.push('/') })
onMounted(() => (document.title = 'My bench · Rigorous Meter'))
void own.load()
const closing = ref('')
watch(
  () => own.bench.closing,
  words => (closing.value = words),
  { immediate: true },
)
const keepClosing = () => own.keepClosing(closing.value.trim())

const rows = computed(() => [
  {
    list: 'instruments' as const,
    title: 'Instruments',
    items: own.bench.instruments.map(one => ({
      id: one.id,
      name: one.name,
      words: `${accuracyInWords(one)}${one.assumed ? ' (assumed)' : ''}, ${printFrequencyShort(one.fromHz)} to ${printFrequencyShort(one.toHz)}`,
    })),
  },
  {
    list: 'chains' as const,
    title: 'Chains',
    items: own.bench.chains.map(({ id, name, parts }) => ({
      ...{ id, name },
      words: parts.map(part => part.name).join(', ') || 'no parts',
    })),
  },
  {
    list: 'calibrations' as const,
    title: 'Calibrations',
    items: own.bench.calibrations.map(one => ({
      id: one.id,
      name: one.partName,
      words: `${one.at.slice(0, 10)}, at ${calibrationLoss(one).length} frequencies`,
    })),
  },
  {
    list: 'rulebooks' as const,
    title: 'Rulebooks',
    items: own.bench.rulebooks.map(({ id, title, edition }) => ({ id, name: title, words: edition })),
  },
])
const changed = computed(() => own.bench.changedAt.slice(0, 10))

function takeAway(): void {
  downloadFile(`my-bench-${changed.value}.bench.json`, own.asFile())
}

function bringIn([file]: File[]): void {
  if (file) void own.bringIn(file)
}
</script>

<template>
  <div>
    <AppHeader :crumbs="[{ text: 'Shelf', to: '/' }, { text: 'My bench' }]" />
    <main class="main stack">
      <div class="spread">
        <div>
          <h1>My bench</h1>
          <p class="quiet">
            Kept in this browser beside the reviews. A new review takes copies; it is told when the original
            moves on, and takes that over only when you ask.
          </p>
        </div>
        <div class="row">
          <FilePick label="A bench file" accept=".json" test-id="bench-file" @files="bringIn"
            >Bring in</FilePick
          >
          <VBtn variant="outlined" :disabled="!own.hasAnything" @click="takeAway">Take away as a file</VBtn>
        </div>
      </div>
      <p v-if="own.problem" role="alert">{{ own.problem }}</p>
      <section v-if="own.isLoaded && own.isEmpty" class="sheet part stack">
        <h2>Nothing on it yet</h2>
        <p>Set a bench up in a review, under Bench check, and press “Keep as my bench” there.</p>
        <div class="row"><VBtn color="primary" to="/">To the shelf</VBtn></div>
      </section>
      <template v-else-if="own.isLoaded">
        <p class="small quiet">
          Last changed {{ changed }}. To change something, change it in a review and keep it again.
        </p>
        <section v-for="row in rows" :key="row.list" class="sheet part" :data-testid="row.list">
          <h2>{{ row.title }}</h2>
          <p v-if="row.items.length === 0" class="quiet">None.</p>
          <ul v-else>
            <li v-for="item in row.items" :key="item.id">
              <span
                ><strong>{{ item.name }}</strong> <span class="small quiet">{{ item.words }}</span></span
              >
              <VBtn
                size="small"
                variant="text"
                :aria-label="`Remove ${item.name} from my bench`"
                @click="
                  own.remove(
                    row.list,
                    item.id,
                    `“${item.name}” is off your bench. Reviews keep their copies.`,
                  )
                "
                >Remove</VBtn
              >
            </li>
          </ul>
        </section>
      </template>
      <template v-if="own.isLoaded">
        <OwnPhrasebooks />
        <form class="sheet part stack" @submit.prevent="keepClosing">
          <h2>Words that close what goes out</h2>
          <VTextarea
            v-model="closing"
            label="Where you are reached, who paid, what readers should know"
            :maxlength="2000"
          />
          <div class="row end">
            <VBtn type="submit" variant="outlined" :disabled="closing === own.bench.closing">Keep</VBtn>
          </div>
        </form>
      </template>
    </main>
  </div>
</template>

<style scoped>
.main {
  max-width: 1000px;
  margin: 0 auto;
  padding: 24px 20px 60px;
}
.part {
  padding: 14px 16px;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 4px 0;
  overflow-wrap: anywhere;
}
</style>
