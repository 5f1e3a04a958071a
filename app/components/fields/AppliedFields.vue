<script setup lang="ts">
import { printNumber } from '#core/quantity'
import type { Reading, SeenLevel } from '#core/review'
import type { AppliedField } from '#core/step'
import { parseApplied } from './parseSlot'

/** What generators are set to while something is read: proposed, typed over, kept with the reading. */
const {
  fields,
  reading,
  proposed,
  disabled = false,
} = defineProps<{
  fields: readonly AppliedField[]
  reading: Reading | null
  /** What is proposed, dBm at the generator, by role. */
  proposed: Readonly<Record<string, number>>
  disabled?: boolean
}>()
const emit = defineEmits<{ changed: [applied: Record<string, SeenLevel>]; goOn: []; focused: [] }>()

const typed = shallowRef<Record<string, SeenLevel>>({})
watch(
  () => reading?.id,
  () => {
    typed.value = {}
  },
)

const rows = computed(() =>
  fields.map(field => {
    const kept = reading?.applied[field.role]
    const offer = proposed[field.role]
    const stored = kept ? textOf(kept) : offerText(offer)
    return { field, stored, storedId: stored === '' ? null : `${reading?.id ?? 'proposed'}:${stored}` }
  }),
)

function offerText(levelDbm: number | undefined): string {
  return levelDbm === undefined ? '' : printNumber(levelDbm, 1)
}

function textOf({ value, unit }: SeenLevel): string {
  return unit === 'dBm' ? printNumber(value, 1) : `${printNumber(value, 3)} ${unit}`
}

function keep(role: string, read: SeenLevel): void {
  typed.value = { ...typed.value, [role]: read }
  emit('changed', levels() ?? typed.value)
  emit('goOn')
}

/** What stands in the fields; null where one is empty or cannot be read. */
function levels(): Record<string, SeenLevel> | null {
  const found: Record<string, SeenLevel> = {}
  for (const { field, stored } of rows.value) {
    const known = typed.value[field.role] ?? reading?.applied[field.role]
    if (known) found[field.role] = known
    else {
      const read = stored === '' ? null : parseApplied(field, stored)
      if (!read?.ok) return null
      found[field.role] = read.read
    }
  }
  return found
}

defineExpose({ levels })
</script>

<template>
  <EntryField
    v-for="row in rows"
    :key="row.field.role"
    class="applied"
    :stored="row.stored"
    :stored-id="row.storedId"
    :parse="text => parseApplied(row.field, text)"
    :label="row.field.label"
    :placeholder="row.field.guard.bareUnit"
    :disabled="disabled"
    @keep="keep(row.field.role, $event.read)"
    @go-on="emit('goOn')"
    @focused="emit('focused')"
  />
</template>
