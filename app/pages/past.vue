<script setup lang="ts">
import type { ReviewDigest } from '#core/past'
import { practiceIds } from '~/storage/practiceIds'

/** Every radio of every review on the shelf, and of files brought in to compare, by any figure. */
const shelf = useShelfStore()
const ui = useUiStore()
const router = useRouter()
useKeys({ t: () => ui.toggleTheme(), 'g s': () => void router.push('/') })
onMounted(() => (document.title = 'Past radios · Rigorous Meter'))
void shelf.refresh()

/** Evenings of practice are left out: their radios do not exist. */
const practised = shallowRef<ReadonlySet<string> | null>(null)
void practiceIds()
  .catch(() => new Set<string>())
  .then(ids => (practised.value = ids))
const heads = computed(() => shelf.heads.filter(({ id }) => practised.value && !practised.value.has(id)))
const { digests, left, isLarge, ask } = useDigests(() => shelf.heads)
/** Reviews that came from files, and stand on no shelf. */
const brought = shallowRef<{ digest: ReviewDigest; name: string }[]>([])
const all = computed(() => [
  ...heads.value.flatMap(({ id }) => digests.value.get(id) ?? []),
  ...brought.value.map(({ digest }) => digest),
])
const radios = computed(() => all.value.flatMap(one => one.radios))
const controls = computed(() => all.value.flatMap(one => one.controls))
const large = computed(() => heads.value.filter(isLarge))
const isReading = ref(false)

async function bringIn(files: File[]): Promise<void> {
  isReading.value = true
  const { digester } = await import('~/workers/digestWorker')
  const worker = digester()
  for (const file of files)
    try {
      const { review } = await shelf.readFile(file)
      const digest = await worker.digest(review)
      // The same review of another bench keeps its identity: here it is another one.
      const apart = {
        ...digest,
        radios: digest.radios.map(one => ({ ...one, reviewId: `${one.reviewId}:${file.name}` })),
      }
      brought.value = [
        ...brought.value.filter(({ name }) => name !== file.name),
        { digest: apart, name: file.name },
      ]
    } catch (error) {
      ui.sayProblem(error)
    }
  worker.stop()
  isReading.value = false
}

const part = ref<'radios' | 'benches' | 'control'>('radios')
const PARTS = [
  { id: 'radios', title: 'Radios' },
  { id: 'benches', title: 'Other benches' },
  { id: 'control', title: 'Control radio' },
] as const
</script>

<template>
  <div>
    <AppHeader :crumbs="[{ text: 'Shelf', to: '/' }, { text: 'Past radios' }]" />
    <main class="main stack">
      <div class="spread">
        <div>
          <h1>Past radios</h1>
          <p class="quiet">Every radio of every review on the shelf, and of files brought in to compare.</p>
        </div>
        <FilePick
          label="Review files to compare"
          accept=".json"
          multiple
          :loading="isReading"
          test-id="compare-files"
          @files="bringIn"
          >Bring in to compare</FilePick
        >
      </div>
      <div class="row">
        <div class="choice" role="group" aria-label="What is compared">
          <button
            v-for="one in PARTS"
            :key="one.id"
            type="button"
            :class="{ here: part === one.id }"
            :aria-pressed="part === one.id"
            @click="part = one.id"
          >
            {{ one.title }}
          </button>
        </div>
        <span v-if="left" class="small quiet" role="status"
          >Working through {{ left === 1 ? 'one review' : `${left} reviews` }}…</span
        >
        <span v-if="brought.length" class="small quiet"
          >Brought in: {{ brought.map(({ name }) => name).join(', ') }}
          <button type="button" class="link" @click="brought = []">Put them away</button></span
        >
      </div>
      <p v-for="head in large" :key="head.id" class="small">
        “{{ head.title }}” is large and left out.
        <button type="button" class="link" @click="ask(head.id)">Work it through</button>
      </p>
      <section v-if="shelf.loaded && radios.length === 0 && !left" class="sheet part stack">
        <h2>No radio yet</h2>
        <p>What you read in a review stands here beside what you read before.</p>
        <div class="row"><VBtn color="primary" to="/start">Start a review</VBtn></div>
      </section>
      <PastTable v-else-if="part === 'radios' && radios.length" :radios="radios" />
      <OtherBenches v-else-if="part === 'benches'" :radios="radios" />
      <ControlChart v-else-if="part === 'control'" :points="controls" />
    </main>
  </div>
</template>

<style scoped>
.main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 24px 20px 60px;
}
.part {
  padding: 14px 16px;
}
</style>
