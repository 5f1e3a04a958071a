<script setup lang="ts">
import { blockLines, type ReportSection } from '#core/document'

/** A section of the report, put together where it stands; of a long one only the blocks near the window are drawn. */
const { build, whole } = defineProps<{ build: () => ReportSection; whole: boolean }>()
const section = computed(() => build())

/** More blocks than this in one section are drawn one by one. */
const FEW_BLOCKS = 24
const drawsAll = computed(() => whole || section.value.blocks.length <= FEW_BLOCKS)
const LINE_PX = 27
</script>

<template>
  <section class="stack" :class="{ 'new-page': section.newPage }" :aria-labelledby="`report-${section.id}`">
    <h2 :id="`report-${section.id}`">{{ section.title }}</h2>
    <NearWindow
      v-for="(block, index) in section.blocks"
      :key="index"
      :estimate-px="blockLines(block) * LINE_PX"
      :whole="drawsAll"
    >
      <ReportBlockView :block="block" />
    </NearWindow>
  </section>
</template>

<style scoped>
section {
  gap: 8px;
}
h2 {
  border-bottom: 1px solid var(--line-2);
  padding-bottom: 4px;
}
@media print {
  .new-page {
    break-before: page;
  }
}
</style>
