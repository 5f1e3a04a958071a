<script setup lang="ts">
import { mdiClose, mdiPlus } from '@mdi/js'
import { parseFrequency, printMhzFigure } from '#core/quantity'
import type { Band, Channel } from '#core/review'

/** The channels of a band that are measured, and a line to add one. */
const { band, disabled = false } = defineProps<{ band: Band; disabled?: boolean }>()
const emit = defineEmits<{
  add: [channel: { name: string; frequencyHz: number }]
  remove: [channel: Channel]
  harmonics: [channelId: string, wanted: boolean]
}>()

const frequency = ref('')
const name = ref('')
const problem = ref('')
watch(frequency, () => {
  problem.value = ''
})

function add(): void {
  const read = parseFrequency(frequency.value)
  if (!read.ok) {
    problem.value = read.message
    return
  }
  emit('add', { name: name.value.trim(), frequencyHz: read.frequencyHz })
  frequency.value = ''
  name.value = ''
}
</script>

<template>
  <ul>
    <li v-for="channel in band.channels" :key="channel.id">
      <span class="figure">{{ printMhzFigure(channel.frequencyHz) }}</span>
      <span class="quiet name">{{ channel.name }}</span>
      <VCheckbox
        :model-value="channel.harmonics"
        label="harmonics"
        :disabled="disabled"
        :aria-label="`Measure harmonics on ${printMhzFigure(channel.frequencyHz)}`"
        @update:model-value="emit('harmonics', channel.id, $event === true)"
      />
      <VBtn
        icon
        size="small"
        variant="text"
        :aria-label="`Remove channel ${printMhzFigure(channel.frequencyHz)}`"
        :disabled="disabled"
        @click="emit('remove', channel)"
        ><VIcon :icon="mdiClose" size="16"
      /></VBtn>
    </li>
  </ul>
  <form class="row add" @submit.prevent="add">
    <VTextField
      v-model="frequency"
      :label="`Frequency, ${band.name}`"
      suffix="MHz"
      :error-messages="problem"
      :disabled="disabled"
      class="frequency"
    />
    <VTextField v-model="name" label="Name" :disabled="disabled" class="channel-name" :maxlength="60" />
    <VBtn
      type="submit"
      variant="outlined"
      icon
      size="small"
      :aria-label="`Add this channel to ${band.name}`"
      :disabled="disabled || !frequency"
      ><VIcon :icon="mdiPlus" size="18"
    /></VBtn>
  </form>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
}
li {
  display: flex;
  align-items: center;
  gap: 10px;
}
.name {
  flex: 1;
  min-width: 50px;
}
li :deep(.v-checkbox) {
  flex: none;
}
li :deep(.v-label) {
  font-size: 13px;
}
.add {
  flex-wrap: nowrap;
  align-items: flex-start;
}
.frequency {
  max-width: 190px;
}
.channel-name {
  max-width: 130px;
}
</style>
