<script setup lang="ts">
import { madeSentences, type Paper, PAPERS, sheetDrawing, sheetOf } from '#core/sheet'
import { INKS } from '#core/svg'

/** One page about a model, as it goes out: on the screen it is the very drawing that is taken away. */
const store = useReviewStore()
const ui = useUiStore()
const version = String(useRuntimeConfig().public.version)
const { model, choices, choose } = useModels()
const mark = usePublicationMark()

const paper = ref<Paper>('a4')
const papers = Object.entries(PAPERS).map(([value, { title }]) => ({ value, title }))
const own = computed(() => (model.value ? (store.review?.sheetWords[model.value.key] ?? null) : null))
const sheet = computed(() =>
  model.value && store.context
    ? sheetOf(model.value, store.context, { version, mark: mark.value }, own.value?.text ?? null)
    : null,
)
const drawing = computed(
  () => sheet.value && sheetDrawing(sheet.value, { paper: paper.value, inks: INKS[ui.themeName] }),
)
const forPaper = computed(
  () => sheet.value && sheetDrawing(sheet.value, { paper: paper.value, inks: INKS.day }),
)

const { name, take, isBusy } = useTakenDrawing(() => sheet.value?.title ?? 'sheet')
const takePdf = () =>
  take(`${name.value}-sheet.pdf`, async () =>
    (await import('~/report/makePdf')).drawingPdf(forPaper.value!, sheet.value!.title),
  )
const takePng = () =>
  take(`${name.value}-sheet.png`, async () =>
    (await import('~/pictures/drawingFiles')).pngOf(forPaper.value!, PNG_SCALE),
  )
const takeSvg = () =>
  take(`${name.value}-sheet.svg`, async () =>
    (await import('~/pictures/drawingFiles')).svgOf(forPaper.value!),
  )
/** Pixels a point: 300 to the inch and a little. */
const PNG_SCALE = 4.2

const made = computed(() => (sheet.value ? madeSentences(sheet.value) : ''))
const isEditing = ref(false)
const draft = ref('')

function edit(): void {
  draft.value = own.value?.text ?? made.value
  isEditing.value = true
}

function keep(): void {
  const { value: kept } = model
  const text = draft.value.trim()
  if (!kept || !store.review) return
  const words = { text, who: store.review.reviewer, at: new Date().toISOString() }
  const isOwn = text !== '' && text !== made.value
  store.change('the words on the sheet', now => {
    if (isOwn) now.sheetWords[kept.key] = words
    else Reflect.deleteProperty(now.sheetWords, kept.key)
  })
  isEditing.value = false
}

function asMade(): void {
  draft.value = made.value
  keep()
}
</script>

<template>
  <div class="stack">
    <div class="spread no-print">
      <div>
        <h1>Sheet</h1>
        <p class="quiet">
          One page about a model, its samples together. Every word and figure comes from the verdicts.
        </p>
      </div>
      <div class="row">
        <VBtn variant="outlined" :disabled="!sheet || isBusy" @click="takeSvg">SVG</VBtn>
        <VBtn variant="outlined" :disabled="!sheet || isBusy" @click="takePng">PNG</VBtn>
        <VBtn color="primary" :disabled="!sheet || isBusy" @click="takePdf">Make the PDF</VBtn>
      </div>
    </div>
    <section v-if="!model" class="sheet empty stack">
      <h2>No radio yet</h2>
      <p>A sheet is about a radio and what was read of it.</p>
      <div class="row"><VBtn color="primary" to="card">Put a radio on the card</VBtn></div>
    </section>
    <template v-else>
      <div class="row choices no-print">
        <VSelect
          :model-value="model.key"
          :items="choices"
          label="Model"
          class="wide"
          @update:model-value="choose"
        />
        <VSelect v-model="paper" :items="papers" label="Paper" class="narrow" />
        <VBtn variant="outlined" :disabled="store.readOnly" @click="edit">{{
          own ? 'Your words' : 'Write your own words'
        }}</VBtn>
      </div>
      <form v-if="isEditing" class="sheet words stack no-print" @submit.prevent="keep">
        <VTextarea v-model="draft" label="What the sheet says, in your words" :maxlength="2000" autofocus />
        <p class="small quiet">
          The sheet marks them as the reviewer’s. Leave it empty for the sentences made by rules.
        </p>
        <div class="row end">
          <VBtn variant="text" @click="isEditing = false">Leave it</VBtn>
          <VBtn v-if="own" variant="outlined" @click="asMade">As made by rules</VBtn>
          <VBtn type="submit" color="primary">Keep</VBtn>
        </div>
      </form>
      <article
        v-if="drawing"
        class="page"
        data-testid="sheet-page"
        tabindex="0"
        role="region"
        aria-label="The sheet"
      >
        <SvgDrawing :drawing="drawing" />
      </article>
    </template>
  </div>
</template>

<style scoped>
.choices {
  align-items: center;
}
.wide {
  flex: 0 1 320px;
}
.narrow {
  flex: 0 1 140px;
}
.words,
.empty {
  padding: 16px;
}
.page {
  max-width: 900px;
  border: 1px solid var(--line);
  overflow: auto;
}
.page :deep(svg) {
  display: block;
  width: 100%;
  min-width: 560px;
  height: auto;
}
@media print {
  .page {
    border: 0;
    max-width: none;
  }
}
</style>
