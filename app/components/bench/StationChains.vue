<script setup lang="ts">
import type { RadioSet } from '#core/review'
import { wantedStations } from '#core/station'
import { suitableChains } from '#core/step'

/** A chain to choose for each role of the stations a radio goes through. */
const { radio } = defineProps<{ radio: RadioSet }>()
const store = useReviewStore()

const choices = computed(() => {
  const { context } = store
  if (!context) return []
  return wantedStations(context).flatMap(station => {
    const [step] = station.plan(radio, context)
    return Object.entries(station.roles).map(([roleId, role]) => ({
      key: `${station.id}:${roleId}`,
      label:
        Object.keys(station.roles).length > 1
          ? `${station.title}, ${role.title.toLowerCase()} through`
          : `${station.title} goes through`,
      chosen: step?.chains[roleId] ?? null,
      items: suitableChains(context, role).map(({ id: value, name: title }) => ({ value, title })),
      assign: (chainId: string | null) => assign(station.id, roleId, chainId),
    }))
  })
})

function assign(stationId: string, roleId: string, chainId: string | null): void {
  if (!chainId) return
  store.change('the chain of a station', draft => {
    const found = draft.sets.find(({ id }) => id === radio.id)
    if (found) found.chains[stationId] = { ...found.chains[stationId], [roleId]: chainId }
  })
}
</script>

<template>
  <VSelect
    v-for="choice in choices"
    :key="choice.key"
    :model-value="choice.chosen"
    :items="choice.items"
    :label="choice.label"
    :disabled="store.readOnly"
    no-data-text="no chain suits"
    @update:model-value="choice.assign"
  />
</template>
