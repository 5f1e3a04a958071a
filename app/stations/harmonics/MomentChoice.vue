<script setup lang="ts">
import { type Moment, MOMENT_TITLES, MOMENT_WORDS, MOMENTS } from '#core/station'

/** At which moment the harmonics are read, and what that is for. */
const moment = defineModel<Moment>({ required: true })
</script>

<template>
  <div class="row moments">
    <VBtnToggle
      v-model="moment"
      mandatory
      density="compact"
      variant="outlined"
      divided
      aria-label="Which moment"
    >
      <VBtn v-for="one in MOMENTS" :key="one" :value="one" size="small">{{ MOMENT_TITLES[one] }}</VBtn>
    </VBtnToggle>
    <span class="small quiet">{{ MOMENT_WORDS[moment] }}</span>
  </div>
</template>

<style scoped>
.moments {
  gap: 6px 14px;
}
</style>
