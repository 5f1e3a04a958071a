<script setup lang="ts">
import type { LevelRead } from '#core/quantity'
import { printMhzFigure, printRange, printSigned } from '#core/quantity'
import type { Reading } from '#core/review'
import { type SlotResult, stepReach, type StationContext, type Step } from '#core/station'

const { step, slots, context, kept, focusSlotId, disabled } = defineProps<{
  step: Step
  slots: SlotResult[]
  context: StationContext
  /** Kept readings by slot, without the one being typed. */
  kept: (slotId: string) => Reading | null
  focusSlotId: string | null
  disabled: boolean
}>()
const emit = defineEmits<{
  focusSlot: [slotId: string]
  draft: [slotId: string, value: { text: string; read: LevelRead } | null]
  keep: [slotId: string, value: { text: string; read: LevelRead }]
  goOn: [slotId: string]
  goBack: [slotId: string]
}>()

const rows = computed(() =>
  slots.map(result => ({
    result,
    against: result.yardstick ?? result,
    reach: stepReach(step, result.slot, context),
    limit: result.yardstick?.limit ?? result.limit,
  })),
)
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
          v-for="{ result, against, reach, limit } in rows"
          :key="result.slot.id"
          :class="{ here: result.slot.id === focusSlotId }"
          @click="emit('focusSlot', result.slot.id)"
        >
          <th scope="row">{{ result.slot.label }}</th>
          <td class="right figure">{{ printMhzFigure(result.slot.frequencyHz) }}</td>
          <td class="right entry" :data-slot="result.slot.id">
            <ReadingField
              v-if="reach.covered || result.reading"
              :reading="kept(result.slot.id)"
              bare-unit="dBm"
              :label="`Reading at ${result.slot.label}, ${printMhzFigure(result.slot.frequencyHz)} MHz`"
              :disabled="disabled"
              @draft="value => emit('draft', result.slot.id, value)"
              @keep="value => emit('keep', result.slot.id, value)"
              @go-on="emit('goOn', result.slot.id)"
              @go-back="emit('goBack', result.slot.id)"
              @focused="emit('focusSlot', result.slot.id)"
            />
            <span v-else class="small quiet">out of reach</span>
          </td>
          <td class="right figure">
            <template v-if="result.corrected"
              >{{ result.corrected.isUpperBound ? '<' : '' }}{{ printSigned(result.corrected.levelDbm) }}
              <span class="small quiet">{{ printRange(result.corrected.budget, '') }}</span></template
            ><template v-else>–</template>
          </td>
          <td class="right figure">{{ limit?.kind === 'limit' ? printSigned(limit.limitDbm) : '–' }}</td>
          <template v-if="result.slot.id === 'x1'"
            ><td colspan="2" class="quiet">
              {{ result.reading ? result.words : 'the carrier itself' }}
            </td></template
          >
          <template v-else>
            <td class="strip-cell"><MarginStrip :verdict="against.verdict" /></td>
            <td class="word">
              <VerdictWord
                :state="result.verdict.state"
                :words="result.words"
                :title="result.verdict.why ?? undefined"
              />
              <span v-if="result.yardstick" class="small own"
                >yardstick:
                <VerdictWord :state="result.yardstick.verdict.state" :words="result.yardstick.words"
              /></span>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
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
.strip-cell {
  min-width: 100px;
  width: 22%;
}
.here {
  background: rgba(var(--v-theme-inside-wash), 0.5);
}
.own {
  display: block;
  color: var(--ink-2);
}
abbr {
  text-decoration: none;
}
</style>
