<script setup lang="ts">
import { evaluateControlCheck } from '#core/judging'
import { mdiClose } from '@mdi/js'
import {
  type Chain,
  type Instrument,
  judgePadTest,
  type PadTest,
  type PadTestOutcome,
  pinsOf,
} from '#core/chain'
import { parseLevel, parsePlainNumber, printMhz } from '#core/quantity'
import { type ControlCheck, setShortName } from '#core/review'

/** Is the bench believable today? The pad test and the control radio, each with a verdict of its own. */
const { chain, instrument, carrierHz } = defineProps<{
  chain: Chain
  instrument: Instrument | undefined
  carrierHz: number
}>()
const store = useReviewStore()
const locked = computed(() => store.readOnly)
const review = computed(() => store.review!)

const STATES: Record<PadTestOutcome, 'inside' | 'outside' | 'too-close' | 'not-covered'> = {
  radio: 'inside',
  analyser: 'outside',
  both: 'too-close',
  'cannot-tell': 'not-covered',
}
const WORDS: Record<PadTestOutcome, string> = {
  radio: 'The radio’s own',
  analyser: 'Made in the analyser',
  both: 'Partly the analyser’s',
  'cannot-tell': 'Cannot tell',
}
const isAnalyser = computed(() => instrument?.kind === 'spectrum-analyser')
const floorDbm = computed(() => (instrument?.kind === 'spectrum-analyser' ? instrument.floorDbm : -Infinity))
const padTests = computed(() =>
  review.value.padTests
    .filter(test => test.chainId === chain.id)
    .map(test => ({ test, result: judgePadTest(test, floorDbm.value) }))
    .reverse(),
)
const controls = computed(() =>
  review.value.controlChecks
    .filter(check => check.chainId === chain.id)
    .map(check => ({ check, result: evaluateControlCheck(check, store.context!) }))
    .reverse(),
)
const today = (at: string) => at.slice(0, 10) === new Date().toISOString().slice(0, 10)
const when = (at: string) => `${today(at) ? 'today' : at.slice(0, 10)}, ${at.slice(11, 16)} UTC`

const pad = reactive({
  open: false,
  harmonic: 2,
  padText: '10',
  sureText: '0.3',
  without: '',
  withPad: '',
  wrong: '',
})
const HARMONICS = Array.from({ length: 9 }, (_unused, i) => ({ value: i + 2, title: `×${i + 2}` }))

function keepPadTest(): void {
  const without = parseLevel(pad.without, { bareUnit: 'dBm' })
  const withPad = parseLevel(pad.withPad, { bareUnit: 'dBm' })
  const padDb = parsePlainNumber(pad.padText, { min: 0.5, max: 60, unit: 'dB' })
  const sure = parsePlainNumber(pad.sureText, { min: 0, max: 20, unit: 'dB' })
  const wrong = [without, withPad, padDb, sure].find(read => !read.ok)
  if (wrong && !wrong.ok) {
    pad.wrong = wrong.message
    return
  }
  if (!without.ok || !withPad.ok || !padDb.ok || !sure.ok) return
  const test: PadTest = {
    id: crypto.randomUUID(),
    chainId: chain.id,
    at: new Date().toISOString(),
    harmonic: pad.harmonic,
    frequencyHz: pad.harmonic * carrierHz,
    padDb: padDb.value,
    padHalfWidthDb: sure.value,
    withoutDbm: without.levelDbm,
    withDbm: withPad.levelDbm,
    resolutionDb: Math.max(without.resolutionDb, withPad.resolutionDb),
  }
  if (store.change('a pad test', draft => void draft.padTests.push(test)))
    Object.assign(pad, { open: false, without: '', withPad: '', wrong: '' })
}

const sets = computed(() =>
  [...review.value.sets]
    .sort((a, b) => Number(b.role === 'control') - Number(a.role === 'control'))
    .map(set => ({
      value: set.id,
      title: `${setShortName(set)}${set.role === 'control' ? ', control' : ''}`,
    })),
)
const control = reactive({ open: false, setId: '', read: '', known: '', sure: '0.3', from: '', wrong: '' })
const lastKnown = computed(() =>
  review.value.controlChecks.filter(check => check.setId === control.setId).at(-1),
)

function openControl(): void {
  control.setId = sets.value[0]?.value ?? ''
  control.from = lastKnown.value?.knownFrom ?? ''
  control.known = lastKnown.value ? `${lastKnown.value.knownDbm.toFixed(2)} dBm` : ''
  control.open = true
}

function keepControl(): void {
  const read = parseLevel(control.read, { bareUnit: instrument?.kind === 'power-meter' ? 'W' : 'dBm' })
  const known = parseLevel(control.known, { bareUnit: 'W' })
  const sure = parsePlainNumber(control.sure, { min: 0, max: 60, unit: 'dB' })
  const wrong = [read, known, sure].find(one => !one.ok)
  if (wrong && !wrong.ok) {
    control.wrong = wrong.message
    return
  }
  if (!read.ok || !known.ok || !sure.ok || !control.setId) return
  const check: ControlCheck = {
    id: crypto.randomUUID(),
    chainId: chain.id,
    setId: control.setId,
    at: new Date().toISOString(),
    frequencyHz: carrierHz,
    text: control.read.trim(),
    levelDbm: read.levelDbm,
    resolutionDb: read.resolutionDb,
    calibrationIds: pinsOf(chain),
    knownDbm: known.levelDbm,
    knownExpandedDb: sure.value,
    knownFrom: control.from.trim(),
  }
  if (store.change('a look at the control radio', draft => void draft.controlChecks.push(check)))
    Object.assign(control, { open: false, read: '', wrong: '' })
}

