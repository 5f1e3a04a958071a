<script setup lang="ts">
import type { FigureRead, LevelRead } from '#core/quantity'
import {
  printClaimW,
  printDb,
  printMhzFigure,
  printRange,
  printWatts,
  wattsFromDbm,
  dbmFromWatts,
  printSigned,
} from '#core/quantity'
import { CARRIER_POWER_ID, efficiency, type StepResult } from '#core/station'

const store = useReviewStore()
const run = useStationRun(CARRIER_POWER_ID, step =>
  store.context?.instrument(store.context.chain(step.chainId)?.instrumentId ?? '')?.kind ===
  'spectrum-analyser'
    ? 'dBm'
    : 'W',
)
const { step, steps, stepIndex, result, results, checks, unsafe, bareUnit, instrument, set } = run
const { placeTo } = useReviewRoute()

const field = useTemplateRef<{ focus: () => void; select: () => void }>('field')
const slot = computed(() => result.value?.slots[0] ?? null)
const measuredW = computed(() => (slot.value?.corrected ? wattsFromDbm(slot.value.corrected.levelDbm) : null))
const shortfall = computed(() => {
  const claim = step.value?.claim
  return claim?.kind === 'watts' && slot.value?.corrected
    ? slot.value.corrected.levelDbm - dbmFromWatts(claim.powerW)
    : null
})
const record = useTemplateRef<{ focusNote: () => void }>('record')

const SUPPLY = [
  { id: 'supply-v', options: { unit: 'V' as const, min: 0.1, max: 100 } },
  { id: 'supply-a', options: { unit: 'A' as const, min: 0.001, max: 200 } },
]
const supplySlots = computed(() =>
  SUPPLY.flatMap(({ id, options }) => {
    const own = step.value?.slots.find(one => one.id === id)
    return step.value && own
      ? [
          {
            id,
            options,
            label: own.label,
            key: `${step.value.set.id}|${step.value.id}|${id}`,
            figure: store.context?.figure(step.value.set.id, step.value.id, id) ?? null,
          },
        ]
      : []
  }),
)
const asSupply = (
  slotId: string,
  { text, read: { value, resolution, isUpperBound } }: { text: string; read: FigureRead },
) => ({
  slotId,
  text,
  value,
  resolution,
  isUpperBound,
  unit: SUPPLY.find(({ id }) => id === slotId)!.options.unit,
})
const share = computed(() =>
  step.value && slot.value && run.shownContext.value
    ? efficiency(step.value, slot.value.corrected, run.shownContext.value)
    : null,
)
function draftSupply(slotId: string, value: { text: string; read: FigureRead } | null): void {
  run.draftFigure.value = value && asSupply(slotId, value)
}
function keepSupply(slotId: string, value: { text: string; read: FigureRead }): void {
  run.keepAll(
    { figures: [asSupply(slotId, value)] },
    slotId === 'supply-v' ? 'a supply voltage' : 'a supply current',
  )
}

const bands = computed(() => [...new Map(steps.value.map(({ band }) => [band.id, band])).values()])
const resultsOf = (bandId: string): StepResult[] => results.value.filter(one => one.step.band.id === bandId)

function draftOf(value: { text: string; read: LevelRead } | null): void {
  run.draft.value =
    value && step.value ? { slotId: 'carrier', ...value, frequencyHz: step.value.channel.frequencyHz } : null
}

function keep(value: { text: string; read: LevelRead }): void {
  if (!step.value) return
  if (
    run.keep(
      [{ slotId: 'carrier', ...value, frequencyHz: step.value.channel.frequencyHz }],
      `the reading ${value.text}`,
    )
  )
    goOn()
}

function goOn(): void {
  if (!run.toNextOpen()) run.toStep(1)
  refocus()
}

function goBack(): void {
  run.toStep(-1)
  refocus()
}

function refocus(): void {
  void nextTick(() => field.value?.focus())
}

function retake(): void {
  refocus()
  void nextTick(() => field.value?.select())
}

useKeys({
  n: () => run.toStep(1),
  p: () => run.toStep(-1),
  o: event => {
    event.preventDefault()
    record.value?.focusNote()
  },
  r: event => {
    event.preventDefault()
    retake()
  },
  ...Object.fromEntries([...'0123456789'].map(digit => [digit, () => field.value?.focus()])),
})

const unitHint = computed(() =>
  bareUnit.value === 'W' ? '4.37, 850 mW, 36.9 dBm; 4.4; 4.3 for two' : '36.9 dBm or 4.37 W; −3; −4 for two',
)
</script>

