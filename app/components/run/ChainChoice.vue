<script setup lang="ts">
import { type Role, type Step, suitableChains } from '#core/step'
import type { StationRun } from '~/composables/useStationRun'

/** Which chain new readings go through: a choice for each role of the station. */
const { run, step } = defineProps<{ run: StationRun; step: Step }>()
const store = useReviewStore()

const roles = useStable(() => {
  const context = store.context
  if (!context) return []
  const all = Object.entries(run.station.roles).filter(([role]) => role in step.chains)
  return all.map(([id, role]) => ({
    id,
    chosen: step.chains[id] ?? null,
    label: labelOf(role, all.length),
    items: suitableChains(context, role).map(({ id: value, name: title }) => ({ value, title })),
  }))
})

function labelOf(role: Role, count: number): string {
  return count === 1 ? 'Through the chain' : `${role.title} through`
}

function assign(roleId: string, chainId: string | null): void {
  if (!chainId) return
  store.change('the chain of a station', draft => {
    const radio = draft.sets.find(({ id }) => id === step.set.id)
    if (!radio) return
    radio.chains[run.stationId] = { ...radio.chains[run.stationId], [roleId]: chainId }
  })
}
</script>

<template>
  <VSelect
    v-for="role in roles"
    :key="role.id"
    class="chain"
    :model-value="role.chosen"
    :items="role.items"
    :label="role.label"
    no-data-text="no chain that suits; add one at the bench check"
    :disabled="store.readOnly"
    @update:model-value="assign(role.id, $event)"
  />
</template>

<style scoped>
.chain {
  max-width: 280px;
  min-width: 190px;
}
</style>
