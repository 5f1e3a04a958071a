<script setup lang="ts">
import { worstSeverity } from '#core/chain'
import { setShortName } from '#core/review'
import { placeAt, places } from '~/keys/places'

const store = useReviewStore()
const ui = useUiStore()
const router = useRouter()
const route = useRoute()
const { reviewId, set, go } = useReviewRoute()
const { checks, step: stepInHand } = useCurrentChecks()
const heat = useHeatLamps(stepInHand)

const practice = usePracticeStore()
let openedId = ''
watch(
  reviewId,
  id => {
    openedId = id
    void store.open(id)
    void practice.openFor(id)
  },
  { immediate: true },
)
onBeforeUnmount(() => store.leave(openedId))

/** What this page shows of the review, so that it is not drawn anew for what its parts show. */
const isOpen = computed(() => store.review !== null)
const title = computed(() => store.review?.title ?? null)
const failed = computed(() => (store.saveState.kind === 'failed' ? store.saveState.message : null))

/** The order of work is drawn in a turn of its own, before the page beside it. */
const isPageDue = useNextTurn(() => isOpen.value)

const place = computed(() => placeAt(route.path))
watchEffect(() => {
  document.title = [place.value?.title, title.value, 'Rigorous Meter'].filter(Boolean).join(' · ')
})

/** Places that are about no radio in particular. */
const WIDE = ['findings', 'sheet', 'report', 'publish', 'rulebooks']
const wide = computed(() => WIDE.includes(place.value?.id ?? ''))
const crumbs = useStable(() =>
  title.value !== null
    ? [
        ...(practice.session ? [{ text: 'Practice', to: `/review/${reviewId.value}/practice` }] : []),
        { text: title.value, to: `/review/${reviewId.value}/findings` },
        ...(set.value && !wide.value ? [{ text: setShortName(set.value) }] : []),
      ]
    : [],
)
/** What feeds the radio matters where it is keyed. */
const showsSupply = computed(() => set.value !== null && !wide.value && stepInHand.value?.work !== 'hears')
const lamps = useStable(() => [
  ...heat.value,
  ...lampsFrom(checks.value, showsSupply.value ? set.value!.supplyNow : null),
])
const keyUp = computed(() => {
  switch (worstSeverity(checks.value)) {
    case 'danger':
      return 'unsafe'
    case 'caution':
      return 'caution'
    default:
      return checks.value.length > 0 ? 'safe' : null
  }
})

const { takeAway } = useTakeAway()
const goneWords = computed(() => {
  switch (store.gone) {
    case 'removed':
      return 'This review was removed from the shelf in another tab. What is on this screen is all there is of it here.'
    case 'overtaken':
      return 'This review was changed in another tab. What is on this screen is older, and read-only.'
    default:
      return null
  }
})

function takeThis(): void {
  if (store.review) void takeAway(store.review)
}

function openAgain(): void {
  store.close()
  void store.open(reviewId.value)
}

useKeys({
  '$mod+z': event => step(event, store.undo),
  '$mod+Shift+z': event => step(event, store.redo),
  t: () => ui.toggleTheme(),
  'g s': () => void router.push('/'),
  'g t': () => void router.push('/tools'),
  'g v': () => practice.session && void go('practice'),
  ...Object.fromEntries(
    places().flatMap(({ id, letter }) => (letter ? [[`g ${letter}`, () => void go(id)]] : [])),
  ),
})

/** Undo or redo, wherever the focus is; a field's own draft is left first, so the two do not fight. */
function step(event: KeyboardEvent, run: () => void): void {
  event.preventDefault()
  if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur()
  run()
}
</script>

<template>
  <div>
    <a href="#main" class="skip" @click.prevent="($refs.main as HTMLElement | undefined)?.focus()"
      >To the work</a
    >
    <AppHeader
      :crumbs="crumbs"
      :lamps="lamps"
      :document="isOpen ? store : null"
      @undo="store.undo()"
      @redo="store.redo()"
    />
    <FindDialog />
    <div v-if="isOpen && store.lockState === 'elsewhere'" class="banner no-print" role="status">
      <span>This review is open in another tab. Here it is read-only, and follows what is done there.</span>
      <VBtn size="small" variant="outlined" @click="store.takeOver()">Take over here</VBtn>
    </div>
    <div v-if="goneWords" class="banner problem no-print" role="alert" data-testid="gone">
      <span>{{ goneWords }}</span>
      <VBtn size="small" variant="outlined" @click="takeThis">Take it away as a file</VBtn>
      <VBtn v-if="store.gone === 'overtaken'" size="small" variant="outlined" @click="openAgain"
        >Open it again</VBtn
      >
    </div>
    <div v-if="failed !== null && !goneWords" class="banner problem no-print" role="alert">
      <span>{{ failed }}</span>
    </div>
    <div v-if="isOpen" class="frame">
      <OrderOfWork :key-up="keyUp" />
      <main id="main" ref="main" class="main" tabindex="-1"><NuxtPage v-if="isPageDue" /></main>
    </div>
    <main v-else-if="store.problem" class="alone stack">
      <h1>This review cannot be opened</h1>
      <p role="alert">{{ store.problem }}</p>
      <DamagedReview v-if="store.damaged" :id="reviewId" />
      <NuxtLink to="/">Back to the shelf</NuxtLink>
    </main>
    <main v-else-if="store.missing" class="alone stack">
      <h1>No such review on this shelf</h1>
      <p>It may live in another browser. If you have it as a file, bring it in on the shelf.</p>
      <NuxtLink to="/">Back to the shelf</NuxtLink>
    </main>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  align-items: stretch;
}
.main {
  flex: 1;
  min-width: 0;
  padding: 18px 20px 40px;
  outline: none;
}
.banner {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  padding: 8px 20px;
  background: rgb(var(--v-theme-close-wash));
  border-bottom: 1px solid var(--line-2);
}
.problem {
  background: rgb(var(--v-theme-outside-wash));
  font-weight: 600;
}
.alone {
  max-width: 560px;
  margin: 60px auto;
  padding: 0 20px;
}
.skip {
  position: absolute;
  left: -999px;
  top: 4px;
  z-index: 30;
  background: var(--sheet);
  padding: 6px 12px;
}
.skip:focus {
  left: 8px;
}
@media (max-width: 900px) {
  .frame {
    flex-direction: column;
  }
  .main {
    padding: 14px 12px 40px;
    width: 100%;
  }
}
@media print {
  .main {
    padding: 0;
  }
  .frame {
    display: block;
  }
}
</style>
