<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'

/**
 * A part of a long page: it is put together when the window comes near, and leaves a gap of its height when the
 * window has gone. On paper every part stands.
 */
const { estimatePx, whole } = defineProps<{
  /** Height before it was ever drawn. */
  estimatePx: number
  /** Nothing is ever left out: the page is short. */
  whole: boolean
}>()
const reveal = useReveal()
const host = useTemplateRef<HTMLElement>('host')
const isNear = ref(false)
const heightPx = ref(0)
/** So far from the window it is drawn, and so far away it goes. */
const MARGIN = '1200px 0px'

let isWanted = false

/** What comes near at once is drawn one after the other; what has gone, goes at once. */
async function show(isIntersecting: boolean): Promise<void> {
  isWanted = isIntersecting
  if (isIntersecting) await oneATurn()
  isNear.value = isWanted
}

useIntersectionObserver(
  () => (whole ? null : host.value),
  ([entry]) => {
    if (!entry) return
    // Out of sight for the paper's sake it has no height, and keeps the one it had.
    if (!entry.isIntersecting && host.value?.offsetHeight) heightPx.value = host.value.offsetHeight
    void show(entry.isIntersecting)
  },
  { rootMargin: MARGIN },
)
const { isRevealed } = reveal.joinedBy()
const isShown = computed(() => whole || isNear.value || isRevealed.value)
const gap = computed(() => (isShown.value ? undefined : { height: `${heightPx.value || estimatePx}px` }))
</script>

<template>
  <div ref="host" :style="gap"><slot v-if="isShown" /></div>
</template>
