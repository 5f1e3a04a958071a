<script setup lang="ts">
import {
  checkConditions,
  limitAtHarmonicDbm,
  powerToExpect,
  stepPlaces,
  strictestLimitDbm,
  suitableChains,
} from '#core/step'
import { useNow } from '@vueuse/core'
import {
  benchChecks,
  type Calibration,
  calibratedChain,
  type Instrument,
  partLibrary,
  type PartKind,
} from '#core/chain'
import { printClaimW, printMhz } from '#core/quantity'
import { highestClaimW, setShortName } from '#core/review'
import { harmonicSlots, HIGHEST_HARMONIC, wantedStations } from '#core/station'

const store = useReviewStore()
const ui = useUiStore()
const route = useRoute()
const { set } = useReviewRoute()
const edits = useBenchEdits()
const review = computed(() => store.review!)
const context = computed(() => store.context!)
const locked = computed(() => store.readOnly)

const chainId = ref<string | null>(typeof route.query.chain === 'string' ? route.query.chain : null)
const selected = ref<{ kind: 'part' | 'instrument'; id: string } | null>(null)

const chain = computed(
  () =>
    review.value.chains.find(({ id }) => id === chainId.value) ??
    preferredChain.value ??
    review.value.chains[0],
)
const preferredChain = computed(() => {
  const radio = set.value
  const chosen = radio ? Object.values(radio.chains).flatMap(roles => Object.values(roles)) : []
  return context.value.chain(chosen.at(-1) ?? null)
})
const instrument = computed(() => chain.value && context.value.instrument(chain.value.instrumentId))
const selectedPart = computed(() =>
  selected.value?.kind === 'part'
    ? chain.value?.parts.find(({ id }) => id === selected.value?.id)
    : undefined,
)
const selectedInstrument = computed(() =>
  selected.value?.kind === 'instrument'
    ? review.value.instruments.find(({ id }) => id === selected.value?.id)
    : undefined,
)

/** The hottest place of the chosen radio: its highest power, on the channel chosen for harmonics first. */
const places = computed(() =>
  (set.value ? stepPlaces(set.value) : []).map(place => ({
    place,
    ...powerToExpect(set.value!, place.claim),
  })),
)
const placeKey = ref<string | null>(null)
const placeOptions = computed(() =>
  places.value.map(({ place, powerW, powerFrom }) => ({
    value: `${place.band.id}:${place.channel.id}:${place.level.id}`,
    title: `${printMhz(place.channel.frequencyHz)}, ${place.level.name}, ${printClaimW(powerW)} ${powerFrom === 'claim' ? 'claimed' : 'assumed'}`,
  })),
)
const hottest = computed(() => {
  const chosen = places.value.find(
    ({ place }) => `${place.band.id}:${place.channel.id}:${place.level.id}` === placeKey.value,
  )
  return (
    chosen ??
    [...places.value].sort(
      (a, b) => b.powerW - a.powerW || Number(b.place.channel.harmonics) - Number(a.place.channel.harmonics),
    )[0]
  )
})
const carrierHz = computed(() => hottest.value?.place.channel.frequencyHz ?? 146.52e6)
const powerW = computed(() => hottest.value?.powerW ?? (set.value ? highestClaimW(set.value) : null) ?? 5)
const limitDbm = computed(() =>
  set.value && hottest.value
    ? strictestLimitDbm({ set: set.value, ...hottest.value.place }, powerW.value, context.value)
    : null,
)
/** The chain with the losses that were measured. */
const standingChain = computed(
  () =>
    chain.value &&
    calibratedChain(chain.value, {
      calibrations: review.value.calibrations,
      swaps: review.value.calibrationSwaps,
      pins: null,
    }),
)
const now = useNow({ interval: 60_000 })
const checks = computed(() =>
  chain.value
    ? benchChecks({
        chain: standingChain.value!,
        instrument: instrument.value,
        carrierHz: carrierHz.value,
        powerW: powerW.value,
        powerFrom: hottest.value?.powerFrom ?? 'assumed',
        ...checkConditions(context.value),
        calibration: {
          calibrations: review.value.calibrations,
          at: now.value.toISOString(),
          maxAgeDays: review.value.settings.calibrationMaxAgeDays,
        },
        harmonicLimitDbm: limitDbm.value,
        ...(set.value && hottest.value
          ? {
              limitAtDbm: (n: number) =>
                limitAtHarmonicDbm(
                  { set: set.value!, ...hottest.value!.place },
                  { powerW: powerW.value, harmonic: n },
                  context.value,
                ),
            }
          : {}),
        highestHarmonic: instrument.value?.kind === 'spectrum-analyser' ? HIGHEST_HARMONIC : 1,
      })
    : [],
)
watchEffect(() => {
  ui.benchChecks = checks.value
})
onBeforeUnmount(() => {
  ui.benchChecks = []
})
const alarmParts = computed(() =>
  checks.value.flatMap(check =>
    check.partId && (check.severity === 'danger' || check.severity === 'caution') ? [check.partId] : [],
  ),
)
const before = computed(() => checks.value.filter(({ id }) => id !== 'reach'))
const reach = computed(() => checks.value.filter(({ id }) => id === 'reach'))
const stakes = computed(() => (chain.value ? edits.readingsOn(chain.value.id) : 0))

