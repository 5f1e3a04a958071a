<script setup lang="ts">
import { mdiClose, mdiPlay, mdiStop } from '@mdi/js'
import { printNumber } from '#core/quantity'
import { CLIP_SOUNDS, type ClipHead, MOST_CLIPS } from '#core/review'
import { clipsOf } from '#core/station'
import type { StationPart } from '~/stations'
import { MOST_CLIP_S } from '#core/sound'
import ClipActions from './ClipActions.vue'

/** The clips of a radio: what each lets hear, how long and loud it is; played in place. */
const { run, result } = defineProps<StationPart>()
const actions = useTemplateRef<{ pick: () => void; take: (files: File[]) => void }>('actions')
const store = useReviewStore()
const { playing, play, stop } = useClipPlayer()

const clips = computed(() => (store.context ? clipsOf(result.step, store.context) : []))
const totalMB = computed(() => {
  const all = store.review?.clips.reduce((sum, { bytes }) => sum + bytes, 0) ?? 0
  return (all / 1e6).toFixed(1)
})
const SOUNDS_WORDS: Record<ClipHead['sounds'], string> = {
  heard: 'What it hears',
  sent: 'How it sounds on the air',
}
const sounds = CLIP_SOUNDS.map(value => ({ value, title: SOUNDS_WORDS[value] }))

function change(id: string, changed: Partial<Pick<ClipHead, 'words' | 'sounds'>>): void {
  store.change('what a clip lets hear', draft => {
    const clip = draft.clips.find(one => one.id === id)
    if (clip) Object.assign(clip, changed)
  })
}

function takeOff(id: string): void {
  if (playing.value === id) stop()
  store.change('a clip taken off', draft => {
    draft.clips = draft.clips.filter(clip => clip.id !== id)
  })
}

async function takeAway(clip: ClipHead): Promise<void> {
  const dataUrl = await store.clip(clip.id)
  if (dataUrl === null) return
  const bytes = Uint8Array.from(atob(dataUrl.slice(dataUrl.indexOf(',') + 1)), one => one.charCodeAt(0))
  const name = fileNameFrom([result.step.set.model, clip.words || clip.name].filter(Boolean).join(' '))
  downloadFile(`${name}.wav`, new Blob([bytes], { type: 'audio/wav' }))
}

const toggle = (clip: ClipHead): void => (playing.value === clip.id ? stop() : void play(clip))
defineExpose({
  pick: () => actions.value?.pick(),
  take: (files: File[]) => actions.value?.take(files),
})

const loudWords = ({ loudnessLufs }: ClipHead): string =>
  loudnessLufs === null ? 'too soft to say how loud' : `${printNumber(loudnessLufs)} LUFS`
const sizeWords = ({ seconds, bytes }: ClipHead): string =>
  `${seconds.toFixed(1)} s, ${(bytes / 1e6).toFixed(2)} MB`
</script>

<template>
  <section class="sheet clips" aria-label="Clips of this radio">
    <p v-if="clips.length === 0" class="quiet">
      No clip of this radio yet. Record the same words by the same voice for every radio, or bring in WAV
      files.
    </p>
    <ul v-else>
      <li v-for="clip in clips" :key="clip.id" class="clip">
        <VBtn
          :icon="playing === clip.id ? mdiStop : mdiPlay"
          size="small"
          variant="outlined"
          :aria-label="`${playing === clip.id ? 'Stop' : 'Play'} ${clip.words || clip.name}`"
          @click="toggle(clip)"
        />
        <CommitField
          :model-value="clip.words"
          label="What is said in it"
          class="what"
          :disabled="store.readOnly"
          @update:model-value="change(clip.id, { words: $event })"
        />
        <VSelect
          :model-value="clip.sounds"
          :items="sounds"
          label="Lets hear"
          class="kind"
          density="compact"
          variant="outlined"
          hide-details
          :disabled="store.readOnly"
          @update:model-value="change(clip.id, { sounds: $event })"
        />
        <div class="tail">
          <span class="small quiet facts"
            >{{ clip.name }}<br />{{ sizeWords(clip) }},
            <span class="value">{{ loudWords(clip) }}</span></span
          >
          <VBtn size="small" variant="text" @click="takeAway(clip)">Take away</VBtn>
          <VBtn
            :icon="mdiClose"
            size="small"
            variant="text"
            :aria-label="`Take off ${clip.words || clip.name}`"
            :disabled="store.readOnly"
            @click="takeOff(clip.id)"
          />
        </div>
      </li>
    </ul>
    <div class="row takes"><ClipActions ref="actions" :run="run" :result="result" /></div>
    <p class="small quiet">
      {{ totalMB }} MB of clips in the review’s file. A clip holds {{ MOST_CLIP_S }} s or 3 MB, a review
      {{ MOST_CLIPS }} clips; they are kept as WAV of 16 bit, all channels in one.
    </p>
  </section>
</template>

<style scoped>
.clips {
  padding: 10px 14px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.clip {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 6px 0;
}
.clip + .clip {
  border-top: 1px solid var(--line);
}
.what {
  flex: 1 1 200px;
}
.kind {
  flex: 0 1 220px;
}
.tail {
  display: flex;
  flex: 1 1 100%;
  gap: 8px;
  align-items: center;
}
.facts {
  flex: 1 1 auto;
  overflow-wrap: anywhere;
}
.takes {
  margin: 6px 0 10px;
}
</style>
