<script setup lang="ts">
import type { ReviewSettings } from '#core/review'
import { bindFields, type EditField, fieldsFor } from '../fields/editField'

/** What heat and age are reckoned with: the planned duty, the temperature, how long a calibration is good. */
const store = useReviewStore()
const field = fieldsFor<ReviewSettings>()
const duty = fieldsFor<ReviewSettings['duty']>()

const DUTY = { change: 'the planned duty', unit: 's', max: 86_400 }
const KEYING: readonly EditField<ReviewSettings['duty']>[] = [
  duty.number('keyedS', { ...DUTY, label: 'Keyed for', min: 1 }),
  duty.number('restS', { ...DUTY, label: 'then rest', min: 0 }),
]
const CONDITIONS: readonly EditField<ReviewSettings>[] = [
  field.number('ambientC', {
    label: 'At the bench',
    change: 'the temperature at the bench',
    unit: '°C',
    min: -60,
    max: 90,
  }),
  {
    as: 'number',
    label: 'Calibration good for',
    change: 'how long a calibration is good',
    unit: 'days',
    min: 1,
    max: 36_500,
    of: ({ calibrationMaxAgeDays }) => calibrationMaxAgeDays,
    set: (draft, days) => {
      draft.calibrationMaxAgeDays = Math.round(days)
    },
  },
]

const fields = computed(() => {
  const { settings } = store.review!
  return [
    ...bindFields(settings.duty, KEYING, (label, recipe) =>
      store.change(label, draft => recipe(draft.settings.duty)),
    ),
    ...bindFields(settings, CONDITIONS, (label, recipe) =>
      store.change(label, draft => recipe(draft.settings)),
    ),
  ]
})
</script>

<template>
  <section class="sheet block" aria-labelledby="conditions">
    <h2 id="conditions">Heat and age</h2>
    <div class="two">
      <EditGrid :fields="fields" :locked="store.readOnly" inline />
    </div>
  </section>
</template>
