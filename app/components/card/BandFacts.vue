<script setup lang="ts">
import type { Band, RadioSet } from '#core/review'
import { type Mode, rulebooks, yardsticks } from '#core/rules'

/**
 * What rulebooks must know of each band: mode, channel spacing, antenna, and which of them it is judged by.
 */
const { radio } = defineProps<{ radio: RadioSet }>()
const store = useReviewStore()
const locked = computed(() => store.readOnly)
const MODES: Mode[] = ['FM', 'AM', 'SSB']
const SPACINGS = [
  { value: 0, title: 'not said' },
  ...[6.25, 10, 12.5, 20, 25].map(kHz => ({ value: kHz * 1e3, title: `${kHz} kHz` })),
]
const books = computed(() =>
  [...rulebooks, ...yardsticks, ...(store.review?.ownRulebooks ?? [])].map(({ id, title }) => ({
    value: id,
    title,
  })),
)
const common = computed(() => store.context?.rulebooks.map(({ title }) => title).join(', ') ?? '')

function change(bandId: string, label: string, recipe: (draft: Band) => void): void {
  store.change(label, draft => {
    const band = draft.sets.find(({ id }) => id === radio.id)?.bands.find(({ id }) => id === bandId)
    if (band) recipe(band)
  })
}
</script>

<template>
  <section class="sheet block" aria-labelledby="facts-title">
    <div>
      <h2 id="facts-title">What rulebooks must know</h2>
      <p class="small quiet">
        Some clauses hang on mode and channel spacing; radiated limits (ERP) need the antenna. A band may be
        judged by rulebooks of its own.
      </p>
    </div>
    <div class="scroll">
      <table class="plain">
        <thead>
          <tr>
            <th scope="col">Band</th>
            <th scope="col">Mode</th>
            <th scope="col">Channel spacing</th>
            <th scope="col">Also switched to</th>
            <th scope="col">Antenna less feed, over a dipole</th>
            <th scope="col">Judged by</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="band in radio.bands" :key="band.id">
            <th scope="row">{{ band.name }}</th>
            <td class="narrow">
              <VSelect
                :model-value="band.mode"
                :items="MODES"
                :label="`Mode on ${band.name}`"
                :disabled="locked"
                @update:model-value="
                  value =>
                    value &&
                    change(band.id, 'a mode', draft => {
                      draft.mode = value
                    })
                "
              />
            </td>
            <td class="narrow">
              <VSelect
                :model-value="band.channelSpacingHz ?? 0"
                :items="SPACINGS"
                :label="`Channels on ${band.name}`"
                :disabled="locked"
                @update:model-value="
                  value =>
                    change(band.id, 'a channel spacing', draft => {
                      draft.channelSpacingHz = value || null
                      draft.alsoSpacingsHz = draft.alsoSpacingsHz.filter(other => other !== value)
                    })
                "
              />
            </td>
            <td class="narrow">
              <VSelect
                :model-value="band.alsoSpacingsHz"
                :items="SPACINGS.filter(({ value }) => value > 0 && value !== band.channelSpacingHz)"
                :label="`Also on ${band.name}`"
                multiple
                placeholder="no other"
                persistent-placeholder
                :disabled="locked"
                @update:model-value="
                  value =>
                    change(band.id, 'further channel spacings', draft => {
                      draft.alsoSpacingsHz = [...value].sort((a, b) => a - b)
                    })
                "
              />
            </td>
            <td class="narrow">
              <NumberField
                :model-value="band.antennaGainDbd"
                :label="`Antenna on ${band.name}`"
                unit="dB"
                :min="-60"
                :max="60"
                optional
                empty-words="not known"
                :disabled="locked"
                @update:model-value="
                  value =>
                    change(band.id, 'an antenna gain', draft => {
                      draft.antennaGainDbd = value
                    })
                "
              />
            </td>
            <td>
              <VSelect
                :model-value="band.rulebookIds ?? []"
                :items="books"
                :label="`Rulebooks for ${band.name}`"
                multiple
                :placeholder="common"
                persistent-placeholder
                :disabled="locked"
                @update:model-value="
                  value =>
                    change(band.id, 'the rulebooks of a band', draft => {
                      draft.rulebookIds = value.length > 0 ? value : null
                    })
                "
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.plain td {
  padding-top: 10px;
}
.plain tbody th {
  font-size: 15px;
  color: var(--ink);
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
.narrow {
  min-width: 130px;
  max-width: 190px;
}
td:last-child {
  min-width: 220px;
}
</style>
