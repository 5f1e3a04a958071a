<script setup lang="ts">
import { stationById, wiringDrawing } from '#core/station'

/** Why and how of a station: what it is, how it goes wrong, how it is wired and done, the cautions. */
const { stationId, cautions = [] } = defineProps<{ stationId: string; cautions?: readonly string[] }>()
const inks = useInks()
const isOpen = ref(false)
const station = computed(() => stationById(stationId))
const drawing = computed(() => wiringDrawing(station.value, inks.value))

function open(): void {
  isOpen.value = true
}
useKeys({ w: open })
</script>

<template>
  <template v-if="station.help">
    <VBtn variant="text" size="small" @click="open">Why and how</VBtn>
    <VDialog v-model="isOpen" max-width="720">
      <VCard class="dialog" data-testid="why-and-how">
        <h2>{{ station.title }}</h2>
        <p>{{ station.help.what }}</p>
        <div class="wiring"><SvgDrawing :drawing="drawing" /></div>
        <div class="halves">
          <section>
            <h3>How it is done</h3>
            <ol>
              <li v-for="line in station.help.how" :key="line">{{ line }}</li>
            </ol>
          </section>
          <section>
            <h3>How it goes wrong</h3>
            <ul>
              <li v-for="line in station.help.wrong" :key="line">{{ line }}</li>
            </ul>
          </section>
        </div>
        <section v-if="cautions.length">
          <h3>Cautions</h3>
          <ul>
            <li v-for="line in cautions" :key="line">{{ line }}</li>
          </ul>
        </section>
        <div class="row end"><VBtn color="primary" @click="isOpen = false">Close</VBtn></div>
      </VCard>
    </VDialog>
  </template>
</template>

<style scoped>
.wiring :deep(svg) {
  display: block;
  width: 100%;
  max-width: 620px;
  height: auto;
}
.halves {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 14px 24px;
}
h3 {
  font-size: 15px;
  margin: 0 0 4px;
}
ol,
ul {
  margin: 0;
  padding-left: 20px;
}
</style>
