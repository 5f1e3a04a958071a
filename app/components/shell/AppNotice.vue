<script setup lang="ts">
const ui = useUiStore()
const open = computed({ get: () => ui.notice !== null, set: value => !value && ui.hush() })

function act(): void {
  ui.notice?.action?.run()
  ui.hush()
}
</script>

<template>
  <VSnackbar
    v-model="open"
    :timeout="ui.notice?.tone === 'problem' ? -1 : 5000"
    location="bottom"
    color="header"
    :elevation="0"
    rounded="lg"
    multi-line
    max-width="680"
  >
    <span :role="ui.notice?.tone === 'problem' ? 'alert' : 'status'" data-testid="notice">{{
      ui.notice?.text
    }}</span>
    <template #actions>
      <VBtn v-if="ui.notice?.action" variant="text" @click="act">{{ ui.notice.action.label }}</VBtn>
      <VBtn variant="text" @click="ui.hush()">Close</VBtn>
    </template>
  </VSnackbar>
</template>
