<script setup lang="ts">
import { checkBatteryLabel, type RadioSet } from '#core/review'
import { batteryFields, cardFields } from './cardFields'

const { radio, due } = defineProps<{
  radio: RadioSet
  /** How many of the card’s sections are due. */
  due: number
}>()
const store = useReviewStore()
const locked = computed(() => store.readOnly)
const battery = computed(() => checkBatteryLabel(radio.battery))

function change(label: string, recipe: (draft: RadioSet) => void): void {
  store.change(label, draft => {
    const found = draft.sets.find(({ id }) => id === radio.id)
    if (found) recipe(found)
  })
}

const fields = computed(() => cardFields(radio, change))
const batteryLabel = computed(() => batteryFields(radio, change))
</script>

<template>
  <div class="stack">
    <section class="sheet block" aria-labelledby="card-title">
      <h2 id="card-title">Card</h2>
      <EditGrid :fields="fields" :locked="locked" />
    </section>

    <section class="sheet block" aria-labelledby="battery-title">
      <h2 id="battery-title">Battery label</h2>
      <div class="three">
        <EditGrid :fields="batteryLabel" :locked="locked" inline />
      </div>
      <p :class="['small', battery.kind]" data-testid="battery-check">
        <VerdictMark
          v-if="battery.kind !== 'incomplete'"
          :state="battery.kind === 'agrees' ? 'inside' : 'outside'"
        />
        {{ battery.words }}
      </p>
    </section>

    <ClaimsTable v-if="due > 1" :radio="radio" />
    <ReceiverClaims v-if="due > 2 && radio.bands.length" :radio="radio" />
    <BandFacts v-if="due > 3 && radio.bands.length" :radio="radio" />
  </div>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 180px));
  gap: 12px;
}
.disagrees {
  color: var(--outside);
  font-weight: 700;
}
.agrees {
  color: var(--inside);
}
@media (max-width: 1000px) {
  .three {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
@media (max-width: 480px) {
  .three {
    grid-template-columns: 1fr;
  }
}
</style>
