<script setup lang="ts">
import type { SlotResult, Step } from '#core/step'
import { mdiCamera } from '@mdi/js'
import { format } from 'date-fns'
import { type Reading, stepHistory } from '#core/review'
import { scalePicture } from '~/pictures/scalePicture'

/** What is kept with a step besides its figures: the note, pictures, and everything that was read before. */
const { step, slots } = defineProps<{ step: Step; slots: SlotResult[] }>()
const store = useReviewStore()
const ui = useUiStore()
const noteBox = useTemplateRef<HTMLElement>('noteBox')
const picker = useTemplateRef<HTMLInputElement>('picker')

const own = (one: { setId: string; stepId: string }) => one.setId === step.set.id && one.stepId === step.id
const note = computed(() => store.review?.notes.filter(own).at(-1)?.text ?? '')
const pictures = computed(() => store.review?.pictures.filter(own) ?? [])
const downs = computed(() => store.review?.keyDowns.filter(own) ?? [])
const shown = ref(new Map<string, string>())
watch(
  pictures,
  async heads => {
    for (const { id } of heads) {
      if (shown.value.has(id)) continue
      const dataUrl = await store.picture(id)
      if (dataUrl) shown.value = new Map([...shown.value, [id, dataUrl]])
    }
  },
  { immediate: true },
)

const history = computed(() => {
  const { review } = store
  if (!review) return []
  return stepHistory(review, { setId: step.set.id, stepId: step.id })
    .toReversed()
    .map(({ reading, ...taken }) => ({
      one: reading,
      label: slots.find(({ slot }) => slot.id === reading.slot)?.slot.label ?? reading.slot,
      ...taken,
    }))
})
const retakes = computed(() => history.value.filter(({ stands }) => !stands).length)

function keepNote(text: string): void {
  store.change(
    'a note',
    draft =>
      void draft.notes.push({
        id: crypto.randomUUID(),
        setId: step.set.id,
        stepId: step.id,
        text,
        at: new Date().toISOString(),
        who: draft.reviewer,
      }),
  )
}

async function attach(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file || store.readOnly) return
  try {
    const picture = await scalePicture(file)
    const id = crypto.randomUUID()
    await store.keepPicture(id, picture.dataUrl)
    shown.value = new Map([...shown.value, [id, picture.dataUrl]])
    store.change(
      'a picture',
      draft =>
        void draft.pictures.push({
          id,
          setId: step.set.id,
          stepId: step.id,
          name: file.name,
          width: picture.width,
          height: picture.height,
          bytes: picture.bytes,
          at: new Date().toISOString(),
        }),
    )
  } catch (error) {
    ui.sayProblem(error)
  }
}

function detach(id: string): void {
  store.change('a picture taken off', draft => {
    draft.pictures = draft.pictures.filter(other => other.id !== id)
  })
}

function sourceWords({ source }: Reading): string {
  switch (source.kind) {
    case 'file':
    case 'recording':
      return source.fileName
    case 'link':
      return source.answer ? `${source.instrument}, answered ${source.answer}` : source.instrument
    case 'demo':
      return 'demo'
    default:
      return 'typed'
  }
}

function chainWords({ through }: Reading): string {
  return Object.values(through)
    .map(({ chainId, chainRevision }) => {
      const name = store.context?.chain(chainId)?.name ?? 'a chain no longer here'
      return `${name}, version ${chainRevision}`
    })
    .join('; ')
}
const total = computed(() => pictures.value.reduce((sum, { bytes }) => sum + bytes, 0))

defineExpose({ focusNote: () => noteBox.value?.querySelector('textarea')?.focus() })
</script>

<template>
  <section class="record" aria-label="Note, pictures and history of this step">
    <div ref="noteBox" class="note">
      <CommitField
        :model-value="note"
        label="Note to this step"
        multiline
        :disabled="store.readOnly"
        @update:model-value="keepNote"
      />
    </div>
    <div class="pictures">
      <figure v-for="head in pictures" :key="head.id">
        <img
          v-if="shown.get(head.id)"
          :src="shown.get(head.id)"
          :alt="head.name"
          :width="head.width"
          :height="head.height"
        />
        <figcaption class="small quiet">
          {{ head.name }}, {{ Math.max(1, Math.round(head.bytes / 1000)) }} kB
          <button
            type="button"
            class="off"
            :disabled="store.readOnly"
            :aria-label="`Take off ${head.name}`"
            @click="detach(head.id)"
          >
            take off
          </button>
        </figcaption>
      </figure>
      <VBtn
        size="small"
        variant="outlined"
        :prepend-icon="mdiCamera"
        :disabled="store.readOnly"
        @click="picker?.click()"
        >Attach a picture</VBtn
      >
      <input
        ref="picker"
        type="file"
        accept="image/*"
        class="only-read"
        tabindex="-1"
        aria-label="Picture"
        data-testid="picture-file"
        @change="attach"
      />
      <span v-if="total > 0" class="small quiet"
        >{{ (total / 1e6).toFixed(2) }} MB of pictures in the review’s file</span
      >
    </div>
    <details v-if="history.length" class="history">
      <summary class="small">
        History: {{ history.length }} taken{{ retakes ? `, ${retakes} superseded` : ''
        }}{{ downs.length ? `; keyed ${downs.length} ${downs.length === 1 ? 'time' : 'times'}` : '' }}
      </summary>
      <div class="scroll">
        <table class="plain small">
          <thead>
            <tr>
              <th>When</th>
              <th>What</th>
              <th class="right">As read</th>
              <th>Supply</th>
              <th class="right">°C</th>
              <th>Who</th>
              <th>Chain</th>
              <th>Source</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ one, label, stands, clockWentBack } in history"
              :key="one.id"
              :class="{ superseded: !stands }"
            >
              <td class="figure">
                {{ format(new Date(one.at), 'd MMM HH:mm:ss') }}
                <span v-if="clockWentBack" class="odd">the clock was set back</span>
              </td>
              <td>{{ label }}</td>
              <td class="right figure">{{ one.text }}</td>
              <td>{{ one.supply || '–' }}</td>
              <td class="right figure">{{ one.ambientC ?? '–' }}</td>
              <td>{{ one.who || '–' }}</td>
              <td>{{ chainWords(one) }}</td>
              <td>{{ sourceWords(one) }}{{ stands ? '' : ' · superseded' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
  </section>
</template>

<style scoped>
.record {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.odd {
  color: rgb(var(--v-theme-close));
}
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: flex-end;
}
figure {
  margin: 0;
}
img {
  display: block;
  width: auto;
  height: 96px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.off {
  color: var(--spruce);
  text-decoration: underline;
}
.history summary {
  cursor: pointer;
  color: var(--ink-2);
}
.scroll {
  overflow-x: auto;
  max-height: 260px;
  overflow-y: auto;
}
.plain td {
  padding: 3px 8px;
  white-space: nowrap;
}
.superseded td {
  color: var(--ink-3);
}
.superseded td:nth-child(3) {
  text-decoration: line-through;
}
</style>
