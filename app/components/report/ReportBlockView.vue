<script setup lang="ts">
import type { ReportBlock } from '#core/document'

const { block } = defineProps<{ block: ReportBlock }>()
</script>

<template>
  <p v-if="block.kind === 'paragraph'" :class="{ quiet: block.quiet, small: block.quiet }">
    {{ block.text }}
  </p>
  <ul v-else-if="block.kind === 'list'" class="list">
    <li v-for="(item, index) in block.items" :key="index">{{ item }}</li>
  </ul>
  <dl v-else-if="block.kind === 'facts'" class="facts">
    <template v-for="[label, value] in block.rows" :key="label"
      ><dt>{{ label }}</dt>
      <dd>{{ value }}</dd></template
    >
  </dl>
  <ReportPicture
    v-else-if="block.kind === 'picture'"
    :picture-id="block.pictureId"
    :caption="block.caption"
  />
  <PlotFigure v-else-if="block.kind === 'plot'" :plot="block.plot" />
  <div v-else class="scroll" tabindex="0" role="region" :aria-label="block.caption">
    <table class="plain">
      <caption>
        {{
          block.caption
        }}
      </caption>
      <colgroup>
        <col v-for="(width, index) in block.widths" :key="index" :style="{ width: `${width}%` }" />
      </colgroup>
      <thead>
        <tr>
          <th v-for="head in block.head" :key="head.text" :class="head.align" scope="col">{{ head.text }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, index) in block.rows" :key="index">
          <td
            v-for="(cell, column) in row"
            :key="column"
            :class="[
              cell.kind === 'text' ? cell.align : '',
              { figure: cell.kind === 'text' && cell.align === 'right' },
            ]"
          >
            <MarginStrip v-if="cell.kind === 'strip'" :verdict="cell.verdict" />
            <VerdictWord
              v-else-if="cell.kind === 'verdict'"
              :state="cell.verdict.state"
              :words="cell.words"
            />
            <template v-else>{{ cell.text }}</template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.list {
  margin: 0;
  padding-left: 20px;
}
.facts {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 3px 14px;
  margin: 0;
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
caption {
  text-align: left;
  font-weight: 700;
  padding: 10px 0 2px;
}
.plain td {
  padding: 3px 8px;
  font-size: 14px;
}
@media (max-width: 600px) {
  .facts {
    grid-template-columns: 1fr;
  }
  dd {
    margin-bottom: 6px;
  }
  table.plain {
    min-width: 560px;
  }
}
@media print {
  .scroll {
    overflow: visible;
  }
  tr {
    break-inside: avoid;
  }
  .plain td {
    font-size: 11px;
  }
}
</style>
