<script setup lang="ts">
import { printHz } from '#core/quantity'
import type { TimeFrequencyPicture } from '#core/signal'

/**
 * Level over time and frequency as a picture: time runs to the right, frequency upwards, the louder the more
 * ink.
 */
const {
  picture,
  seconds,
  widthHz,
  floorDb,
  fromS = 0,
} = defineProps<{
  picture: TimeFrequencyPicture
  seconds: number
  widthHz: number
  floorDb: number
  /** Where in the recording it begins. */ fromS?: number
}>()
const clock = (atS: number) => `${atS === 0 ? 0 : atS.toFixed(atS < 10 ? 2 : 0)}\u00a0s`
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const palette = useChartPalette()

const rgb = (colour: string) =>
  [1, 3, 5].map(at => parseInt(colour.slice(at, at + 2), 16)) as [number, number, number]

function draw(): void {
  const element = canvas.value
  const context = element?.getContext('2d')
  if (!element || !context) return
  const { columns, rows, levelsDb } = picture
  element.width = columns
  element.height = rows
  const image = context.createImageData(columns, rows)
  const [from, to] = [rgb(palette.value.sheet), rgb(palette.value.spruce)]
  const ink = rgb(palette.value.ink)
  let top = floorDb + 20
  for (const level of levelsDb) if (level > top) top = level
  const low = floorDb + 3
  for (let column = 0; column < columns; column++)
    for (let row = 0; row < rows; row++) {
      const share = Math.min(1, Math.max(0, (levelsDb[column * rows + row]! - low) / (top - low)))
      const at = 4 * ((rows - 1 - row) * columns + column)
      for (let c = 0; c < 3; c++)
        image.data[at + c] =
          share < 0.7
            ? from[c]! + (to[c]! - from[c]!) * (share / 0.7)
            : to[c]! + (ink[c]! - to[c]!) * ((share - 0.7) / 0.3)
      image.data[at + 3] = 255
    }
  context.putImageData(image, 0, 0)
}
watch([() => picture, palette], () => void nextTick(draw), { immediate: true })
onMounted(draw)
</script>

<template>
  <figure class="picture">
    <canvas
      ref="canvas"
      role="img"
      :aria-label="`Level over ${seconds.toFixed(1)} seconds and ${printHz(widthHz, 3)}`"
    />
    <figcaption class="small quiet">
      <span>{{ clock(fromS) }}</span><span>{{ printHz(widthHz, 3) }} from below to above</span
      ><span>{{ clock(fromS + seconds) }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.picture {
  margin: 0;
}
canvas {
  display: block;
  width: 100%;
  height: 130px;
  image-rendering: pixelated;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--sheet);
}
figcaption {
  display: flex;
  justify-content: space-between;
}
</style>
