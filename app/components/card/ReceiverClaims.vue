<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { bothReadings, RECEIVER_CLAIM_TITLES, receiverClaimText } from '#core/hearing'
import { printDbm, printFrequencyShort } from '#core/quantity'
import {
  type Band,
  type RadioSet,
  RECEIVER_CLAIMS,
  type ReceiverClaim,
  readReceiverClaim,
} from '#core/review'

/** What the maker claims of the receiver, by band and channel spacing; a voltage is pd, emf, or not said. */
const { radio } = defineProps<{ radio: RadioSet }>()
const store = useReviewStore()
const locked = computed(() => store.readOnly)
const { add, change, remove } = useReceiverClaims(() => radio)

const KINDS = RECEIVER_CLAIMS.map(kind => ({ value: kind, title: RECEIVER_CLAIM_TITLES[kind] }))
const TAKEN = [
  { value: 'pd', title: 'taken as pd' },
  { value: 'emf', title: 'taken as emf' },
]
const problems = reactive<Record<string, string>>({})

const rows = computed(() => radio.bands.flatMap(band => band.receives.map(claim => ({ band, claim }))))

function keep(band: Band, claim: ReceiverClaim, text: string): void {
  const read = readReceiverClaim(claim.kind, text)
  problems[claim.id] = read.ok ? '' : read.message
  if (read.ok) change(band, claim.id, read.claim)
}

function keepSpacing(band: Band, claim: ReceiverClaim, spacingHz: number): void {
  change(band, claim.id, { spacingHz: spacingHz || null })
}

function keepTaken(band: Band, claim: ReceiverClaim, takenAs: 'pd' | 'emf' | null): void {
  if (takenAs) change(band, claim.id, { takenAs })
}

function spacings(band: Band) {
  const own = [band.channelSpacingHz, ...band.alsoSpacingsHz].filter((hz): hz is number => hz !== null)
  return [
    { value: 0, title: 'any, or not said' },
    ...own.map(hz => ({ value: hz, title: printFrequencyShort(hz) })),
  ]
}

/** Both readings of a voltage, and which one it is judged by. */
function readings(claim: ReceiverClaim): string {
  const both = bothReadings(claim)
  if (!both) return ''
  const means = claim.voltageIs === 'not-said' ? claim.takenAs : claim.voltageIs
  const said = claim.voltageIs === 'not-said' ? 'the box does not say which' : 'as the box says'
  return `${printDbm(both.pdDbm, 2)} as pd, ${printDbm(both.emfDbm, 2)} as emf; judged by ${means}, ${said}.`
}
</script>

<template>
  <section class="sheet block" aria-labelledby="receiver-claims">
    <div class="spread">
      <div>
        <h2 id="receiver-claims">What it is said to hear</h2>
        <p class="small quiet">
          As the box prints it: 0.2 µV, −119 dBm, 65 dB. “not said” where the maker names it without a figure.
        </p>
      </div>
    </div>
    <div v-if="rows.length" class="scroll">
      <table class="plain">
        <thead>
          <tr>
            <th>Band</th>
            <th>Claim</th>
            <th>Figure</th>
            <th>Channel spacing</th>
            <th>Where the box does not say</th>
            <th><span class="only-read">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ band, claim } in rows" :key="claim.id">
            <td>{{ band.name }}</td>
            <td>{{ RECEIVER_CLAIM_TITLES[claim.kind] }}</td>
            <td class="figure-cell">
              <CommitField
                :model-value="receiverClaimText(claim)"
                :label="`${band.name}, ${RECEIVER_CLAIM_TITLES[claim.kind]}`"
                :disabled="locked"
                :maxlength="40"
                @update:model-value="keep(band, claim, $event)"
              />
              <p v-if="problems[claim.id]" class="wrong small" role="alert">{{ problems[claim.id] }}</p>
              <p v-else-if="readings(claim)" class="small quiet">{{ readings(claim) }}</p>
            </td>
            <td>
              <VSelect
                :model-value="claim.spacingHz ?? 0"
                :items="spacings(band)"
                :aria-label="`Channel spacing of ${RECEIVER_CLAIM_TITLES[claim.kind]}`"
                :disabled="locked"
                @update:model-value="keepSpacing(band, claim, $event)"
              />
            </td>
            <td>
              <VSelect
                v-if="bothReadings(claim) && claim.voltageIs === 'not-said'"
                :model-value="claim.takenAs"
                :items="TAKEN"
                :aria-label="`What ${RECEIVER_CLAIM_TITLES[claim.kind]} is taken as`"
                :disabled="locked"
                @update:model-value="keepTaken(band, claim, $event)"
              />
            </td>
            <td>
              <VBtn
                icon
                size="small"
                variant="text"
                :aria-label="`Remove ${RECEIVER_CLAIM_TITLES[claim.kind]} of ${band.name}`"
                :disabled="locked"
                @click="remove(band, claim.id)"
                ><VIcon :icon="mdiClose" size="16"
              /></VBtn>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="row">
      <VMenu v-for="band in radio.bands" :key="band.id">
        <template #activator="{ props }"
          ><VBtn variant="outlined" size="small" :disabled="locked" v-bind="props"
            >Add a claim on {{ band.name }}</VBtn
          ></template
        >
        <VList density="compact">
          <VListItem
            v-for="kind in KINDS"
            :key="kind.value"
            :title="kind.title"
            @click="add(band, kind.value)"
          />
        </VList>
      </VMenu>
    </div>
  </section>
</template>

<style scoped>
.figure-cell {
  min-width: 210px;
}
.plain td {
  vertical-align: top;
  padding-top: 10px;
}
</style>
