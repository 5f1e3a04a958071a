<script setup lang="ts">
import { TWO_TONE_EQUIPMENT } from '#core/station'
import type { StationPart } from '~/stations'

/** What must stand on the bench, ticked off before the first reading. */
const { result } = defineProps<StationPart>()
const store = useReviewStore()
const { ticked, tick } = useTicks(() => result.step, 'a line of the equipment list')

const done = computed(() => TWO_TONE_EQUIPMENT.filter(({ id }) => ticked.value.includes(id)).length)
const open = computed(() => done.value < TWO_TONE_EQUIPMENT.length && undefined)
</script>

<template>
  <details class="sheet equipment" :open="open">
    <summary>On the bench: {{ done }} of {{ TWO_TONE_EQUIPMENT.length }} ticked</summary>
    <ul>
      <li v-for="item in TWO_TONE_EQUIPMENT" :key="item.id">
        <VCheckbox
          :model-value="ticked.includes(item.id)"
          :label="item.words"
          :disabled="store.readOnly"
          @update:model-value="tick(item.id, $event)"
        />
      </li>
    </ul>
  </details>
</template>

<style scoped>
.equipment {
  padding: 10px 16px;
}
.equipment summary {
  cursor: pointer;
  font-weight: 600;
}
.equipment ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
</style>