const radioName = computed(() => (set.value ? setShortName(set.value) : 'Radio'))
const radioDetail = computed(
  () =>
    `${printClaimW(powerW.value)} ${hottest.value?.powerFrom === 'claim' ? 'claimed' : 'assumed'}${hottest.value ? `, ${hottest.value.place.level.name}` : ''}`,
)

const PARTS: { kind: PartKind; title: string }[] = [
  { kind: 'jumper', title: 'A jumper' },
  { kind: 'pad', title: 'A pad' },
  { kind: 'adapter', title: 'An adapter' },
  { kind: 'load', title: 'A load' },
]

function addPart(kind: PartKind): void {
  if (!chain.value) return
  selected.value = { kind: 'part', id: edits.addPart(chain.value.id, kind) }
}

function addFromLibrary(libraryId: string): void {
  if (!chain.value) return
  selected.value = { kind: 'part', id: edits.addLibraryPart(chain.value.id, libraryId) }
}

const measuring = ref(false)
const partCalibrations = computed(() =>
  review.value.calibrations.filter(({ partId }) => partId === selectedPart.value?.id),
)
/** Where the path is going to be read: the carrier and its harmonics within reach of the instrument. */
const suggestedHz = computed(() =>
  harmonicSlots(carrierHz.value)
    .map(({ frequencyHz }) => frequencyHz)
    .filter(hz => !instrument.value || (hz >= instrument.value.fromHz && hz <= instrument.value.toHz)),
)

function keepCalibration(calibration: Calibration): void {
  if (!chain.value) return
  edits.keepCalibration(chain.value.id, calibration)
  const resting = selectedPart.value ? edits.readingsOnOther(chain.value, selectedPart.value).length : 0
  ui.say(
    resting > 0
      ? `The measured loss stands for new readings. ${resting} earlier ones stay with the loss they were taken with until you ask.`
      : 'The measured loss stands for this part now.',
  )
}

function setting<K extends 'ambientC' | 'calibrationMaxAgeDays'>(key: K, value: number): void {
  store.change('the conditions at the bench', draft => {
    draft.settings[key] = value
  })
}

function addInstrument(kind: Instrument['kind']): void {
  selected.value = { kind: 'instrument', id: edits.addInstrument(kind) }
}

function addChain(): void {
  const first =
    review.value.instruments.find(({ id }) => id === selectedInstrument.value?.id) ??
    review.value.instruments[0]
  if (!first) return
  chainId.value = edits.addChain(`${first.name}, chain ${review.value.chains.length + 1}`, first.id)
  selected.value = null
}

function chooseChain(id: string): void {
  chainId.value = id
  selected.value = null
}

