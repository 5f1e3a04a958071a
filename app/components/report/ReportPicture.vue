<script setup lang="ts">
/** A picture kept with a step, in the report. */
const { pictureId, caption } = defineProps<{ pictureId: string; caption: string }>()
const store = useReviewStore()
const source = ref<string | null>(null)
const isRead = ref(false)
watch(
  () => pictureId,
  async id => {
    source.value = await store.picture(id).catch(() => null)
    isRead.value = true
  },
  { immediate: true },
)
</script>

<template>
  <figure>
    <img v-if="source" :src="source" :alt="caption" />
    <p v-else-if="isRead" class="small quiet">The picture cannot be read in this browser.</p>
    <figcaption class="small quiet">{{ caption }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 8px 0;
  break-inside: avoid;
}
img {
  display: block;
  max-width: min(100%, 620px);
  height: auto;
}
</style>
