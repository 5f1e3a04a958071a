<script setup lang="ts">
import { ASSUMED_GAIN_DOUBT_DB } from '#core/judging'
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

const { changeBand } = useCardEdits(() => radio)

function keepMode({ id }: Band, mode: Mode | null): void {
  if (!mode) return
  changeBand('a mode', id, draft => {
    draft.mode = mode
  })
}

/** Nought stands for “not said”. */
function keepSpacing({ id }: Band, spacingHz: number): void {
  changeBand('a channel spacing', id, draft => {
    draft.channelSpacingHz = spacingHz || null
    draft.alsoSpacingsHz = draft.alsoSpacingsHz.filter(other => other !== spacingHz)
  })
}

function furtherSpacings(band: Band) {
  return SPACINGS.filter(({ value }) => value > 0 && value !== band.channelSpacingHz)
}

function keepFurther({ id }: Band, spacingsHz: number[]): void {
  changeBand('further channel spacings', id, draft => {
    draft.alsoSpacingsHz = [...spacingsHz].sort((a, b) => a - b)
  })
}

function keepAntenna({ id }: Band, gainDbd: number | null): void {
  changeBand('an antenna gain', id, draft => {
    draft.antennaGainDbd = gainDbd
  })
}

function keepGainDoubt({ id }: Band, doubtDb: number | null): void {
  changeBand('how well an antenna gain is known', id, draft => {
    draft.antennaGainDoubtDb = doubtDb
  })
}

function keepBooks({ id }: Band, rulebookIds: string[]): void {
  changeBand('the rulebooks of a band', id, draft => {
    draft.rulebookIds = rulebookIds.length > 0 ? rulebookIds : null
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
                @update:model-value="keepMode(band, $event)"
              />
            </td>
            <td class="narrow">
              <VSelect
                :model-value="band.channelSpacingHz ?? 0"
                :items="SPACINGS"
                :label="`Channels on ${band.name}`"
                :disabled="locked"
                @update:model-value="keepSpacing(band, $event)"
              />
            </td>
            <td class="narrow">
              <VSelect
                :model-value="band.alsoSpacingsHz"
                :items="furtherSpacings(band)"
                :label="`Also on ${band.name}`"
                multiple
                placeholder="no other"
                persistent-placeholder
                :disabled="locked"
                @update:model-value="keepFurther(band, $event)"
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
                @update:model-value="keepAntenna(band, $event)"
              />
              <NumberField
                v-if="band.antennaGainDbd !== null"
                :model-value="band.antennaGainDoubtDb"
                :label="`known to ±, ${band.name}`"
                unit="dB"
                :min="0"
                :max="60"
                optional
                :empty-words="`not said: ±${ASSUMED_GAIN_DOUBT_DB} dB`"
                :disabled="locked"
                @update:model-value="keepGainDoubt(band, $event)"
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
                @update:model-value="keepBooks(band, $event)"
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
