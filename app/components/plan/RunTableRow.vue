<script setup lang="ts">
import { mdiDragVertical } from '@mdi/js'
import { expectedTimes, isDone, isForTheRecord, learnedTimesOf } from '#core/plan'
import { printDuration, printFrequencyShort, printMhzFigure } from '#core/quantity'
import { setShortName } from '#core/review'
import { stationById } from '#core/station'
import { chainIdOf, isRead, needsChain, placeWords, settingWords } from '#core/step'
import type { RunRow } from '~/composables/useRunRows'

/** One step of the run. */
const { row, isFirst, isChosen } = defineProps<{ row: RunRow; isFirst: boolean; isChosen: boolean }>()
const emit = defineEmits<{
  moveKey: [event: KeyboardEvent]
  choose: []
  begin: []
  takeUp: []
  leaveOut: []
}>()
const store = useReviewStore()

const radioName = computed(() => setShortName(row.step.set))
const chainWords = computed(() => {
  if (!needsChain(row.step)) return row.step.covers === 'channel' ? 'the air' : '–'
  return store.context?.chain(chainIdOf(row.step))?.name ?? 'no chain'
})
const frequencyWords = computed(() =>
  row.step.covers === 'channel' ? printMhzFigure(row.step.channel.frequencyHz) : '–',
)
const levelWords = computed(() => {
  const { level, spacingHz } = row.step.setting
  if (row.step.covers !== 'channel') return placeWords(row.step)
  if (row.step.work === 'hears') return settingWords(row.step)
  return spacingHz === null ? level.name : `${level.name}, ${printFrequencyShort(spacingHz)}`
})
/** What the step came to, and what of it is ahead. */
const now = computed(() => {
  const { step } = row
  const context = store.context!
  return {
    result: stationById(step.stationId).evaluate(step, context),
    isDone: isDone(step, context),
    skipped: context.skipReason(step),
    forTheRecord: isForTheRecord(step, context),
    ...expectedTimes(step, learnedTimesOf(context)),
  }
})
const anythingRead = computed(() => now.value.result.slots.some(isRead))
const edges = computed(() => ({
  done: now.value.isDone,
  chain: row.newChain && !isFirst,
  radio: row.newRadio && !isFirst,
}))
</script>

<template>
  <tr :data-key="row.key" class="step-row" :class="edges">
    <td>
      <button
        type="button"
        class="handle"
        :aria-label="`Move step ${row.place + 1}: Alt with arrow up or down`"
        :disabled="store.readOnly"
        @keydown="emit('moveKey', $event)"
      >
        <VIcon :icon="mdiDragVertical" size="18" />
      </button>
    </td>
    <td class="right figure">{{ row.place + 1 }}</td>
    <td class="wrap station">
      <button type="button" class="open" :aria-expanded="isChosen" @click="emit('choose')">
        {{ stationById(row.step.stationId).title }}
      </button>
    </td>
    <td class="wrap radio-name" :class="{ strong: row.newRadio }">
      <span class="short" :title="radioName">{{ radioName }}</span>
    </td>
    <td class="right figure">{{ frequencyWords }}</td>
    <td class="wrap">{{ levelWords }}</td>
    <td class="wrap" :class="{ strong: row.newChain }">
      <span class="short" :title="chainWords">{{ chainWords }}</span>
    </td>
    <td class="right figure">{{ printDuration(now.benchS) }}</td>
    <td class="right figure">{{ printDuration(now.keyDownS) }}</td>
    <td class="state">
      <span v-if="now.skipped !== null" class="quiet">left out: {{ now.skipped }}</span
      ><VerdictWord
        v-else-if="anythingRead"
        :state="now.result.verdict.state"
        :words="now.result.words"
      /><span v-else class="quiet">{{ now.forTheRecord ? 'open, for the record' : 'open' }}</span>
    </td>
    <td class="acts">
      <VBtn size="small" variant="text" @click="emit('begin')">Go</VBtn>
      <VBtn
        v-if="now.skipped !== null"
        size="small"
        variant="text"
        :disabled="store.readOnly"
        @click="emit('takeUp')"
        >Take up</VBtn
      >
      <VBtn
        v-else-if="!now.isDone"
        size="small"
        variant="text"
        :disabled="store.readOnly"
        @click="emit('leaveOut')"
        >Leave out</VBtn
      >
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: 3px 6px;
  white-space: nowrap;
}
td.wrap,
td.state {
  white-space: normal;
}
.wrap {
  max-width: 132px;
  line-height: 1.25;
}
/* Two lines of a long name; all of it in the title. */
.short {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  overflow: hidden;
  overflow-wrap: break-word;
  min-width: 76px;
}
.station,
.radio-name {
  min-width: 124px;
}
.state {
  min-width: 140px;
}
.chain td {
  border-top: 2px solid var(--ink-2);
}
.radio:not(.chain) td {
  border-top: 1px solid var(--ink-3);
}
.strong {
  font-weight: 700;
}
.done td {
  color: var(--ink-2);
}
.handle {
  cursor: grab;
  color: var(--ink-3);
  padding: 2px;
  line-height: 0;
}
.open {
  text-align: left;
  color: inherit;
  text-decoration: underline;
  text-decoration-color: var(--line-2);
  text-underline-offset: 3px;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
</style>
