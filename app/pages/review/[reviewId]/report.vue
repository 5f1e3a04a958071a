<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { format } from 'date-fns'
import { type ReportOutline, reportOutline } from '#core/report'
import { isSmallReview } from '~/largeReview'
import { csvOf, markdownOf, type PaperJob, pdfOf } from '~/workers/paperWorker'

const store = useReviewStore()
const { takeAway } = useTakeAway()
const ui = useUiStore()
const config = useRuntimeConfig().public

const stamp = { version: config.version, at: format(new Date(), 'd MMMM yyyy, HH:mm') }
const judged = useWorkedThrough('results')
const outline = computed<ReportOutline | null>(
  () => judged.value.value && reportOutline(judged.value.value, stamp),
)
const isSmall = computed(() => store.review !== null && isSmallReview(store.review))
const name = computed(() => fileNameFrom(store.review?.title ?? ''))

/** Heights of sections that were not drawn yet: what stands below them is seldom looked for to the pixel. */
const SECTION_PX = 1600

const { progress, problem, run, stop } = useCancellableWork()
/** What can be made of a review. */
type Paper = 'PDF' | 'CSV' | 'text'

/** What is being made, or was last. */
const what = ref<Paper>('PDF')
const isMaking = computed(() => progress.value !== null)
let job: PaperJob<unknown> | null = null

function make<T>(
  kind: Paper,
  begin: (onProgress: (share: number) => void) => PaperJob<T>,
): Promise<T | null> {
  what.value = kind
  return run(onProgress => {
    const begun = begin(onProgress)
    job = begun
    return begun.done
  })
}

async function takePdf(): Promise<void> {
  const { review } = store
  const made = review && (await make('PDF', onProgress => pdfOf(review, stamp, onProgress)))
  if (!made) return
  downloadFile(`${name.value}.pdf`, made)
  ui.say('The PDF is among your downloads.')
}

async function takeCsv(): Promise<void> {
  const { review } = store
  const made = review && (await make('CSV', () => csvOf(review)))
  if (made !== null)
    downloadFile(`${name.value}-readings.csv`, new Blob(['\uFEFF', made], { type: 'text/csv' }))
}

/** The report as Markdown: for a forum, a repository, a description. */
async function takeText(): Promise<void> {
  const { review } = store
  const made = review && (await make('text', () => markdownOf(review, stamp)))
  if (made !== null) downloadFile(`${name.value}.md`, new Blob([made], { type: 'text/markdown' }))
}

function cancel(): void {
  job?.cancel()
  stop(`The ${what.value} was not made.`)
}

function takeReview(): void {
  if (store.review) void takeAway(store.review)
}

const reveal = provideReveal()
const drawnWords = computed(() =>
  reveal.drawn.value === null ? '' : `Drawing all of it for the paper: ${reveal.drawn.value} parts so far.`,
)

async function print(): Promise<void> {
  if (!isSmall.value && !(await reveal.all())) return
  await nextTick()
  window.print()
}
useEventListener(window, 'afterprint', reveal.none)
onBeforeUnmount(() => job?.cancel())
</script>

<template>
  <div class="stack">
    <div class="spread no-print">
      <h1>Report</h1>
      <div class="row">
        <VBtn variant="outlined" @click="takeReview">Take the review away</VBtn>
        <VBtn variant="outlined" :disabled="isMaking" @click="takeCsv">Readings as CSV</VBtn>
        <VBtn variant="outlined" :disabled="isMaking" @click="takeText">Text (Markdown)</VBtn>
        <VBtn variant="outlined" :disabled="!outline || drawnWords !== ''" @click="print">Print</VBtn>
        <VBtn color="primary" :disabled="isMaking" @click="takePdf">Make the PDF</VBtn>
      </div>
    </div>
    <WorkProgress
      v-if="progress !== null"
      class="no-print"
      :share="progress"
      :label="`Making the ${what}`"
      @cancel="cancel"
    />
    <p v-if="problem" role="alert" class="no-print">{{ problem }}</p>
    <div v-if="drawnWords" class="row no-print" role="status">
      <span>{{ drawnWords }}</span>
      <VBtn size="small" variant="outlined" @click="reveal.none">Leave it</VBtn>
    </div>
    <SlicedProgress v-if="!outline" :share="judged.share.value" words="Judging every reading" />
    <article v-if="outline" class="sheet paper" :class="{ drawing: drawnWords }">
      <header>
        <h1>{{ outline.title }}</h1>
        <p class="quiet">{{ outline.subtitle }}</p>
        <p v-if="!isSmall && !reveal.isWhole.value" class="only-print">
          This is a part of the report: what was not on the screen is left out. Print it by its own button, or
          make the PDF.
        </p>
      </header>
      <NearWindow
        v-for="section in outline.sections"
        :key="section.id"
        :estimate-px="SECTION_PX"
        :whole="isSmall"
      >
        <ReportSectionView :build="section.build" :whole="isSmall" />
      </NearWindow>
      <footer class="small quiet">{{ outline.footer }}</footer>
    </article>
  </div>
</template>

<style scoped>
.paper {
  padding: 32px 36px;
  max-width: 1040px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 26px;
}
.only-print {
  display: none;
}
/* Laid out once, when all of it is there, and not again with every part. */
.drawing {
  display: none;
}
@media (max-width: 600px) {
  .paper {
    padding: 18px 14px;
  }
}
@media print {
  .only-print {
    display: block;
    font-weight: 700;
  }
  .paper {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
</style>
