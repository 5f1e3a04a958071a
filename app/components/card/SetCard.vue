<script setup lang="ts">
import { checkBatteryLabel, type RadioSet } from '#core/review'

const { radio } = defineProps<{ radio: RadioSet }>()
const store = useReviewStore()
const locked = computed(() => store.readOnly)
const battery = computed(() => checkBatteryLabel(radio.battery))

type LineField =
  'make' | 'model' | 'sample' | 'serial' | 'firmware' | 'price' | 'howObtained' | 'inTheBox' | 'supplyNow'

function change(label: string, recipe: (draft: RadioSet) => void): void {
  store.change(label, draft => {
    const found = draft.sets.find(({ id }) => id === radio.id)
    if (found) recipe(found)
  })
}

const setLine = (field: LineField, value: string) =>
  change(`the card: ${field}`, draft => {
    draft[field] = value
  })
const setBattery = (field: keyof RadioSet['battery'], value: number | null) =>
  change('the battery label', draft => {
    draft.battery[field] = value
  })
const KINDS = [
  { value: 'handheld', title: 'Handheld' },
  { value: 'mobile', title: 'Mobile' },
]
const ROLES = [
  { value: 'under-test', title: 'Under test' },
  { value: 'control', title: 'Control, known to be clean' },
]
</script>

<template>
  <div class="stack">
    <section class="sheet block" aria-labelledby="card-title">
      <h2 id="card-title">Card</h2>
      <div class="grid">
        <div data-testid="set-make">
          <CommitField
            :model-value="radio.make"
            label="Make"
            :disabled="locked"
            @update:model-value="value => setLine('make', value)"
          />
        </div>
        <div data-testid="set-model">
          <CommitField
            :model-value="radio.model"
            label="Model"
            :disabled="locked"
            @update:model-value="value => setLine('model', value)"
          />
        </div>
        <CommitField
          :model-value="radio.sample"
          label="Sample letter"
          :disabled="locked"
          :maxlength="3"
          @update:model-value="value => setLine('sample', value)"
        />
        <CommitField
          :model-value="radio.serial"
          label="Serial number"
          :disabled="locked"
          @update:model-value="value => setLine('serial', value)"
        />
        <CommitField
          :model-value="radio.firmware"
          label="Firmware"
          :disabled="locked"
          @update:model-value="value => setLine('firmware', value)"
        />
        <CommitField
          :model-value="radio.price"
          label="Price"
          :disabled="locked"
          @update:model-value="value => setLine('price', value)"
        />
        <CommitField
          :model-value="radio.howObtained"
          label="How obtained"
          placeholder="bought, lent, gift"
          :disabled="locked"
          @update:model-value="value => setLine('howObtained', value)"
        />
        <CommitField
          :model-value="radio.inTheBox"
          label="What is in the box"
          :disabled="locked"
          @update:model-value="value => setLine('inTheBox', value)"
        />
        <VSelect
          :model-value="radio.kind"
          :items="KINDS"
          label="Kind"
          :disabled="locked"
          @update:model-value="
            value =>
              change('the kind of radio', draft => {
                draft.kind = value as 'handheld'
              })
          "
        />
        <VSelect
          :model-value="radio.role"
          :items="ROLES"
          label="Part in the review"
          :disabled="locked"
          @update:model-value="
            value =>
              change('the part it plays', draft => {
                draft.role = value as 'control'
              })
          "
        />
        <NumberField
          :model-value="radio.keyDownLimitS"
          label="Longest key-down"
          unit="s"
          :min="1"
          :max="3600"
          :disabled="locked"
          @update:model-value="
            value =>
              change('the longest key-down', draft => {
                draft.keyDownLimitS = value ?? 60
              })
          "
        />
        <CommitField
          :model-value="radio.supplyNow"
          label="Battery or supply now"
          placeholder="battery full"
          :disabled="locked"
          @update:model-value="value => setLine('supplyNow', value)"
        />
      </div>
    </section>

    <section class="sheet block" aria-labelledby="battery-title">
      <h2 id="battery-title">Battery label</h2>
      <div class="grid three">
        <NumberField
          :model-value="radio.battery.voltageV"
          label="Voltage"
          unit="V"
          :min="0.1"
          :max="1000"
          optional
          :disabled="locked"
          @update:model-value="value => setBattery('voltageV', value)"
        />
        <NumberField
          :model-value="radio.battery.capacityAh"
          label="Capacity"
          unit="Ah"
          :min="0.001"
          :max="1000"
          optional
          :disabled="locked"
          @update:model-value="value => setBattery('capacityAh', value)"
        />
        <NumberField
          :model-value="radio.battery.energyWh"
          label="Energy"
          unit="Wh"
          :min="0.001"
          :max="100000"
          optional
          :disabled="locked"
          @update:model-value="value => setBattery('energyWh', value)"
        />
      </div>
      <p :class="['small', battery.kind]" data-testid="battery-check">
        <VerdictMark
          v-if="battery.kind !== 'incomplete'"
          :state="battery.kind === 'agrees' ? 'inside' : 'outside'"
        />
        {{ battery.words }}
      </p>
    </section>

    <ClaimsTable :radio="radio" />
    <BandFacts v-if="radio.bands.length" :radio="radio" />
  </div>
</template>

<style scoped>
.block {
  padding: 14px 16px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px;
}
.three {
  grid-template-columns: repeat(3, minmax(0, 180px));
}
.disagrees {
  color: var(--outside);
  font-weight: 700;
}
.agrees {
  color: var(--inside);
}
@media (max-width: 1000px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
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
