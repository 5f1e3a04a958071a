<script setup lang="ts">
import { type LevelRead, type LevelUnit, parseLevel, printDbm, printDbmAsWatts } from '#core/quantity'
import type { Reading } from '#core/review'

/** A field for one reading: shows how it is understood before it is kept; Enter keeps it and goes on. */
const { reading, bareUnit, label, large = false, disabled = false } = defineProps<{
  reading: Reading | null
  bareUnit: LevelUnit
  label: string
  large?: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{ draft: [value: { text: string; read: LevelRead } | null]; keep: [value: { text: string; read: LevelRead }]; goOn: []; goBack: []; focused: [] }>()

const text = ref(reading?.text ?? '')
const focused = ref(false)
const refusal = ref<{ message: string; offers: string[] } | null>(null)
const input = useTemplateRef<HTMLInputElement>('input')
watch(() => reading?.id, () => {
  text.value = reading?.text ?? ''
  refusal.value = null
})

const changed = computed(() => text.value.trim() !== (reading?.text ?? ''))
const parsed = computed(() => (text.value.trim() === '' ? null : parseLevel(text.value, { bareUnit })))
const preview = computed(() => {
  const read = parsed.value
  if (!read?.ok) return ''
  const bound = read.isUpperBound ? 'at most ' : read.repeatsDbm.length > 0 ? `mean of ${read.repeatsDbm.length}: ` : ''
  return `${bound}${printDbm(read.levelDbm, 2)} = ${printDbmAsWatts(read.levelDbm)}`
})

function typed(): void {
  refusal.value = null
  keptText = null
  const read = parsed.value
  emit('draft', changed.value && read?.ok ? { text: text.value.trim(), read } : null)
}

function enter(): void {
  if (!changed.value) {
    if (reading) emit('goOn')
    return
  }
  const read = parsed.value
  if (!read) {
    text.value = reading?.text ?? ''
    emit('draft', null)
    return
  }
  if (!read.ok) {
    refusal.value = read
    return
  }
  keep(read)
}

let keptText: string | null = null
function keep(read: LevelRead): void {
  if (keptText === text.value.trim()) return
  keptText = text.value.trim()
  emit('keep', { text: keptText, read })
}

function left(): void {
  focused.value = false
  const read = parsed.value
  // A reading typed and left is kept, so that a click elsewhere loses nothing.
  if (changed.value && read?.ok) keep(read)
}

function backspace(event: KeyboardEvent): void {
  if (text.value !== '') return
  event.preventDefault()
  emit('goBack')
}

function escape(): void {
  text.value = reading?.text ?? ''
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
      ref="input" v-model="text" type="text" inputmode="text" autocomplete="off" spellcheck="false" maxlength="300" :aria-label="label" :aria-invalid="refusal !== null" :disabled="disabled" :placeholder="bareUnit"
      @input="typed" @keydown.enter.prevent="enter" @keydown.backspace="backspace" @keydown.esc="escape" @focus="focused = true; emit('focused'); ($event.target as HTMLInputElement).select()" @blur="left"
    >
    <p v-if="refusal" class="refusal" role="alert">{{ refusal.message }}
      <button v-for="offer in refusal.offers" :key="offer" type="button" class="offer" @mousedown.prevent @click="take(offer)">{{ offer }}</button>
    </p>
    <p v-else-if="large || (focused && changed)" class="preview figure" aria-live="polite">{{ parsed && !parsed.ok && changed ? '…' : preview || '\u00a0' }}</p>
  </div>
</template>

<style scoped>
.reading { position: relative; }
input {
  width: 100%; height: 34px; padding: 0 10px; text-align: right; font-family: var(--figures); font-size: 17px; font-weight: 600; color: var(--ink);
  background: var(--sheet); border: 1px solid var(--line-2); border-radius: var(--radius);
}
input:focus { outline: 2px solid var(--spruce); outline-offset: 0; border-color: var(--spruce); }
input::placeholder { color: var(--ink-3); font-weight: 400; font-size: 13px; opacity: 1; }
input:disabled { opacity: .6; }
.large input { height: 60px; font-size: 32px; text-align: left; padding: 0 16px; max-width: 340px; }
.large input::placeholder { font-size: 18px; }
.preview { font-size: 13px; color: var(--ink-2); white-space: nowrap; }
.reading:not(.large) .preview, .reading:not(.large) .refusal { position: absolute; z-index: 4; top: 36px; right: 0; background: var(--sheet); border: 1px solid var(--line-2); border-radius: 4px; padding: 3px 8px; }
.reading:not(.large) .refusal { width: 260px; left: 0; right: auto; }
.refusal { color: var(--outside); font-size: 13px; }
.offer { text-decoration: underline; margin-right: 8px; color: var(--spruce); font-weight: 600; }
</style>
