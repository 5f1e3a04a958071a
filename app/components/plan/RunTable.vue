<script setup lang="ts">
import type { RunRow } from '~/composables/useRunRows'

/** The steps of the run in order: moved by drag or by key, left out with a reason, gone to. */
const { rows } = defineProps<{ rows: RunRow[] }>()
const emit = defineEmits<{ begin: [row: RunRow] }>()
const { move, skip, takeUp } = useRunOrder()

const chosen = ref<string | null>(null)
const skipping = ref<string | null>(null)
const body = useTemplateRef<HTMLElement>('body')
useDraggedRows(body, () => rows.map(({ key }) => key), moveRow)

function moveRow(from: number, to: number): void {
  const key = rows[from]?.key
  if (key && move(rows, from, to)) chosen.value = key
}

const MOVES: Record<string, number> = { ArrowUp: -1, ArrowDown: 1 }

function moveByKey(event: KeyboardEvent, index: number): void {
  const by = MOVES[event.key] ?? 0
  if (!event.altKey || by === 0) return
  event.preventDefault()
  const handle = `[data-key="${CSS.escape(rows[index]!.key)}"] .handle`
  moveRow(index, index + by)
  void nextTick(() => body.value?.querySelector<HTMLElement>(handle)?.focus())
}

const other = (key: string, now: string | null) => (now === key ? null : key)

function leaveOut(row: RunRow, reason: string): void {
  skip(row, reason)
  skipping.value = null
}
</script>

<template>
  <table class="plain">
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
      <template v-for="(row, index) in rows" :key="row.key">
        <tr v-if="row.goingOver" class="over" data-testid="going-over">
          <td />
          <td colspan="10"><GoingOverLine :going="row.goingOver" /></td>
        </tr>
        <RunTableRow
          :row="row"
          :is-first="index === 0"
          :is-chosen="chosen === row.key"
          @move-key="moveByKey($event, index)"
          @choose="chosen = other(row.key, chosen)"
          @begin="emit('begin', row)"
          @take-up="takeUp(row)"
          @leave-out="skipping = other(row.key, skipping)"
        />
        <tr v-if="skipping === row.key || chosen === row.key" class="more">
          <td />
          <td colspan="10">
            <RunRowMore :row="row" :asks-why="skipping === row.key" @skip="leaveOut(row, $event)" />
          </td>
        </tr>
      </template>
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
.over td {
  padding: 6px;
  border-top: 2px solid var(--ink-2);
  background: rgb(var(--v-theme-close-wash));
}
.more td {
  padding: 3px 6px 12px;
}
</style>
