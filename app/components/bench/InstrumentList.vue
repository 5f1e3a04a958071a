<script setup lang="ts">
import type { Instrument } from '#core/chain'

/** The instruments of the bench, one of which may be open. */
defineProps<{ instruments: readonly Instrument[]; chosenId: string | null }>()
const emit = defineEmits<{ choose: [id: string] }>()
</script>

<template>
  <section class="sheet block" aria-labelledby="instruments">
    <h2 id="instruments">Instruments</h2>
    <div class="row">
      <VBtn
        v-for="item in instruments"
        :key="item.id"
        size="small"
        :variant="chosenId === item.id ? 'flat' : 'outlined'"
        :color="chosenId === item.id ? 'primary' : undefined"
        :aria-pressed="chosenId === item.id"
        @click="emit('choose', item.id)"
        >{{ item.name }}</VBtn
      >
    </div>
  </section>
</template>