<template>
  <div v-if="step && result && slot" class="columns">
    <div class="stack">
      <StepHead
        :step="step"
        :index="stepIndex"
        :count="steps.length"
        title="Carrier power"
        @go="
          by => {
            run.toStep(by)
            refocus()
          }
        "
      />
      <RadioSettings :step="step" :unsafe="unsafe" />
      <section class="sheet entry" aria-label="Reading and result">
        <div>
          <p class="small quiet">{{ instrument?.name ?? 'No instrument' }} shows ({{ unitHint }})</p>
          <ReadingField
            :key="step.id"
            ref="field"
            :reading="
              slot.reading && slot.reading.id !== 'draft'
                ? slot.reading
                : (store.context?.reading(step.set.id, step.id, 'carrier') ?? null)
            "
            :bare-unit="bareUnit"
            :label="`Reading on ${printMhzFigure(step.channel.frequencyHz)} MHz, ${step.level.name}`"
            large
            :disabled="store.readOnly || !step.chainId"
            @draft="draftOf"
            @keep="keep"
            @go-on="goOn"
            @go-back="goBack"
          />
        </div>
        <div class="answer" aria-live="polite">
          <p class="small quiet">At the radio’s socket</p>
          <p class="figure power" data-testid="socket-power">
            {{
              measuredW === null ? '–' : `${slot.corrected?.isUpperBound ? '<' : ''}${printWatts(measuredW)}`
            }}
            <span v-if="slot.corrected" class="range">{{ printRange(slot.corrected.budget) }}</span>
          </p>
          <MarginStrip :verdict="slot.verdict" />
          <p class="spread">
            <VerdictWord :state="slot.verdict.state" :words="slot.words" large data-testid="verdict" /><span
              v-if="shortfall !== null"
              class="small quiet"
              >{{ printSigned(shortfall, 2) }} dB against
              {{ step.claim.kind === 'watts' ? printClaimW(step.claim.powerW) : ''
              }}<template v-if="store.review?.settings.claimToleranceDb"
                >, tolerance {{ printDb(store.review.settings.claimToleranceDb) }}</template
              ></span
            >
          </p>
        </div>
      </section>
      <QuestionsList :questions="result.questions" />
      <section class="sheet supply" aria-label="Supply while keyed">
        <span class="small quiet">Supply while keyed, if wished:</span>
        <label v-for="one in supplySlots" :key="one.key" class="unit"
          ><FigureField
            :figure="one.figure"
            :options="one.options"
            :label="one.label"
            :disabled="store.readOnly"
            @draft="value => draftSupply(one.id, value)"
            @keep="value => keepSupply(one.id, value)"
          /><span>{{ one.options.unit }}</span></label
        >
        <span class="small" data-testid="efficiency">{{
          share === null ? 'volts and amperes give the efficiency' : result.slots[2]?.words
        }}</span>
      </section>
      <div class="curves">
        <PowerCurve
          v-for="band in bands"
          :key="band.id"
          :results="resultsOf(band.id)"
          :band-name="band.name"
        />
      </div>
      <StepRecord ref="record" :key="`${step.set.id}|${step.id}`" :step="step" :slots="result.slots" />
      <section class="sheet table" aria-label="All readings of carrier power">
        <table class="plain">
          <thead>
            <tr>
              <th>Band</th>
              <th class="right">MHz</th>
              <th>Level</th>
              <th class="right">As read</th>
              <th class="right">At socket</th>
              <th class="right">Claim</th>
              <th class="strip-cell">Margin to claim</th>
              <th>Verdict</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in results" :key="one.step.id" :class="{ here: one.step.id === step.id }">
              <td>{{ one.step.band.name }}</td>
              <td class="right">
                <NuxtLink :to="placeTo('carrier-power', { step: one.step.id })" class="figure">{{
                  printMhzFigure(one.step.channel.frequencyHz)
                }}</NuxtLink>
              </td>
              <td>{{ one.step.level.name }}</td>
              <td class="right figure">{{ one.slots[0]?.reading?.text ?? '–' }}</td>
              <td class="right figure">
                {{
                  one.slots[0]?.corrected ? printWatts(wattsFromDbm(one.slots[0].corrected.levelDbm)) : '–'
                }}
              </td>
              <td class="right figure">
                {{ one.step.claim.kind === 'watts' ? printClaimW(one.step.claim.powerW) : '–' }}
              </td>
              <td class="strip-cell"><MarginStrip :verdict="one.verdict" /></td>
              <td><VerdictWord :state="one.verdict.state" :words="one.words" /></td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
    <StepSide :step="step" :focus="slot" :checks="checks" :unsafe="unsafe" carrier-words="" />
  </div>
  <section v-else-if="steps.length === 0" class="sheet nothing stack">
    <h1>Carrier power</h1>
    <p v-if="set">
      Nothing is planned yet. Carrier power is measured on every claimed band, level and channel: put those on
      the card.
    </p>
    <p v-else>Add a radio first.</p>
    <NuxtLink :to="placeTo('card')">To card and claims</NuxtLink>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 292px;
  gap: 20px;
  align-items: start;
}
.entry {
  display: grid;
  grid-template-columns: minmax(220px, 340px) minmax(0, 1fr);
  gap: 14px 28px;
  padding: 14px 18px 16px;
}
.answer {
  display: grid;
  gap: 4px;
  align-content: start;
}
.power {
  font-size: 32px;
  font-weight: 700;
  line-height: 1.1;
}
.range {
  font-size: 18px;
  font-weight: 400;
  color: var(--ink-2);
}
.supply {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 8px 18px;
}
.unit {
  display: flex;
  align-items: center;
  gap: 6px;
}
.unit > div {
  width: 110px;
}
.curves {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 14px;
}
.table {
  overflow-x: auto;
  padding: 4px 8px;
}
.here {
  background: rgba(var(--v-theme-inside-wash), 0.55);
}
.strip-cell {
  min-width: 130px;
  width: 20%;
}
.nothing {
  padding: 24px;
  max-width: 560px;
}
a {
  color: var(--spruce);
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 700px) {
  .entry {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
