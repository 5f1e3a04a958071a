<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { CLIPS_WITHIN_DB, PICTURE_HEIGHT_PX, type ToneLook } from './tonePicture'
import { useHighestOfLast } from './useHighestOfLast'

/**
 * Tone, distortion and noise as one bar, the last seconds, and the level against clipping. The worker that
 * listens draws; the words here change seldom, and only then the page has anything to do.
 */
const { listening } = defineProps<{ listening: ReturnType<typeof useListening> }>()
const { heard } = listening

const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { width } = useElementSize(canvas)
const palette = useChartPalette()
const look = computed<ToneLook>(() => {
  const { spruce: tone, close: distortion, ink3: noise, track, outside: near } = palette.value
  return {
    widthPx: width.value || canvas.value?.clientWidth || 300,
    pixelRatio: window.devicePixelRatio || 1,
    colours: { tone, distortion, noise, track, near },
  }
})
onMounted(() => canvas.value && listening.drawOn(canvas.value, look.value))
watch(look, value => listening.drawAs(value))

const toneHz = computed(() => heard.value?.toneHz?.toFixed(0) ?? null)
const toneWords = computed(() => (toneHz.value === null ? 'no tone yet' : `tone, ${toneHz.value} Hz`))
/** The highest of the last two seconds: a warning that goes out between two words is missed. */
const { highest: peakDb } = useHighestOfLast(() => heard.value, { reports: 10 })
const isNear = computed(() => peakDb.value !== null && peakDb.value > -CLIPS_WITHIN_DB)
const levelWords = computed(() => {
  if (peakDb.value === null) return 'no level yet'
  const under = Math.max(0, -peakDb.value).toFixed(isNear.value ? 1 : 0)
  return `${under} dB under clipping${isNear.value ? ': turn it down' : ''}`
})
</script>

<template>
  <div class="bars">
    <canvas ref="canvas" role="img" aria-label="Tone, distortion and noise; the last seconds; the level" />
    <div class="words small quiet">
      <span
        ><i class="tone" /> {{ toneWords }} <i class="distortion" /> distortion
        <i class="noise" /> noise</span
      >
      <span data-testid="input-level" :class="{ near: isNear }">{{ levelWords }}</span>
    </div>
  </div>
</template>

<style scoped>
.bars {
  contain: content;
  display: grid;
  gap: 4px;
  min-width: 0;
}
canvas {
  width: 100%;
  height: v-bind('`${PICTURE_HEIGHT_PX}px`');
}
.words {
  /* As large when painted, whatever the words are. */
  background: var(--sheet);
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 10px;
}
i {
  display: inline-block;
  width: 10px;
  height: 10px;
}
.tone {
  background: var(--spruce);
}
.distortion {
  background: rgb(var(--v-theme-close));
}
.noise {
  background: var(--ink-3);
}
.near {
  color: var(--outside);
  font-weight: 700;
}
</style>
