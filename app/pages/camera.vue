<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { cameraChannel, type CameraMessage } from '~/camera/cameraChannel'
import type { CameraFigure } from '~/camera/cameraFigure'

/** A window for a camera: only the figure in hand, huge, following the station live. */
const ui = useUiStore()
const figure = shallowRef<CameraFigure | null>(null)
const isGone = ref(false)

/** Backgrounds: the two themes, and plain colours that are keyed out. */
const BACKS = ['theme', 'green', 'blue', 'magenta'] as const
const COLOURS = { green: '#00b140', blue: '#0047bb', magenta: '#ff00ff' } as const
const back = useStorage<(typeof BACKS)[number]>('rigorous-meter:camera-back', 'theme')
const shown = useStorage('rigorous-meter:camera-parts', {
  radio: true,
  what: true,
  range: true,
  strip: true,
  word: true,
})
const helps = ref(true)

type Part = keyof typeof shown.value
const PARTS: readonly { key: string; part: Part; title: string }[] = [
  { key: '1', part: 'radio', title: 'radio' },
  { key: '2', part: 'what', title: 'what it is' },
  { key: '3', part: 'range', title: 'range' },
  { key: '4', part: 'strip', title: 'strip' },
  { key: '5', part: 'word', title: 'word' },
]

function toggle(part: Part): void {
  shown.value = { ...shown.value, [part]: !shown.value[part] }
}

function nextBack(): void {
  back.value = BACKS[(BACKS.indexOf(back.value) + 1) % BACKS.length]!
}

useKeys({
  ...Object.fromEntries(PARTS.map(({ key, part }) => [key, () => toggle(part)])),
  b: nextBack,
  t: () => ui.toggleTheme(),
  h: () => (helps.value = !helps.value),
})

let channel: BroadcastChannel | null = null
onMounted(() => {
  document.title = 'Camera · Rigorous Meter'
  channel = cameraChannel()
  channel.addEventListener('message', ({ data }: MessageEvent<CameraMessage>) => {
    if (data.is === 'figure') {
      figure.value = data.figure
      isGone.value = false
    }
    if (data.is === 'gone') isGone.value = true
  })
  channel.postMessage({ is: 'hello' } satisfies CameraMessage)
})
onBeforeUnmount(() => channel?.close())

const colour = computed(() => (back.value === 'theme' ? undefined : COLOURS[back.value]))
/** Long figures are set smaller, so that they stay in the picture. */
const size = computed(() => Math.min(19, 150 / Math.max(6, figure.value?.value.length ?? 6)))
const hasStrip = computed(() => figure.value !== null && figure.value.verdict.margin !== null)
</script>

<template>
  <main class="camera" :class="{ keyed: colour }" :style="{ background: colour }" data-testid="camera">
    <template v-if="figure">
      <p v-if="shown.radio" class="radio">{{ figure.radio }}</p>
      <p v-if="shown.what" class="what">{{ figure.what }}</p>
      <p class="value figure" :style="{ fontSize: `min(${size}vw, 28vh)` }">{{ figure.value }}</p>
      <p v-if="shown.range && figure.range" class="range figure">{{ figure.range }}</p>
      <div v-if="shown.strip && hasStrip" class="margin"><MarginStrip :verdict="figure.verdict" /></div>
      <p v-if="shown.word" class="word">
        <VerdictWord :state="figure.verdict.state" :words="figure.words" />
      </p>
    </template>
    <p v-else class="what">Open a station in the other window: the figure in hand stands here.</p>
    <p v-if="helps" class="keys small">
      <template v-if="isGone">The station was left; this is its last figure. </template>
      <template v-for="one in PARTS" :key="one.key"
        ><kbd>{{ one.key }}</kbd> {{ one.title }}
      </template>
      <kbd>B</kbd> background <kbd>T</kbd> day or night <kbd>H</kbd> these keys
    </p>
  </main>
</template>

<style scoped>
.camera {
  min-height: 100vh;
  /* Below is room for the keys. */
  padding: 3vw 4vw 5vw;
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 1.2vw;
  background: var(--paper);
  overflow: hidden;
}
.keyed > * {
  background: var(--sheet);
  align-self: flex-start;
  padding: 0 1.5vw;
  border-radius: 0.6vw;
}
.radio {
  font-size: 5vw;
  font-weight: 700;
  line-height: 1.1;
}
.what {
  font-size: 2.6vw;
  line-height: 1.2;
}
.value {
  font-weight: 700;
  line-height: 1;
  white-space: nowrap;
}
.range {
  font-size: 4.4vw;
}
.margin {
  width: 78vw;
}
.margin :deep(.strip) {
  zoom: 3;
}
.word :deep(.verdict) {
  font-size: 5vw;
}
.word :deep(svg) {
  width: 4vw;
  height: 4vw;
}
.keys {
  position: fixed;
  left: 4vw;
  bottom: 1.5vw;
}
</style>
