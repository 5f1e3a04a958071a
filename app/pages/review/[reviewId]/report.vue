<script setup lang="ts">
import { format } from 'date-fns'
import { buildReport, readingsCsv } from '#core/report'

const store = useReviewStore()
const { takeAway } = useTakeAway()
const ui = useUiStore()
const config = useRuntimeConfig().public
const busy = ref(false)

const madeAt = format(new Date(), 'd MMMM yyyy, HH:mm')
const report = computed(() => buildReport(store.context!, { version: config.version, at: madeAt }))
const name = computed(() => fileNameFrom(report.value.title))

async function takePdf(): Promise<void> {
  busy.value = true
  try {
    const { makePdf } = await import('~/report/makePdf')
    downloadFile(`${name.value}.pdf`, await makePdf(report.value))
    ui.say('The PDF is among your downloads.')
  } catch (error) {
    ui.sayProblem(error)
  }
  busy.value = false
}

function takeCsv(): void {
  downloadFile(
    `${name.value}-readings.csv`,
    new Blob(['\uFEFF', readingsCsv(store.context!)], { type: 'text/csv' }),
  )
}

function takeReview(): void {
  if (store.review) void takeAway(store.review)
}

function print(): void {
  window.print()
}
</script>

<template>
  <div class="stack">
    <div class="spread no-print">
      <h1>Report</h1>
      <div class="row">
        <VBtn variant="outlined" @click="takeReview">Take the review away</VBtn>
        <VBtn variant="outlined" @click="takeCsv">Readings as CSV</VBtn>
        <VBtn variant="outlined" @click="print">Print</VBtn>
        <VBtn color="primary" :loading="busy" @click="takePdf">Make the PDF</VBtn>
      </div>
    </div>
    <article class="sheet paper">
      <header>
        <h1>{{ report.title }}</h1>
        <p class="quiet">{{ report.subtitle }}</p>
      </header>
      <section
        v-for="section in report.sections"
        :key="section.id"
        class="stack"
        :class="{ 'new-page': section.newPage }"
        :aria-labelledby="`report-${section.id}`"
      >
        <h2 :id="`report-${section.id}`">{{ section.title }}</h2>
        <ReportBlockView v-for="(block, index) in section.blocks" :key="index" :block="block" />
      </section>
      <footer class="small quiet">{{ report.footer }}</footer>
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
.paper section {
  gap: 8px;
}
.paper h2 {
  border-bottom: 1px solid var(--line-2);
  padding-bottom: 4px;
}
@media (max-width: 600px) {
  .paper {
    padding: 18px 14px;
  }
}
@media print {
  .paper {
    border: 0;
    padding: 0;
    max-width: none;
  }
  .new-page {
    break-before: page;
  }
}
</style>