/** A chain to choose for each role of the stations this radio goes through. */
const stationChoices = computed(() => {
  const radio = set.value
  if (!radio) return []
  return wantedStations(context.value).flatMap(station => {
    const [step] = station.plan(radio, context.value)
    return Object.entries(station.roles).map(([roleId, role]) => ({
      key: `${station.id}:${roleId}`,
      stationId: station.id,
      roleId,
      label: `${station.title} goes through`,
      chosen: step?.chains[roleId] ?? null,
      items: suitableChains(context.value, role).map(({ id: value, name: title }) => ({ value, title })),
    }))
  })
})

function assign(stationId: string, roleId: string, chainId: string | null): void {
  if (!chainId) return
  const radioId = set.value?.id
  store.change('the chain of a station', draft => {
    const radio = draft.sets.find(other => other.id === radioId)
    if (radio) radio.chains[stationId] = { ...radio.chains[stationId], [roleId]: chainId }
  })
}
</script>

<template>
  <div class="stack">
    <div class="spread">
      <h1>Bench check</h1>
      <div class="row">
        <VMenu>
          <template #activator="{ props }"
            ><VBtn variant="outlined" :disabled="locked" v-bind="props">Add an instrument</VBtn></template
          >
          <VList density="compact"
            ><VListItem title="Power meter" @click="addInstrument('power-meter')" /><VListItem
              title="Spectrum analyser"
              @click="addInstrument('spectrum-analyser')" /><VListItem
              title="Receiver or monitor"
              @click="addInstrument('receiver')"
          /></VList>
        </VMenu>
        <VBtn variant="outlined" :disabled="locked || review.instruments.length === 0" @click="addChain"
          >Add a chain</VBtn
        >
        <VMenu v-if="chain">
          <template #activator="{ props }"
            ><VBtn color="primary" :disabled="locked" v-bind="props">Add a part</VBtn></template
          >
          <VList density="compact"
            ><VListItem
              v-for="part in PARTS"
              :key="part.kind"
              :title="part.title"
              @click="addPart(part.kind)"
          /></VList>
        </VMenu>
        <VMenu v-if="chain">
          <template #activator="{ props }"
            ><VBtn variant="outlined" :disabled="locked" v-bind="props">From the library</VBtn></template
          >
          <VList density="compact" max-height="420">
            <template v-for="group in partLibrary" :key="group.title">
              <VListSubheader>{{ group.title }}</VListSubheader>
              <VListItem
                v-for="entry in group.parts"
                :key="entry.id"
                :title="entry.title"
                @click="addFromLibrary(entry.id)"
              />
            </template>
            <VListItem class="small quiet" title="Typical figures, to be made your own" disabled />
          </VList>
        </VMenu>
      </div>
    </div>

    <section v-if="review.instruments.length === 0" class="sheet empty stack">
      <h2>Nothing on the bench yet</h2>
      <p>
        Add what you read with: a power meter, a spectrum analyser. Then add a chain for each way you connect
        it: jumpers, pads, adapters, loads. What is lost on the way is put right from then on.
      </p>
    </section>

    <div v-if="review.chains.length" class="tabs" role="tablist" aria-label="Chains">
      <button
        v-for="item in review.chains"
        :key="item.id"
        type="button"
        role="tab"
        :aria-selected="item.id === chain?.id"
        :class="{ here: item.id === chain?.id }"
        @click="chooseChain(item.id)"
      >
        {{ item.name }}
      </button>
    </div>
    <section v-else-if="review.instruments.length" class="sheet empty stack">
      <h2>No chain yet</h2>
      <p>
        A chain is the row of parts from the radio’s socket to one instrument. Add one, then put in its parts
        from the radio’s side.
      </p>
    </section>

    <template v-if="chain">
      <LevelStaircase
        :chain="standingChain!"
        :instrument="instrument"
        :radio-name="radioName"
        :radio-detail="radioDetail"
        :carrier-hz="carrierHz"
        :power-w="powerW"
        :limit-dbm="limitDbm"
        :selected-part-id="selectedPart?.id ?? null"
        :locked="locked"
        :alarm-parts="alarmParts"
        @select="id => (selected = selected?.id === id ? null : { kind: 'part', id })"
        @select-instrument="() => chain && (selected = { kind: 'instrument', id: chain.instrumentId })"
        @move="(partId, to) => chain && edits.movePart(chain.id, partId, to)"
      />

      <PartEditor
        v-if="selectedPart"
        :key="selectedPart.id"
        :part="selectedPart"
        :locked="locked"
        :first="chain.parts[0]?.id === selectedPart.id"
        :last="chain.parts.at(-1)?.id === selectedPart.id"
        :calibrations="partCalibrations"
        :on-other="edits.readingsOnOther(chain, selectedPart).length"
        @measure="measuring = true"
        @rejudge="chain && selectedPart && edits.rejudge(chain, selectedPart)"
        @change="
          (label, recipe) =>
            chain &&
            selectedPart &&
            edits.changePart({ chainId: chain.id, partId: selectedPart.id }, label, recipe)
        "
        @duplicate="
          () =>
            chain &&
            selectedPart &&
            (selected = { kind: 'part', id: edits.duplicatePart(chain.id, selectedPart) })
        "
        @remove="
          () => {
            if (chain && selectedPart) {
              edits.removePart(chain.id, selectedPart)
              selected = null
            }
          }
        "
        @move="
          by =>
            chain &&
            selectedPart &&
            edits.movePart(
              chain.id,
              selectedPart.id,
              chain.parts.findIndex(({ id }) => id === selectedPart!.id) + by,
            )
        "
      />
    </template>

    <MeasurePathDialog
      v-if="selectedPart && chain"
      :key="`path-${selectedPart.id}`"
      v-model:open="measuring"
      :part="selectedPart"
      :review-id="review.id"
      :suggested-hz="suggestedHz"
      @keep="keepCalibration"
    />

    <InstrumentEditor
      v-if="selectedInstrument"
      :key="selectedInstrument.id"
      :instrument="selectedInstrument"
      :locked="locked"
      @change="(label, recipe) => edits.changeInstrument(selectedInstrument!.id, label, recipe)"
      @duplicate="selected = { kind: 'instrument', id: edits.duplicateInstrument(selectedInstrument) }"
      @remove="edits.removeInstrument(selectedInstrument) && (selected = null)"
    />

    <div v-if="chain" class="columns">
      <div class="stack">
        <section class="sheet block" aria-labelledby="before">
          <h2 id="before">Before you key up</h2>
          <ChecksList :checks="before" />
        </section>
        <BelievablePanel :key="chain.id" :chain="chain" :instrument="instrument" :carrier-hz="carrierHz" />
      </div>
      <div class="stack">
        <section class="sheet block" aria-labelledby="what">
          <h2 id="what">Checked for</h2>
          <VSelect
            v-if="placeOptions.length"
            :model-value="
              hottest
                ? `${hottest.place.band.id}:${hottest.place.channel.id}:${hottest.place.level.id}`
                : null
            "
            :items="placeOptions"
            label="Carrier"
            @update:model-value="
              value => {
                placeKey = value
              }
            "
          />
          <p v-else class="small quiet">
            No claim yet: drawn for {{ printClaimW(powerW) }} on {{ printMhz(carrierHz) }}. Fill the card
            first.
          </p>
          <template v-if="set">
            <VSelect
              v-for="choice in stationChoices"
              :key="choice.key"
              :model-value="choice.chosen"
              :items="choice.items"
              :label="choice.label"
              :disabled="locked"
              no-data-text="no chain suits"
              @update:model-value="chainId => assign(choice.stationId, choice.roleId, chainId)"
            />
          </template>
        </section>
        <section class="sheet block" aria-labelledby="conditions">
          <h2 id="conditions">Heat and age</h2>
          <div class="two">
            <NumberField
              :model-value="review.settings.duty.keyedS"
              label="Keyed for"
              unit="s"
              :min="1"
              :max="86400"
              :disabled="locked"
              @update:model-value="
                value =>
                  value &&
                  store.change('the planned duty', draft => {
                    draft.settings.duty.keyedS = value
                  })
              "
            />
            <NumberField
              :model-value="review.settings.duty.restS"
              label="then rest"
              unit="s"
              :min="0"
              :max="86400"
              :disabled="locked"
              @update:model-value="
                value =>
                  value !== null &&
                  store.change('the planned duty', draft => {
                    draft.settings.duty.restS = value
                  })
              "
            />
            <NumberField
              :model-value="review.settings.ambientC"
              label="At the bench"
              unit="°C"
              :min="-60"
              :max="90"
              :disabled="locked"
              @update:model-value="value => value !== null && setting('ambientC', value)"
            />
            <NumberField
              :model-value="review.settings.calibrationMaxAgeDays"
              label="Calibration good for"
              unit="days"
              :min="1"
              :max="36500"
              :disabled="locked"
              @update:model-value="value => value && setting('calibrationMaxAgeDays', Math.round(value))"
            />
          </div>
        </section>
        <section v-if="reach.length" class="sheet block" aria-labelledby="reach">
          <h2 id="reach">Reach</h2>
          <ChecksList :checks="reach" />
        </section>
        <section class="sheet block" aria-labelledby="chain-facts">
          <h2 id="chain-facts">This chain</h2>
          <CommitField
            :model-value="chain.name"
            label="Name"
            :disabled="locked"
            @update:model-value="
              value =>
                value &&
                store.change('a chain’s name', draft => {
                  draft.chains.find(({ id }) => id === chain!.id)!.name = value
                })
            "
          />
          <VSelect
            :model-value="chain.instrumentId"
            :items="review.instruments.map(({ id, name }) => ({ value: id, title: name }))"
            label="Instrument"
            :disabled="locked"
            @update:model-value="
              value =>
                chain &&
                edits.changeChain(chain.id, 'the instrument of a chain', draft => {
                  draft.instrumentId = value
                })
            "
          />
          <NumberField
            :model-value="chain.offsetOnInstrumentDb"
            label="Offset set on the instrument"
            unit="dB"
            :min="-150"
            :max="150"
            :disabled="locked"
            @update:model-value="
              value =>
                chain &&
                edits.changeChain(chain.id, 'the offset on the instrument', draft => {
                  draft.offsetOnInstrumentDb = value ?? 0
                })
            "
          />
          <p v-if="stakes" class="small quiet">
            {{ stakes }} readings rest on this chain. A change here re-judges them; for another way of
            connecting, duplicate it.
          </p>
          <div class="row">
            <VBtn
              size="small"
              variant="outlined"
              :disabled="locked"
              @click="chooseChain(edits.duplicateChain(chain))"
              >Duplicate</VBtn
            >
            <VBtn
              size="small"
              variant="outlined"
              :disabled="locked"
              @click="edits.removeChain(chain) && (chainId = null)"
              >Remove</VBtn
            >
          </div>
        </section>
      </div>
    </div>

    <section v-if="review.instruments.length" class="sheet block" aria-labelledby="instruments">
      <h2 id="instruments">Instruments</h2>
      <div class="row">
        <VBtn
          v-for="item in review.instruments"
          :key="item.id"
          size="small"
          :variant="selectedInstrument?.id === item.id ? 'flat' : 'outlined'"
          :color="selectedInstrument?.id === item.id ? 'primary' : undefined"
          :aria-pressed="selectedInstrument?.id === item.id"
          @click="selected = selectedInstrument?.id === item.id ? null : { kind: 'instrument', id: item.id }"
          >{{ item.name }}</VBtn
        >
      </div>
    </section>
  </div>
</template>

<style scoped>
.empty {
  padding: 24px;
  max-width: 640px;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.tabs button {
  padding: 7px 13px;
  border-radius: var(--radius);
  color: var(--ink-2);
  border: 1px solid transparent;
}
.tabs button:hover {
  border-color: var(--line-2);
}
.tabs .here {
  background: rgb(var(--v-theme-secondary));
  color: rgb(var(--v-theme-background));
  font-weight: 600;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 14px;
  align-items: start;
}
.block {
  padding: 14px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
