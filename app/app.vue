<script setup lang="ts">
const ui = useUiStore()
const theme = useTheme()
watch(
  () => ui.themeName,
  name => theme.change(name),
  { immediate: true },
)
</script>

<template>
  <VApp>
    <NuxtPage />
    <AppNotice />
    <KeysDialog />
  </VApp>
</template>
