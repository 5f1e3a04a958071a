<script setup lang="ts">
import { printDbc } from '#core/quantity'
import { setShortName } from '#core/review'
import { OFF_AIR_HIGHEST, OFF_AIR_ID, offAirDbc, stationById, type StepResult } from '#core/station'
import { nothingToDraw } from '~/charts/nothingToDraw'
import { buildLevelsOption } from '~/charts/levelsOption'

const store = useReviewStore()
const run = useStationRun(OFF_AIR_ID, () => 'dBm')
const palette = useChartPalette()
const optionsOf = () => ({ unit: 'dBm' as const, min: -200, max: 60 })

/** Every radio measured on the same band at the same place, each against its own carrier. */
const radiosOf = (result: StepResult) => {
  const context = store.context!
  const station = stationById(OFF_AIR_ID)
  return context.review.sets.flatMap(set => {
    const found =
      set.id === result.step.set.id
        ? result
        : station
            .plan(set, context)
            .filter(({ band }) => band.name === result.step.band.name)
            .map(step => station.evaluate(step, context))[0]
    const carrier = found?.slots.find(({ slot }) => slot.id === 'x1')?.figure
    if (!found || !carrier) return []
    const values = Array.from(
      { length: OFF_AIR_HIGHEST - 1 },
      (_unused, i) => found.slots.find(({ slot }) => slot.id === `x${i + 2}`)?.figure?.value ?? null,
    ).map(value => (value === null ? null : value - carrier.value))
    return [{ set, found, values }]
  })
}
const drawn = (result: StepResult) =>
  buildLevelsOption({
    palette: palette.value,
    unit: 'dBc',
    places: Array.from({ length: OFF_AIR_HIGHEST - 1 }, (_unused, i) => `×${i + 2}`),
    radios: radiosOf(result).map(({ set, values }) => ({
      name: `${setShortName(set)}${set.role === 'control' ? ' (control)' : ''}`,
      here: set.id === result.step.set.id,
      values,
    })),
  })
const beside = (result: StepResult) =>
  radiosOf(result)
    .filter(({ set }) => set.id !== result.step.set.id)
    .flatMap(({ set, found }) => {
      const dbc = offAirDbc(found)
      return dbc === null
        ? []
        : [`${setShortName(set)}${set.role === 'control' ? ' (control)' : ''} ${printDbc(dbc)}`]
    })
const spoken = (result: StepResult) =>
  `Harmonics off the air against the carrier. ${result.words}. ${beside(result).join('; ')}`

function keepGeometry(text: string): void {
  store.change('where radio and antenna stand', draft => {
    draft.settings.offAirGeometry = text
  })
}
</script>

<template>
  <StationFrame
    :run="run"
    title="Off-air comparison"
    :instruments="[]"
    :options-of="optionsOf"
    bare-unit="dBm"
    nothing-words="Nothing is planned yet: put bands and channels on the card."
  >
    <template #before>
      <div class="sheet geometry">
        <CommitField
          :model-value="store.review?.settings.offAirGeometry ?? ''"
          label="Where radio and receive antenna stand: the same for all radios"
          multiline
          :disabled="store.readOnly"
          @update:model-value="keepGeometry"
        />
        <p class="small quiet">
          An observation, never a verdict: antenna, room and hand change it by 10 dB and more, and a receive
          antenna may favour a harmonic. It compares radios at one place on one day.
        </p>
      </div>
    </template>
    <template #drawing="{ result }"
      ><Drawing
        :option="drawn(result)"
        :spoken="spoken(result)"
        caption="Harmonics against the carrier, off the air"
        :note="`all radios on ${result.step.band.name}; levels as the analyser shows them`"
        :nothing="nothingToDraw(result, radiosOf(result)[0])"
    /></template>
    <template #summary="{ result }"
      ><p v-if="beside(result).length" class="small quiet helper">
        Strongest harmonic of the others at the same place: {{ beside(result).join('; ') }}.
      </p></template
    >
  </StationFrame>
</template>

<style scoped>
.geometry {
  padding: 12px 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
}
.helper {
  padding: 8px;
}
</style>
