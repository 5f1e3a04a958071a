<script setup lang="ts">
import { printHz } from '#core/quantity'
import type { KeptFigure, Step } from '#core/step'

/** The figures a recording holds for a step. */
const { figures, step } = defineProps<{ figures: KeptFigure[]; step: Step }>()
const lines = computed(() =>
  figures.map(figure => ({
    id: figure.slotId,
    label: step.slots.find(({ id }) => id === figure.slotId)?.label,
    text: `${figure.seen.isUpperBound ? 'at most ' : ''}${figure.text}`,
    doubt: doubtOf(figure),
  })),
)

/** What the working out alone leaves open, 95 %; the instrument’s own doubt comes on top once it is kept. */
function doubtOf({ seen: { unit, standardUncertainty } }: KeptFigure): string {
  if (standardUncertainty === 0) return ''
  return unit === 'Hz'
    ? `±${printHz(2 * standardUncertainty, 2)}`
    : `±${(2 * standardUncertainty).toPrecision(1)}\u00a0${unit}`
}
</script>

<template>
  <table v-if="lines.length" class="plain small">
    <tbody>
      <tr v-for="line in lines" :key="line.id">
        <td>{{ line.label }}</td>
        <td class="right figure">
          {{ line.text }}
          <span v-if="line.doubt" class="quiet">{{ line.doubt }}</span>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-else class="doubt">Nothing for this station was found in it.</p>
</template>
