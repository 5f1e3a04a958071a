<script setup lang="ts">
import type { DamagedHead, ReviewHead } from '~/storage'

const shelf = useShelfStore()
const ui = useUiStore()
const router = useRouter()
const config = useRuntimeConfig().public

const title = ref('')
const filePicker = useTemplateRef<HTMLInputElement>('filePicker')
const toRemove = shallowRef<ReviewHead | null>(null)
const { takeFromShelf } = useTakeAway()
const { digests, left, isLarge, ask } = useDigests(() => shelf.heads)
const { wanted, found } = useShelfSearch(() => shelf.heads, digests)
const { progress: takingAway, takeAway: takeSeveral } = useBackup()
const { waiting, damagedFile, bringIn, put, putCopy } = useBringInOne()
const { bringInAll } = useBringIn({ one: bringIn })

/** Reviews that were picked, to be taken away together. */
const picked = ref<ReadonlySet<string>>(new Set())
const pickedIds = computed(() => shelf.heads.map(({ id }) => id).filter(id => picked.value.has(id)))
const isPicked = ({ id }: ReviewHead) => picked.value.has(id)

function pick({ id }: ReviewHead, is: boolean): void {
  const now = new Set(picked.value)
  if (is) now.add(id)
  else now.delete(id)
  picked.value = now
}

const takePicked = () => takeSeveral(pickedIds.value, false)
const takeEverything = () =>
  takeSeveral(
    shelf.heads.map(({ id }) => id),
    true,
  )
/** So many stand under each other before somebody looks for one. */
const FEW_REVIEWS = 3
const dragging = ref(false)

useKeys({ t: () => ui.toggleTheme(), 'g t': () => void router.push('/tools') })
onMounted(() => (document.title = 'Shelf · Rigorous Meter'))
// Begun before the page is drawn: what comes from the disk and the server comes while it is.
void fill()

async function fill(): Promise<void> {
  try {
    if (config.demo) await shelf.putDemoOnce()
    await shelf.refresh()
  } catch (error) {
    ui.sayProblem(error)
  }
}

/** On to the four questions; a name may be given before. */
function start(): void {
  const name = title.value.trim()
  void router.push(name ? `/start?title=${encodeURIComponent(name)}` : '/start')
}

async function openDemo(): Promise<void> {
  try {
    const id = await shelf.putDemo()
    await router.push(`/review/${id}/findings`)
  } catch (error) {
    ui.sayProblem(error)
  }
}

function filesPicked(event: Event): void {
  const input = event.target as HTMLInputElement
  void bringInAll([...(input.files ?? [])])
  input.value = ''
}

function dropped(event: DragEvent): void {
  dragging.value = false
  void bringInAll([...(event.dataTransfer?.files ?? [])])
}

const takeAway = (head: ReviewHead) => takeFromShelf(head.id)

/** A damaged review is asked about like any other. */
function askToRemove({ id }: DamagedHead): void {
  toRemove.value = { id, title: 'A damaged review', setNames: [], readingCount: 0, updatedAt: '' }
}

async function remove(head: ReviewHead): Promise<void> {
  await shelf.remove(head.id)
  toRemove.value = null
}
</script>

