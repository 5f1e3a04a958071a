<script setup lang="ts">
const ui = useUiStore()
const theme = useTheme()
watch(
  () => ui.themeName,
  name => theme.change(name),
  { immediate: true },
)

function openKeys(): void {
  ui.keysOpen = true
}
useKeys({ 'Shift+?': openKeys, '?': openKeys })

/** The list of keys knows every station: it is fetched when it is first asked for, and stays. */
const keysAsked = ref(false)
watch(
  () => ui.keysOpen,
  open => {
    if (open) keysAsked.value = true
  },
)
</script>

<template>
  <VApp>
    <NuxtPage />
    <AppNotice />
    <LazyKeysDialog v-if="keysAsked" />
  </VApp>
</template>
