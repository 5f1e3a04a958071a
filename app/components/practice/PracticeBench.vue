<script setup lang="ts">
import { parseLevel, printNumber } from '#core/quantity'
import type { RadioSet, Review } from '#core/review'
import type { PracticeSession } from '~/practice/session'

/** The bench of an evening: radio, what is plugged in, what the instrument shows. */
const { session, review, set } = defineProps<{ session: PracticeSession; review: Review; set: RadioSet }>()

/** Ways to the radio’s socket; what only hangs on another, or on the speaker, stands beside them. */
const ways = computed(() =>
  review.chains.filter(chain => {
    const kind = review.instruments.find(({ id }) => id === chain.instrumentId)?.kind
    return chain.joins === null && kind !== 'audio-meter'
  }),
)
const { knobs } = session
const chainId = computed(() =>
  ways.value.some(({ id }) => id === knobs.chainId) ? knobs.chainId : (ways.value[0]?.id ?? ''),
)
const chain = computed(() => review.chains.find(({ id }) => id === chainId.value) ?? null)
const instrument = computed(
  () => review.instruments.find(({ id }) => id === chain.value?.instrumentId) ?? null,
)
const { screen, keyedSince, key, broken, radioV, carrierHz } = usePracticeLive(session, {
  review: () => review,
  setId: () => set.id,
  chainId: () => chainId.value,
})

/** What stands on the bench besides what is plugged into the radio. */
const beside = computed(() =>
  review.instruments
    .filter(one => one.id !== instrument.value?.id)
    .map(({ id, name }) => ({ id, name, face: faces[id] ?? '' })),
)
const hasSecond = computed(() => review.chains.some(({ joins }) => joins?.chainId === chainId.value))
const SIDES = [
  { value: -1, title: 'channel below' },
  { value: 1, title: 'channel above' },
]
const hands = computed(() => session.kept.value.hands)
const { faces } = session.world
const isAnalyser = computed(() => instrument.value?.kind === 'spectrum-analyser')
const isGenerator = computed(() => instrument.value?.kind === 'signal-generator')
const offsetDb = computed(() => (instrument.value ? (hands.value.offsetDb[instrument.value.id] ?? 0) : 0))

function clearOffset(): void {
  if (instrument.value) session.turn({ turn: 'offset', instrumentId: instrument.value.id, toDb: 0 })
}

const VOLTAGES: ReadonlySet<string> = new Set(['V', 'mV', 'µV', 'nV', 'dBµV'])
/** emf is twice what reaches a load, dB. */
const EMF_DB = 6.0206
const levelProblem = ref('')
/** What a bare number on its knob is, and what a voltage is on its card. */
function setLevel(): void {
  const own = instrument.value
  if (own?.kind !== 'signal-generator') return
  const read = parseLevel(knobs.levelText, { bareUnit: own.setIn })
  levelProblem.value = read.ok ? '' : read.message
  if (!read.ok) return
  const isEmf = own.voltageIs === 'emf' && VOLTAGES.has(read.unit)
  const levelDbm = read.levelDbm - (isEmf ? EMF_DB : 0)
  knobs.generatorDbm = Math.min(own.highestDbm, Math.max(own.lowestDbm, levelDbm))
}

useKeys({
  Space: event => {
    event.preventDefault()
    key()
  },
})
</script>

<template>
  <section class="sheet bench" aria-label="The bench of this evening">
    <div class="spread">
      <h2>The bench</h2>
      <span class="small quiet"
        >Simulated; the review beside it is a real one, filled from here by typing, or by L.</span
      >
    </div>
    <div class="row" role="group" aria-label="Plugged into the radio">
      <VBtn
        v-for="way in ways"
        :key="way.id"
        size="small"
        :variant="way.id === chainId ? 'flat' : 'outlined'"
        :color="way.id === chainId ? 'primary' : undefined"
        :aria-pressed="way.id === chainId"
        @click="knobs.chainId = way.id"
        >{{ way.name }}</VBtn
      >
    </div>
    <p v-for="words in broken" :key="words" class="stop" role="alert">Damaged. {{ words }}.</p>
    <div class="way">
      <PracticeRadio
        :session="session"
        :set="set"
        :carrier-hz="carrierHz"
        :volts="radioV"
        :is-keyed="keyedSince !== null"
        @key="key"
      />
      <ol class="parts" aria-label="Parts in between">
        <li v-for="part in chain?.parts ?? []" :key="part.id">
          <strong>{{ part.name }}</strong>
          <span v-if="faces[part.id]" class="small face">{{ faces[part.id] }}</span>
        </li>
      </ol>
      <section v-if="instrument" class="thing" :aria-label="instrument.name">
        <h3>{{ instrument.name }}</h3>
        <p v-if="faces[instrument.id]" class="small face">{{ faces[instrument.id] }}</p>
        <p v-if="isAnalyser" class="small spread">
          <span>offset typed on it: {{ printNumber(offsetDb, 1) }} dB</span>
          <VBtn v-if="offsetDb !== 0" size="x-small" variant="outlined" @click="clearOffset">Clear it</VBtn>
        </p>
        <PracticeScreen :screen="screen" />
        <div v-if="isAnalyser" class="row switches">
          <VSwitch
            label="Preamplifier"
            :inset="false"
            :model-value="hands.preamplifier"
            @update:model-value="session.turn({ turn: 'preamplifier', to: $event === true })"
          />
          <VSwitch
            label="10 dB more in front"
            :inset="false"
            :model-value="hands.extraPad"
            @update:model-value="session.turn({ turn: 'extraPad', to: $event === true })"
          />
        </div>
        <form v-if="isGenerator" class="knobs" @submit.prevent="setLevel">
          <VTextField
            v-model="knobs.levelText"
            label="Level"
            :error-messages="levelProblem"
            :maxlength="40"
            @blur="setLevel"
          />
          <VTextField v-model.number="knobs.offsetHz" label="Beside the channel, Hz" type="number" />
          <VSwitch v-model="knobs.generatorIsOn" label="Output" :inset="false" />
        </form>
        <div v-if="hasSecond" class="knobs">
          <VTextField v-model.number="knobs.second.dbm" label="Second generator, dBm" type="number" />
          <VSelect v-model="knobs.second.side" :items="SIDES" label="On the" />
          <VSwitch v-model="knobs.second.isOn" label="Output" :inset="false" />
        </div>
      </section>
    </div>
    <p v-if="beside.length" class="small">
      Beside it:
      <span v-for="(one, i) in beside" :key="one.id"
        >{{ i ? ' · ' : '' }}<strong>{{ one.name }}</strong
        ><span v-if="one.face" class="face">, {{ one.face }}</span></span
      >
    </p>
  </section>
</template>

<style scoped>
.bench {
  padding: 14px 16px;
  display: grid;
  gap: 10px;
}
.way {
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(120px, auto) minmax(260px, 1.6fr);
  gap: 16px;
  align-items: start;
}
.way :deep(.thing) {
  border: 1.5px solid var(--ink);
  border-radius: var(--radius);
  padding: 12px 14px;
  display: grid;
  gap: 6px;
}
.parts {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 8px;
  align-content: center;
  min-height: 100%;
}
.parts li {
  border: 1.5px solid var(--ink);
  border-radius: var(--radius);
  padding: 6px 10px;
  text-align: center;
  display: grid;
  max-width: 200px;
}
.switches {
  column-gap: 24px;
}
.face {
  color: var(--ink-2);
  font-style: italic;
}
.knobs {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 10px;
  align-items: start;
}
@media (max-width: 760px) {
  .way,
  .knobs {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
