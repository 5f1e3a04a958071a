<script setup lang="ts">
const store = useReviewStore()
const { bringIn } = useOwnRulebooks()
const { all, chosen, yardstick } = useJudgedBy()
const picker = useTemplateRef<HTMLInputElement>('picker')

const shownId = ref<string | null>(null)
const shown = computed(() => all.value.find(({ id }) => id === shownId.value) ?? chosen.value[0] ?? null)

function show(id: string): void {
  shownId.value = id
}

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  void bringIn(input.files?.[0])
  input.value = ''
}
</script>

<template>
  <div class="stack">
    <div class="spread">
      <div>
        <h1>Rulebooks</h1>
        <p class="quiet">
          Several at once: the strictest holds, each is shown. All shipped limits are recalled from memory;
          check the current text.
        </p>
      </div>
      <VBtn variant="outlined" :disabled="store.readOnly" @click="picker?.click()">Bring in a rulebook</VBtn>
      <input
        ref="picker"
        type="file"
        accept=".json,application/json"
        class="only-read"
        tabindex="-1"
        aria-label="Rulebook file"
        @change="picked"
      />
    </div>
    <div class="columns">
      <JudgedBy :shown-id="shown?.id ?? null" @show="show" />
      <AskTheRulebooks :books="chosen" :yardstick="yardstick" />
    </div>
    <RulebookClauses v-if="shown" :book="shown" />
    <CompareRulebooks v-if="shown" :book="shown" />
    <DecisionChoice />
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