function removePadTest(gone: string): void {
  store.change('a pad test removed', draft => {
    draft.padTests = draft.padTests.filter(({ id }) => id !== gone)
  })
}

function removeControl(gone: string): void {
  store.change('a control reading removed', draft => {
    draft.controlChecks = draft.controlChecks.filter(({ id }) => id !== gone)
  })
}
</script>

<template>
  <section class="sheet block" aria-labelledby="believable">
    <div class="spread">
      <h2 id="believable">Is this bench believable today?</h2>
      <div class="row">
        <VBtn
          v-if="isAnalyser"
          size="small"
          variant="outlined"
          :disabled="locked"
          @click="pad.open = !pad.open"
          >Pad test</VBtn
        >
        <VBtn
          size="small"
          variant="outlined"
          :disabled="locked || sets.length === 0"
          @click="control.open ? (control.open = false) : openControl()"
          >Control radio</VBtn
        >
      </div>
    </div>

    <form v-if="pad.open" class="form" @submit.prevent="keepPadTest">
      <p class="small">
        Read one harmonic, put a further pad in front of the analyser, read it again. The radio’s own falls by
        the pad; one made inside the analyser falls further.
      </p>
      <div class="grid">
        <VSelect v-model="pad.harmonic" :items="HARMONICS" :label="`Harmonic of ${printMhz(carrierHz)}`" />
        <VTextField v-model="pad.without" label="Without the pad" suffix="dBm" autofocus />
        <VTextField v-model="pad.withPad" label="With the pad" suffix="dBm" />
        <VTextField v-model="pad.padText" label="The pad" suffix="dB" />
        <VTextField v-model="pad.sureText" label="known to ±" suffix="dB" />
        <VBtn type="submit" color="primary">Keep the pad test</VBtn>
      </div>
      <p v-if="pad.wrong" class="wrong small" role="alert">{{ pad.wrong }}</p>
    </form>
    <form v-if="control.open" class="form" @submit.prevent="keepControl">
      <p class="small">
        Key the control radio into this chain on {{ printMhz(carrierHz) }} and type what the instrument shows.
        What it is known to make comes from a bench you trust.
      </p>
      <div class="grid">
        <VSelect v-model="control.setId" :items="sets" label="Radio" />
        <VTextField
          v-model="control.read"
          :label="`${instrument?.name ?? 'Instrument'} shows`"
          :suffix="instrument?.kind === 'power-meter' ? 'W' : 'dBm'"
          autofocus
        />
        <VTextField v-model="control.known" label="Known to make" placeholder="5.02 W" />
        <VTextField v-model="control.sure" label="known to ± (95 %)" suffix="dB" />
        <VTextField v-model="control.from" label="Known from" :maxlength="200" />
        <VBtn type="submit" color="primary">Keep the control reading</VBtn>
      </div>
      <p v-if="control.wrong" class="wrong small" role="alert">{{ control.wrong }}</p>
    </form>

    <ul class="results">
      <li v-for="{ test, result } in padTests" :key="test.id">
        <VerdictWord :state="STATES[result.outcome]" :words="WORDS[result.outcome]" />
        <span class="small">Pad test at ×{{ test.harmonic }}, {{ when(test.at) }}. {{ result.words }}</span>
        <VBtn
          icon
          size="small"
          variant="text"
          aria-label="Remove this pad test"
          :disabled="locked"
          @click="removePadTest(test.id)"
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </li>
      <li v-for="{ check, result } in controls" :key="check.id">
        <VerdictWord
          :state="!result.score ? 'not-covered' : result.believable ? 'inside' : 'outside'"
          :words="!result.score ? 'Cannot tell' : result.believable ? 'Believable' : 'Off'"
        />
        <span class="small"
          >Control radio on {{ printMhz(check.frequencyHz) }}, {{ when(check.at) }}. {{ result.words }}</span
        >
        <VBtn
          icon
          size="small"
          variant="text"
          aria-label="Remove this control reading"
          :disabled="locked"
          @click="removeControl(check.id)"
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </li>
      <li v-if="padTests.length === 0 && controls.length === 0" class="small quiet alone">
        Nothing done on this chain yet. A pad test shows whose harmonic it is; the control radio shows that
        the chain still tells the truth.
      </li>
    </ul>
  </section>
</template>

<style scoped>
.form {
  display: grid;
  gap: 8px;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px;
  align-items: start;
}
.results {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
}
.results li {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.results .alone {
  display: block;
}
@media (max-width: 700px) {
  .results li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .results li > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
