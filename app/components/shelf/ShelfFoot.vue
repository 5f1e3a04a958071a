<script setup lang="ts">
import { formatDistanceToNow } from 'date-fns'
import { secondCopyState } from '~/storage/secondCopy'
import { type StorageHealth, storageHealth } from '~/storage/storageHealth'

/** How safe what is on the shelf is: the browser's promise, its room, the age of the last file taken away. */
const health = shallowRef<StorageHealth | null>(null)
onMounted(async () => (health.value = await storageHealth()))

const megabytes = (bytes: number) =>
  bytes >= 1e9 ? `${(bytes / 1e9).toFixed(1)} GB` : `${Math.max(1, Math.round(bytes / 1e6))} MB`

const promise = computed(() => {
  switch (health.value?.persisted) {
    case true:
      return 'This browser has promised not to clear the shelf by itself.'
    case false:
      return 'This browser may clear the shelf by itself when it runs short of room: take reviews away as files.'
    default:
      return 'This browser does not say whether it may clear the shelf by itself.'
  }
})
const room = computed(() => {
  const { usedBytes, freeBytes } = health.value ?? {}
  return typeof usedBytes !== 'number' || typeof freeBytes !== 'number'
    ? null
    : `${megabytes(usedBytes)} used, ${megabytes(freeBytes)} free.`
})
const backup = computed(() => {
  const at = health.value?.lastBackupAt
  return at
    ? `A review was last taken away as a file ${formatDistanceToNow(new Date(at), { addSuffix: true })}.`
    : 'No review was taken away as a file from this browser yet.'
})
const copy = computed(() => {
  const state = health.value && secondCopyState()
  if (state === 'kept')
    return 'Every review is kept twice: in the browser’s database and in its private files.'
  if (state === 'none') return 'This browser keeps no second copy of what is in its database.'
  return state ? `The second copy could not be kept (${state.failed}).` : ''
})
</script>

<template>
  <p v-if="health" class="small quiet" data-testid="shelf-foot">
    {{ promise }} {{ copy }} {{ room }} {{ backup }}
  </p>
</template>
