<script setup lang="ts">
import type { RunRow } from '~/composables/useRunRows'

/** The steps of the run in order: moved by drag or by key, left out with a reason, gone to. */
const { rows } = defineProps<{ rows: RunRow[] }>()
const emit = defineEmits<{ begin: [row: RunRow] }>()
const { move, skip, takeUp } = useRunOrder()

const chosen = ref<string | null>(null)
const skipping = ref<string | null>(null)
const body = useTemplateRef<HTMLElement>('body')

/** What stands below each other: going over, the step, and what was opened under it. */
interface Line {
  kind: 'over' | 'step' | 'more'
  row: RunRow
  index: number
}
const isOpened = ({ key }: RunRow) => key === chosen.value || key === skipping.value
const lines = computed(() =>
  rows.flatMap((row, index): Line[] => [
    ...(row.goingOver ? [{ kind: 'over' as const, row, index }] : []),
    { kind: 'step', row, index },
    ...(isOpened(row) ? [{ kind: 'more' as const, row, index }] : []),
  ]),
)
const HEIGHTS_PX = { over: 36, step: 42, more: 96 }
const { shown, beforePx, afterPx, isVirtual, measure } = useVirtualLines(
  body,
  () => lines.value,
  ({ kind }) => HEIGHTS_PX[kind],
)

/** A row that is a component of its own. */
function measureRow(row: unknown): void {
  measure((row as { $el?: unknown } | null)?.$el)
}

const drawn = computed(() => shown.value.flatMap(({ line }) => (line.kind === 'step' ? line.row : [])))
useDraggedRows(
  body,
  () => drawn.value.map(({ key }) => key),
  (from, to) => moveRow(drawn.value, from, to),
)

function moveRow(among: readonly RunRow[], from: number, to: number): void {
  const key = among[from]?.key
  if (key && move(among, from, to)) chosen.value = key
}

const MOVES: Record<string, number> = { ArrowUp: -1, ArrowDown: 1 }

function moveByKey(event: KeyboardEvent, index: number): void {
  const by = MOVES[event.key] ?? 0
  if (!event.altKey || by === 0) return
  event.preventDefault()
  const handle = `[data-key="${CSS.escape(rows[index]!.key)}"] .handle`
  moveRow(rows, index, index + by)
  void nextTick(() => body.value?.querySelector<HTMLElement>(handle)?.focus())
}

const other = (key: string, now: string | null) => (now === key ? null : key)

function leaveOut(row: RunRow, reason: string): void {
  skip(row, reason)
  skipping.value = null
}
</script>

<template>
  <table
    class="plain"
    :class="{ fixed: isVirtual }"
    :aria-rowcount="isVirtual ? lines.length + 1 : undefined"
  >
    <thead>
      <tr>
        <th><span class="only-read">Move</span></th>
        <th class="right">Step</th>
        <th>Station</th>
        <th>Radio</th>
        <th class="right">MHz</th>
        <th>Level</th>
        <th>Through</th>
        <th class="right">Time</th>
        <th class="right">Keyed</th>
        <th>State</th>
        <th><span class="only-read">Acts</span></th>
      </tr>
    </thead>
    <tbody ref="body">
      <tr v-if="beforePx > 0" class="spacer" aria-hidden="true" :style="{ height: `${beforePx}px` }" />
      <template v-for="{ line: { kind, row, index }, index: at } in shown" :key="`${kind}:${row.key}`">
        <tr
          v-if="kind === 'over'"
          :ref="measure"
          class="over"
          data-testid="going-over"
          :data-index="at"
          :aria-rowindex="at + 2"
        >
          <td />
          <td colspan="10"><GoingOverLine :going="row.goingOver!" /></td>
        </tr>
        <RunTableRow
          v-else-if="kind === 'step'"
          :ref="measureRow"
          :row="row"
          :is-first="index === 0"
          :is-chosen="chosen === row.key"
          :data-index="at"
          :aria-rowindex="at + 2"
          @move-key="moveByKey($event, index)"
          @choose="chosen = other(row.key, chosen)"
          @begin="emit('begin', row)"
          @take-up="takeUp(row)"
          @leave-out="skipping = other(row.key, skipping)"
        />
        <tr v-else :ref="measure" class="more" :data-index="at" :aria-rowindex="at + 2">
          <td />
          <td colspan="10">
            <RunRowMore :row="row" :asks-why="skipping === row.key" @skip="leaveOut(row, $event)" />
          </td>
        </tr>
      </template>
      <tr v-if="afterPx > 0" class="spacer" aria-hidden="true" :style="{ height: `${afterPx}px` }" />
    </tbody>
  </table>
</template>

<style scoped>
.plain {
  min-width: 860px;
}
th {
  padding: 3px 6px;
  white-space: nowrap;
}
/* Of a long run only what is near the window is drawn: the columns must not hang on it. */
.fixed {
  table-layout: fixed;
  min-width: 960px;
}
.fixed th:first-child {
  width: 36px;
}
.fixed th:nth-child(2),
.fixed th:nth-child(5),
.fixed th:nth-child(8),
.fixed th:nth-child(9) {
  width: 72px;
}
.fixed th:nth-child(10),
.fixed th:last-child {
  width: 150px;
}
.over td {
  padding: 6px;
  border-top: 2px solid var(--ink-2);
  background: rgb(var(--v-theme-close-wash));
}
.more td {
  padding: 3px 6px 12px;
}
</style>
