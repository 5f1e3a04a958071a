<script setup lang="ts">
import { type Plot, PICTURE_SHAPES, pictureOf, type PictureShape } from '#core/plot'
import { INKS, type InkSet } from '#core/svg'

/** One drawing as a picture: shape and colours are chosen, and what is shown is what is taken. */
const plot = defineModel<Plot | null>({ required: true })
const ui = useUiStore()
const note = usePictureNote()
const shape = ref<PictureShape>('wide')
const inks = ref<InkSet>(ui.themeName)
const shapes = Object.entries(PICTURE_SHAPES).map(([value, { title }]) => ({ value, title }))
const INK_CHOICES = [
  { value: 'day', title: 'By day' },
  { value: 'night', title: 'By night' },
]
const drawing = computed(
  () => plot.value && pictureOf(plot.value, note.value, { shape: shape.value, inks: INKS[inks.value] }),
)
const { take: hand, isBusy } = useTakenDrawing(() => plot.value?.title ?? '')

async function take(kind: 'svg' | 'png'): Promise<void> {
  const shown = plot.value
  if (!shown) return
  const { pictureFile, pictureName } = await import('~/pictures/pictureSet')
  const make = { shape: shape.value, inks: inks.value, kind }
  await hand(pictureName(shown, make), () => pictureFile(shown, note.value, make))
}

function close(): void {
  plot.value = null
}
</script>

<template>
  <VDialog :model-value="plot !== null" max-width="900" @update:model-value="close">
    <VCard v-if="plot && drawing" class="dialog" data-testid="picture">
      <h2>{{ plot.title }}</h2>
      <div class="row">
        <VSelect v-model="shape" :items="shapes" label="Shape" class="one-of" />
        <VSelect v-model="inks" :items="INK_CHOICES" label="Colours" class="one-of" />
      </div>
      <div class="preview" :class="shape"><SvgDrawing :drawing="drawing" /></div>
      <div class="row end">
        <VBtn variant="text" @click="close">Close</VBtn>
        <VBtn variant="outlined" :disabled="isBusy" @click="take('svg')">SVG</VBtn>
        <VBtn color="primary" :disabled="isBusy" @click="take('png')">PNG</VBtn>
      </div>
    </VCard>
  </VDialog>
</template>

<style scoped>
.one-of {
  flex: 0 1 200px;
}
.preview :deep(svg) {
  display: block;
  width: 100%;
  height: auto;
  border: 1px solid var(--line);
}
.preview.square {
  max-width: 460px;
}
</style>
