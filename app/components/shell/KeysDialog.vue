<script setup lang="ts">
import { keyList } from '~/keys/keyList'

const ui = useUiStore()
</script>

<template>
  <VDialog v-model="ui.keysOpen" max-width="560" aria-labelledby="keys-title">
    <VCard class="card">
      <h2 id="keys-title">All keys</h2>
      <table class="plain">
        <thead class="only-read">
          <tr>
            <th>Keys</th>
            <th>What they do</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in keyList()" :key="line.words">
            <td class="keys">
              <template v-for="(key, index) in line.keys" :key="key"
                ><span v-if="index"> </span><kbd>{{ key }}</kbd></template
              >
            </td>
            <td>{{ line.words }}</td>
          </tr>
        </tbody>
      </table>
      <div class="row end"><VBtn color="primary" @click="ui.keysOpen = false">Close</VBtn></div>
    </VCard>
  </VDialog>
</template>

<style scoped>
.card {
  padding: 20px 22px;
  display: grid;
  gap: 12px;
}
.keys {
  white-space: nowrap;
  width: 150px;
}
.plain td {
  padding: 4px 8px;
}
</style>