<template>
  <div
    class="page"
    :class="{ dragging }"
    @dragover.prevent="dragging = true"
    @dragleave.self="dragging = false"
    @drop.prevent="dropped"
  >
    <AppHeader :crumbs="[{ text: 'Shelf' }]" />
    <main class="main">
      <div class="spread">
        <div>
          <h1>Shelf</h1>
          <p class="quiet">
            Every review in this browser. Nothing leaves it unless you take it away as a file.
          </p>
        </div>
        <div class="row">
          <VBtn variant="text" to="/tools">Tools</VBtn>
          <VBtn v-if="shelf.heads.length" variant="text" to="/past">Past radios</VBtn>
          <VBtn variant="text" to="/practice">Practice</VBtn>
          <VBtn variant="text" to="/bench">My bench</VBtn>
          <VBtn variant="outlined" @click="filePicker?.click()">Bring in</VBtn>
          <input
            ref="filePicker"
            type="file"
            accept=".json,.zip,application/json,application/zip"
            multiple
            class="only-read"
            tabindex="-1"
            aria-label="Review file"
            data-testid="review-file"
            @change="filesPicked"
          />
        </div>
      </div>

      <p v-if="ui.newVersion" class="row" role="status" data-testid="new-version">
        A newer version of Rigorous Meter is here.
        <VBtn size="small" variant="outlined" @click="ui.newVersion?.()">Use it now</VBtn>
      </p>

      <form class="sheet start" @submit.prevent="start">
        <VTextField
          v-model="title"
          label="What is the review about?"
          placeholder="Marshals’ handhelds for the spring race"
          :maxlength="200"
        />
        <VBtn type="submit" color="primary">Start a review</VBtn>
      </form>

      <section v-if="shelf.problem" class="sheet empty" role="alert" data-testid="no-storage">
        <h2>The shelf cannot be read</h2>
        <p>{{ shelf.problem }}</p>
        <div class="row"><VBtn variant="outlined" @click="fill">Try again</VBtn></div>
      </section>

      <ul v-if="shelf.damaged.length" class="reviews">
        <DamagedLine v-for="head in shelf.damaged" :key="head.id" :head="head" @remove="askToRemove(head)" />
      </ul>

      <div v-if="shelf.heads.length" class="row tools">
        <VTextField
          v-if="shelf.heads.length > FEW_REVIEWS || wanted"
          v-model="wanted"
          label="Find: a maker, a band, “outside”"
          clearable
          class="find"
        />
        <span v-if="left" class="small quiet" role="status">working out the marks of {{ left }}…</span>
        <VBtn v-if="pickedIds.length" variant="outlined" size="small" @click="takePicked"
          >Take {{ pickedIds.length }} away</VBtn
        >
        <VBtn variant="text" size="small" class="all" @click="takeEverything">Back everything up</VBtn>
      </div>
      <VProgressLinear
        v-if="takingAway !== null"
        :model-value="100 * takingAway"
        color="primary"
        height="6"
        aria-label="Taking reviews away"
      />
      <p v-if="shelf.heads.length && !found.length" role="status">
        Nothing on the shelf fits “{{ wanted }}”.
        <button type="button" class="link" @click="wanted = ''">Show all</button>
      </p>
      <ul v-if="shelf.heads.length" class="reviews">
        <ShelfLine
          v-for="head in found"
          :key="head.id"
          :head="head"
          :marks="digests.get(head.id)?.marks ?? null"
          :is-large="isLarge(head)"
          :picked="isPicked(head)"
          @update:picked="is => pick(head, is)"
          @work-out="ask(head.id)"
          @take-away="takeAway(head)"
          @remove="toRemove = head"
        />
      </ul>

      <section
        v-else-if="shelf.loaded && !shelf.problem && !shelf.damaged.length"
        class="sheet empty"
        data-testid="empty-shelf"
      >
        <h2>The shelf is empty</h2>
        <p>
          Start a review above: four answers, and the first step is open. Or look at the demo review first;
          everything in it is invented.
        </p>
        <div class="row"><VBtn variant="outlined" @click="openDemo">Open the demo review</VBtn></div>
      </section>

      <p v-if="shelf.heads.length && !shelf.isOnShelf('demo-fell-race')" class="small quiet">
        The demo review is not on the shelf.
        <button type="button" class="link" @click="openDemo">Bring it back</button>
      </p>
      <ShelfFoot v-if="shelf.heads.length" />
    </main>

    <AlreadyOnShelf v-model="waiting" @replace="put" @keep-both="putCopy" />
    <DamagedFile v-model="damagedFile" @bring-in="put" />
    <RemoveReview v-model="toRemove" @take-away="takeAway" @remove="remove" />
  </div>
</template>

<style scoped>
.page {
  min-height: 100vh;
}
.main {
  max-width: 1000px;
  margin: 0 auto;
  padding: 24px 20px 60px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
}
.start {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 14px;
  flex-wrap: wrap;
}
.start > :first-child {
  flex: 1 1 260px;
}
.find {
  flex: 1 1 260px;
}
.all {
  margin-left: auto;
}
.reviews {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 10px;
}
.empty {
  padding: 28px;
  display: grid;
  gap: 12px;
  max-width: 640px;
}
.dragging .main {
  outline: 2px dashed var(--spruce);
  outline-offset: -8px;
  border-radius: var(--radius);
}
</style>
