<script setup lang="ts">
import { printMhzFigure, printRange, printSigned } from '#core/quantity'
import type { Reading } from '#core/review'
import { isFirstLine } from '#core/station'
import { isRead, type Kept, type Slot, type SlotResult } from '#core/step'

/** Harmonics and spurs of a step, each with its field, limit, margin and verdict. */
const { slots, kept, reachable, disabled } = defineProps<{
  slots: SlotResult[]
  /** Kept readings by slot, without the one being typed. */
  kept: (slotId: string) => Reading | null
  reachable: (slot: Slot) => boolean
  disabled: boolean
}>()
const focusSlotId = defineModel<string | null>('focusSlotId', { default: null })
const emit = defineEmits<{
  draft: [value: Kept | null]
  keep: [value: Kept]
  goOn: [slotId: string]
  goBack: [slotId: string]
}>()

const rows = computed(() =>
  slots.map(result => {
    const { slot, found, verdict, words, yardstick } = result
    const limit = yardstick?.limit ?? result.limit
    const mhz = printMhzFigure(slot.frequencyHz)
    return {
      slot,
      mhz,
      label: `Reading at ${slot.label}, ${mhz} MHz`,
      hasField: isRead(result) || reachable(slot),
      level: found ? `${found.isUpperBound ? '<' : ''}${printSigned(found.value)}` : '–',
      range: found ? printRange(found.budget, '') : '',
      limit: limit?.kind === 'limit' ? printSigned(limit.limitDbm) : '–',
      carrierWords: isFirstLine(slot) ? carrierWordsOf(result) : null,
      stripVerdict: (yardstick ?? result).verdict,
      verdict,
      words,
      why: verdict.why ?? undefined,
      yardstick,
    }
  }),
)

function carrierWordsOf(result: SlotResult): string {
  return isRead(result) ? result.words : 'the carrier itself'
}
</script>

<template>
  <div class="scroll">
    <table class="plain harmonics">
      <thead>
        <tr>
          <th scope="col"><abbr title="multiple of the carrier">×</abbr></th>
          <th scope="col" class="right">MHz</th>
          <th scope="col" class="right entry">Analyser, dBm</th>
          <th scope="col" class="right">At radio, dBm</th>
          <th scope="col" class="right">Limit</th>
          <th scope="col" class="strip-cell">Margin to limit</th>
          <th scope="col">Verdict</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.slot.id"
          :class="{ here: row.slot.id === focusSlotId }"
          @click="focusSlotId = row.slot.id"
        >
          <th scope="row" :aria-label="row.slot.label">
            {{ row.slot.kind.is === 'spur' ? 'spur' : row.slot.label }}
          </th>
          <td class="right figure">{{ row.mhz }}</td>
          <td class="right entry" :data-slot="row.slot.id">
            <SlotField
              v-if="row.hasField"
              :target="row.slot"
              :reading="kept(row.slot.id)"
              bare-unit="dBm"
              :label="row.label"
              :disabled="disabled"
              @draft="emit('draft', $event)"
              @keep="emit('keep', $event)"
              @go-on="emit('goOn', row.slot.id)"
              @go-back="emit('goBack', row.slot.id)"
              @focused="focusSlotId = row.slot.id"
            />
            <span v-else class="small quiet">out of reach</span>
          </td>
          <td class="right figure">
            {{ row.level }} <span v-if="row.range" class="small quiet">{{ row.range }}</span>
          </td>
          <td class="right figure">{{ row.limit }}</td>
          <td v-if="row.carrierWords !== null" colspan="2" class="quiet">{{ row.carrierWords }}</td>
          <template v-else>
            <td class="strip-cell"><MarginStrip :verdict="row.stripVerdict" /></td>
            <td class="word">
              <VerdictWord :state="row.verdict.state" :words="row.words" :title="row.why" />
              <span v-if="row.yardstick" class="small own"
                >yardstick: <VerdictWord :state="row.yardstick.verdict.state" :words="row.yardstick.words"
              /></span>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.harmonics tbody th {
  font-weight: 600;
  color: var(--ink);
  font-size: 15px;
  border-bottom: 1px solid var(--line);
  padding: 4px 8px;
}
.harmonics td {
  padding: 4px 7px;
  height: 43px;
  white-space: nowrap;
}
.harmonics td.word {
  white-space: normal;
  min-width: 142px;
}
.entry {
  width: 116px;
}
.entry :deep(input) {
  min-width: 100px;
}
.own {
  display: block;
  color: var(--ink-2);
}
abbr {
  text-decoration: none;
}
</style>
