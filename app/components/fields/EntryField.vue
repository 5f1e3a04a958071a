<script setup lang="ts" generic="T">
import type { ParseRefusal } from '#core/quantity'

/** A field for something read: shows how it is understood before it is kept; Enter keeps it and goes on. */
const {
  stored,
  storedId,
  parse,
  label,
  placeholder = '',
  large = false,
  disabled = false,
} = defineProps<{
  /** Text as it is kept; empty where nothing is. */
  stored: string
  /** Changes when something else is kept. */
  storedId: string | null
  parse: (text: string) => { ok: true; read: T; preview: string } | ParseRefusal
  label: string
  placeholder?: string
  large?: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{
  draft: [value: { text: string; read: T } | null]
  keep: [value: { text: string; read: T }]
  goOn: []
  goBack: []
  focused: []
}>()

const text = ref(stored)
const focused = ref(false)
const refusal = ref<{ message: string; offers: string[] } | null>(null)
const input = useTemplateRef<HTMLInputElement>('input')
watch(
  () => storedId,
  () => {
    text.value = stored
    refusal.value = null
  },
)

const changed = computed(() => text.value.trim() !== stored)
const parsed = computed(() => (text.value.trim() === '' ? null : parse(text.value)))
const preview = computed(() => (parsed.value?.ok ? parsed.value.preview : ''))

function typed(): void {
  refusal.value = null
  keptText = null
  const answer = parsed.value
  emit('draft', changed.value && answer?.ok ? { text: text.value.trim(), read: answer.read } : null)
}

function enter(): void {
  if (!changed.value) {
    if (storedId !== null) emit('goOn')
    return
  }
  const answer = parsed.value
  if (!answer) {
    text.value = stored
    emit('draft', null)
    return
  }
  if (!answer.ok) {
    refusal.value = answer
    return
  }
  keep(answer.read)
}

let keptText: string | null = null
function keep(read: T): void {
  if (keptText === text.value.trim()) return
  keptText = text.value.trim()
  emit('keep', { text: keptText, read })
}

function entered(): void {
  focused.value = true
  emit('focused')
  input.value?.select()
}

function left(): void {
  focused.value = false
  const answer = parsed.value
  // What was typed and left is kept, so that a click elsewhere loses nothing.
  if (changed.value && answer?.ok) keep(answer.read)
}

function backspace(event: KeyboardEvent): void {
  if (text.value !== '') return
  event.preventDefault()
  emit('goBack')
}

function escape(): void {
  text.value = stored
  refusal.value = null
  emit('draft', null)
}

function take(offer: string): void {
  text.value = offer
  refusal.value = null
  enter()
}

defineExpose({ focus: () => input.value?.focus(), select: () => input.value?.select() })
</script>

<template>
  <div :class="['reading', { large }]">
    <input
      ref="input"
      v-model="text"
      type="text"
      inputmode="text"
      autocomplete="off"
      spellcheck="false"
      maxlength="300"
      :aria-label="label"
      :aria-invalid="refusal !== null"
      :disabled="disabled"
      :placeholder="placeholder"
      @input="typed"
      @keydown.enter.prevent="enter"
      @keydown.backspace="backspace"
      @keydown.esc="escape"
      @focus="entered"
      @blur="left"
    />
    <p v-if="refusal" class="refusal" role="alert">
      {{ refusal.message }}
      <button
        v-for="offer in refusal.offers"
        :key="offer"
        type="button"
        class="offer"
        @mousedown.prevent
        @click="take(offer)"
      >
        {{ offer }}
      </button>
    </p>
    <p v-else-if="large || (focused && changed)" class="preview figure" aria-live="polite">
      {{ parsed && !parsed.ok && changed ? '…' : preview || '\u00a0' }}
    </p>
  </div>
</template>

<style scoped>
.reading {
  position: relative;
}
input {
  width: 100%;
  height: 34px;
  padding: 0 10px;
  text-align: right;
  font-family: var(--figures);
  font-size: 17px;
  font-weight: 600;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line-2);
  border-radius: var(--radius);
}
input:focus {
  outline: 2px solid var(--spruce);
  outline-offset: 0;
  border-color: var(--spruce);
}
input::placeholder {
  color: var(--ink-3);
  font-weight: 400;
  font-size: 13px;
  opacity: 1;
}
input:disabled {
  opacity: 0.6;
}
.large input {
  height: 60px;
  font-size: 32px;
  text-align: left;
  padding: 0 16px;
  max-width: 340px;
}
.large input::placeholder {
  font-size: 18px;
}
.preview {
  font-size: 13px;
  color: var(--ink-2);
  white-space: nowrap;
}
.reading:not(.large) .preview,
.reading:not(.large) .refusal {
  position: absolute;
  z-index: 4;
  top: 36px;
  right: 0;
  background: var(--sheet);
  border: 1px solid var(--line-2);
  border-radius: 4px;
  padding: 3px 8px;
}
.reading:not(.large) .refusal {
  width: 260px;
  left: 0;
  right: auto;
}
.refusal {
  color: var(--outside);
  font-size: 13px;
}
.offer {
  text-decoration: underline;
  margin-right: 8px;
  color: var(--spruce);
  font-weight: 600;
}
</style>
