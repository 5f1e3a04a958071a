<script setup lang="ts">
import { instrumentTemplates, partLibrary, type PartKind } from '#core/chain'

/** What can be added to the bench. */
const { locked, hasInstrument, hasChain } = defineProps<{
  locked: boolean
  hasInstrument: boolean
  hasChain: boolean
}>()
const emit = defineEmits<{
  instrument: [templateId: string]
  chain: []
  part: [kind: PartKind]
  library: [libraryId: string]
}>()

const PARTS: { kind: PartKind; title: string }[] = [
  { kind: 'jumper', title: 'A jumper' },
  { kind: 'pad', title: 'A pad' },
  { kind: 'adapter', title: 'An adapter' },
  { kind: 'load', title: 'A load' },
]
</script>

<template>
  <div class="row">
    <VMenu>
      <template #activator="{ props }"
        ><VBtn variant="outlined" :disabled="locked" v-bind="props">Add an instrument</VBtn></template
      >
      <VList density="compact"
        ><VListItem
          v-for="template in instrumentTemplates"
          :key="template.id"
          :title="template.title"
          @click="emit('instrument', template.id)"
      /></VList>
    </VMenu>
    <VBtn variant="outlined" :disabled="locked || !hasInstrument" @click="emit('chain')">Add a chain</VBtn>
    <VMenu v-if="hasChain">
      <template #activator="{ props }"
        ><VBtn color="primary" :disabled="locked" v-bind="props">Add a part</VBtn></template
      >
      <VList density="compact"
        ><VListItem
          v-for="part in PARTS"
          :key="part.kind"
          :title="part.title"
          @click="emit('part', part.kind)"
      /></VList>
    </VMenu>
    <VMenu v-if="hasChain">
      <template #activator="{ props }"
        ><VBtn variant="outlined" :disabled="locked" v-bind="props">From the library</VBtn></template
      >
      <VList density="compact" max-height="420">
        <template v-for="group in partLibrary" :key="group.title">
          <VListSubheader>{{ group.title }}</VListSubheader>
          <VListItem
            v-for="entry in group.parts"
            :key="entry.id"
            :title="entry.title"
            @click="emit('library', entry.id)"
          />
        </template>
        <VListItem class="small quiet" title="Typical figures, to be made your own" disabled />
      </VList>
    </VMenu>
  </div>
</template>
