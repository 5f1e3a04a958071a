<script setup lang="ts">
import { mdiPlay, mdiStop } from '@mdi/js'
import { type ClipHead, setShortName } from '#core/review'
import { type BlindChoice, clipsOf } from '#core/station'
import type { StationPart } from '~/stations'
import { type BlindPair, useBlindRound } from './useBlindRound'

/** Blind listening: two clips, first and second in an order nobody knows, at one loudness; then a choice. */
const { result } = defineProps<StationPart>()
const store = useReviewStore()
const { playing, play, stop } = useClipPlayer()

const own = computed(() => (store.context ? clipsOf(result.step, store.context) : []))
/** The control radio’s first: that is what a radio is set against. */
const others = computed(() => {
  const clips = store.review?.clips.filter(({ setId }) => setId !== result.step.set.id) ?? []
  const control = store.review?.sets.find(({ role }) => role === 'control')?.id
  return [...clips].sort((a, b) => Number(b.setId === control) - Number(a.setId === control))
})
const ownId = ref<string | null>(null)
const otherId = ref<string | null>(null)
const listener = ref(store.review?.reviewer ?? '')

const titleOf = (clip: ClipHead): string => {
  const set = store.review?.sets.find(({ id }) => id === clip.setId)
  return `${set ? setShortName(set) : 'a radio'}: ${clip.words || clip.name}`
}
const items = (clips: readonly ClipHead[]) => clips.map(clip => ({ value: clip.id, title: titleOf(clip) }))
const chosen = (clips: readonly ClipHead[], id: string | null): ClipHead | null =>
  clips.find(clip => clip.id === id) ?? clips[0] ?? null
/** The other radio’s clip of the same words and kind, where there is one. */
const likeOwn = computed(() => {
  const clip = chosen(own.value, ownId.value)
  return others.value.find(one => one.words === clip?.words && one.sounds === clip?.sounds) ?? null
})
const pair = computed<BlindPair | null>(() => {
  const mine = chosen(own.value, ownId.value)
  const theirs = otherId.value ? chosen(others.value, otherId.value) : (likeOwn.value ?? others.value[0])
  return mine && theirs ? { own: mine, other: theirs } : null
})
const { round, begin, choose, last, gainsDb, doubts } = useBlindRound(pair)

function hear(which: 'first' | 'second'): void {
  const now = round.value
  if (!now) return
  const isOwn = (now.first === 'this') === (which === 'first')
  const clip = isOwn ? now.own : now.other
  if (playing.value === clip.id) return stop()
  now.heard.add(which)
  void play(clip, isOwn ? gainsDb.value.own : gainsDb.value.other)
}

function decide(choice: 'first' | 'second' | 'same'): void {
  stop()
  choose(choice, listener.value.trim())
}

function isHeard(which: 'first' | 'second'): boolean {
  const now = round.value
  if (!now || playing.value === null) return false
  const isOwn = (now.first === 'this') === (which === 'first')
  return playing.value === (isOwn ? now.own.id : now.other.id)
}

const WHICH = [
  { which: 'first', title: 'first' },
  { which: 'second', title: 'second' },
] as const
const REVEALED: Record<BlindChoice, string> = {
  this: 'this radio',
  other: 'the other radio',
  same: 'no difference',
}
const lastWords = computed(() => (last.value ? `Written down: ${REVEALED[last.value]}.` : ''))
const mayChoose = computed(() => round.value !== null && round.value.heard.size === 2 && !store.readOnly)
</script>

<template>
  <section v-if="others.length > 0 && own.length > 0" class="sheet blind" aria-label="Blind listening">
    <h3>Blind listening</h3>
    <div class="row picks">
      <VSelect
        :model-value="pair?.own.id"
        :items="items(own)"
        label="This radio"
        density="compact"
        variant="outlined"
        hide-details
        :disabled="round !== null"
        @update:model-value="ownId = $event"
      />
      <VSelect
        :model-value="pair?.other.id"
        :items="items(others)"
        label="Against"
        density="compact"
        variant="outlined"
        hide-details
        :disabled="round !== null"
        @update:model-value="otherId = $event"
      />
      <VTextField
        v-model="listener"
        label="Who listens"
        maxlength="60"
        density="compact"
        variant="outlined"
        hide-details
      />
    </div>
    <ul v-if="doubts.length" class="small doubts">
      <li v-for="doubt in doubts" :key="doubt">{{ doubt }}</li>
    </ul>
    <div class="row">
      <VBtn v-if="!round" color="primary" :disabled="!pair || store.readOnly" @click="begin"
        >Begin a round</VBtn
      >
      <template v-else>
        <VBtn
          v-for="{ which, title } in WHICH"
          :key="which"
          variant="outlined"
          :prepend-icon="isHeard(which) ? mdiStop : mdiPlay"
          @click="hear(which)"
          >Hear the {{ title }}</VBtn
        >
        <VBtn color="primary" :disabled="!mayChoose" @click="decide('first')">The first is better</VBtn>
        <VBtn color="primary" :disabled="!mayChoose" @click="decide('second')">The second is better</VBtn>
        <VBtn variant="outlined" :disabled="!mayChoose" @click="decide('same')">No difference</VBtn>
      </template>
      <span class="small" role="status" data-testid="blind-last">{{ lastWords }}</span>
    </div>
    <p class="small quiet">
      Which of them is called first is drawn anew for each round, and both are played at the loudness of the
      softer one (ITU-R BS.1770). Choose once both were heard.
    </p>
  </section>
</template>

<style scoped>
.blind {
  padding: 10px 14px;
  display: grid;
  gap: 8px;
}
.picks > * {
  flex: 1 1 200px;
}
.doubts {
  margin: 0;
  padding-left: 18px;
}
</style>
