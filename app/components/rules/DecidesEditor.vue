<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { parsePlainNumber, printNumber } from '#core/quantity'
import { QUANTITIES, type Quantity, quantityWords, type Rulebook } from '#core/rules'

/** Whether a standard decides by itself, and how uncertain a bench it allows. */
const { book, locked } = defineProps<{ book: Rulebook; locked: boolean }>()
const emit = defineEmits<{ change: [label: string, recipe: (draft: Rulebook) => void] }>()

type Largest = NonNullable<Rulebook['decides']>['largest'][number]

const WAYS = [
  { value: false, title: 'by the rule of the review' },
  { value: true, title: 'measured value against limit' },
]
const UNITS: { value: Largest['unit']; title: string }[] = [
  { value: 'dB', title: 'dB' },
  { value: '%', title: '% of the figure' },
  { value: 'ppm', title: 'in a million of the frequency' },
]
const quantities = QUANTITIES.map(value => ({ value, title: quantityWords[value] }))
const row = reactive<{ about: Quantity; value: string; unit: Largest['unit']; error: string }>({
  ...{ about: 'unwanted', value: '', unit: 'dB', error: '' },
})
const largest = computed(() => book.decides?.largest ?? [])
const words = ({ value, unit }: Largest) =>
  `±${printNumber(value, 2)} ${UNITS.find(one => one.value === unit)!.title}`

function keepWay(byItself: boolean): void {
  emit('change', 'how a rulebook decides', draft => {
    if (byItself) draft.decides = { rule: 'value-against-limit', largest: [] }
    else delete draft.decides
  })
}

function keep(next: Largest[]): void {
  emit('change', 'the uncertainty a rulebook allows', draft => {
    if (draft.decides) draft.decides.largest = next
  })
}

const without = (about: Quantity) => largest.value.filter(one => one.about !== about)

function add(): void {
  const value = parsePlainNumber(row.value, { min: 1e-6, max: 1000, unit: row.unit })
  if (!value.ok) return void (row.error = value.message)
  keep([...without(row.about), { about: row.about, value: value.value, unit: row.unit }])
  Object.assign(row, { value: '', error: '' })
}
</script>

<template>
  <section class="sheet block" aria-labelledby="decides">
    <h2 id="decides">How it decides</h2>
    <VSelect
      :model-value="book.decides !== undefined"
      :items="WAYS"
      label="A figure is judged"
      class="way"
      :disabled="locked"
      @update:model-value="keepWay"
    />
    <template v-if="book.decides">
      <p class="small quiet">
        Its verdict stands beside the review’s own; a bench that leaves more open than it allows is said to be
        too uncertain to test by it.
      </p>
      <table v-if="largest.length" class="plain" aria-label="Largest uncertainty it allows">
        <tbody>
          <tr v-for="one in largest" :key="one.about">
            <td>{{ quantityWords[one.about] }}</td>
            <td class="figure">{{ words(one) }}</td>
            <td>
              <VBtn
                icon
                size="small"
                variant="text"
                :aria-label="`Remove the uncertainty of ${quantityWords[one.about]}`"
                :disabled="locked"
                @click="keep(without(one.about))"
                ><VIcon :icon="mdiClose" size="16"
              /></VBtn>
            </td>
          </tr>
        </tbody>
      </table>
      <form class="row" @submit.prevent="add">
        <VSelect v-model="row.about" :items="quantities" label="Of" class="field" :disabled="locked" />
        <VTextField
          v-model="row.value"
          label="At most ±"
          class="field"
          :disabled="locked"
          :error-messages="row.error"
          @update:model-value="row.error = ''"
        />
        <VSelect v-model="row.unit" :items="UNITS" label="Counted in" class="field" :disabled="locked" />
        <VBtn type="submit" variant="outlined" :disabled="locked || !row.value">Add it</VBtn>
      </form>
    </template>
  </section>
</template>

<style scoped>
.way {
  max-width: 340px;
}
.field {
  max-width: 260px;
  min-width: 150px;
}
</style>
