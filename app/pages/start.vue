<script setup lang="ts">
import { withOwnBench } from '#core/own-bench'
import { fewNames } from '#core/review'
import { benchKits, homeByLanguage, homes, radioKinds, startReview, wishes } from '#core/start'

/** A review in four answers; all of them can be changed later. */
const shelf = useShelfStore()
const ui = useUiStore()
const router = useRouter()
const route = useRoute()

const title = ref(typeof route.query.title === 'string' ? route.query.title : '')
const kindId = ref(radioKinds[0]!.id)
const homeId = ref(homeByLanguage(navigator.language))
const own = useOwnBenchStore()
const OWN = 'my-bench'
const kitIds = ref<string[]>([])
const kits = computed(() =>
  own.isEmpty ? benchKits : [{ id: OWN, title: 'My bench', detail: ownWords.value }, ...benchKits],
)
const ownWords = computed(() => fewNames(own.bench.instruments.map(({ name }) => name)))
void own.load().then(() => {
  if (!own.isEmpty) kitIds.value = [OWN]
})
const wishId = ref('clean')
const isBusy = ref(false)

useKeys({ t: () => ui.toggleTheme() })
onMounted(() => (document.title = 'Start a review · Rigorous Meter'))

async function begin(): Promise<void> {
  isBusy.value = true
  try {
    const { review, opens } = startReview(
      {
        kindId: kindId.value,
        homeId: homeId.value,
        kitIds: kitIds.value.filter(id => id !== OWN),
        wishId: wishId.value,
      },
      {
        id: crypto.randomUUID(),
        title: title.value,
        at: new Date().toISOString(),
        newId: () => crypto.randomUUID(),
      },
    )
    await shelf.keepNew(kitIds.value.includes(OWN) ? withOwnBench(review, own.bench) : review)
    await router.push(`/review/${review.id}/${opens ? `${opens.stationId}?set=${opens.setId}` : 'card'}`)
  } catch (error) {
    ui.sayProblem(error)
  }
  isBusy.value = false
}
</script>

<template>
  <div>
    <AppHeader :crumbs="[{ text: 'Shelf', to: '/' }, { text: 'Start a review' }]" />
    <main class="main">
      <div>
        <h1>Start a review</h1>
        <p class="quiet">
          Four answers. All of them can be changed later, and nothing is hidden by any of them.
        </p>
      </div>
      <form class="questions" @submit.prevent="begin">
        <AnswerList
          v-model="kindId"
          legend="Which kind of radio?"
          name="kind"
          :choices="radioKinds"
          note="Bands and power as such sets usually have them; everything else stays “not said” until you say it."
        />
        <div class="column">
          <AnswerList
            v-model="homeId"
            legend="Where do you live?"
            name="home"
            :choices="homes"
            note="The rulebooks follow. They are recalled from memory; local rules and your licence decide."
          />
          <AnswerList v-model="wishId" legend="What do you want to know?" name="wish" :choices="wishes" />
        </div>
        <div class="column">
          <AnswerList
            v-model="kitIds"
            legend="What is on your bench?"
            name="kit"
            :choices="kits"
            note="Typical figures, marked as assumed: put in your own at the bench. None is an answer too."
          />
          <VTextField v-model="title" label="What it is called" placeholder="by the radio" :maxlength="200" />
          <div class="row">
            <VBtn type="submit" color="primary" :loading="isBusy">Begin</VBtn>
            <VBtn variant="text" to="/">Leave it</VBtn>
          </div>
        </div>
      </form>
    </main>
  </div>
</template>

<style scoped>
.main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 20px 20px 40px;
  display: grid;
  gap: 14px;
}
.questions {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px;
  align-items: start;
}
.column {
  display: grid;
  gap: 16px;
}
</style>
