<script setup lang="ts">
import type { Plot } from '#core/plot'
import { stationPlots, wantedStations } from '#core/station'

/** Every drawing of a model as pictures: one by one, or all in a zip. */
const store = useReviewStore()
const { model } = useModels()
const { progress, problem, run, stop } = useCancellableWork()
let isStopped = false

const plots = computed<Plot[]>(() => {
  const [context, one] = [store.context, model.value]
  return context && one
    ? wantedStations(context).flatMap(station => stationPlots(station, one.sets, context))
    : []
})
const note = usePictureNote()
const shown = shallowRef<Plot | null>(null)

async function takeAll(): Promise<void> {
  isStopped = false
  const { pictureZip } = await import('~/pictures/pictureSet')
  const made = await run(onProgress =>
    pictureZip(plots.value, note.value, { onProgress, isStopped: () => isStopped }),
  )
  if (made) downloadFile(`${fileNameFrom(model.value?.name ?? 'radio')}-pictures.zip`, made)
}

function cancel(): void {
  isStopped = true
  stop('The pictures were not made.')
}
onBeforeUnmount(() => (isStopped = true))
</script>

<template>
  <section class="sheet part stack">
    <div class="spread">
      <h2>Pictures</h2>
      <VBtn variant="outlined" :disabled="plots.length === 0 || progress !== null" @click="takeAll"
        >All as a zip</VBtn
      >
    </div>
    <p v-if="plots.length === 0" class="quiet">
      There is nothing to draw yet: pictures come with the first reading.
    </p>
    <p v-else class="small quiet">
      {{ plots.length }} drawings of {{ model?.name }}, each wide and square, by day and by night, as SVG and
      PNG, with units, conditions and who.
    </p>
    <WorkProgress v-if="progress !== null" :share="progress" label="Drawing the pictures" @cancel="cancel" />
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul class="names">
      <li v-for="plot in plots" :key="plot.id">
        <button type="button" class="link name" @click="shown = plot">{{ plot.title }}</button>
      </li>
    </ul>
    <PictureDialog v-model="shown" />
  </section>
</template>

<style scoped>
.part {
  padding: 14px 16px;
}
.names {
  margin: 0;
  padding: 0;
  list-style: none;
  columns: 2 300px;
}
.names li {
  break-inside: avoid;
  padding: 2px 0;
}
.name {
  text-align: left;
}
</style>
