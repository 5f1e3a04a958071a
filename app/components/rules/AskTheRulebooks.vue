<script setup lang="ts">
import {
  dbmFromWatts,
  parseFrequency,
  parseLevel,
  parsePlainNumber,
  printDb,
  printDbm,
  printWatts,
  wattsFromDbm,
} from '#core/quantity'
import {
  evaluateLimit,
  limitCurve,
  type CarrierFacts,
  type LimitAnswer,
  type Mode,
  type Rulebook,
} from '#core/rules'

/**
 * Asks the chosen rulebooks about any carrier, before anything is measured, and draws what they say over
 * frequency.
 */
const { books, yardstick } = defineProps<{ books: readonly Rulebook[]; yardstick: Rulebook | null }>()

const CURVE_POINTS = 160
const SPACINGS = [
  { value: 0, title: 'not said' },
  ...[6.25, 10, 12.5, 20, 25].map(kHz => ({ value: kHz * 1e3, title: `${kHz} kHz` })),
]
const MODES: Mode[] = ['FM', 'AM', 'SSB']
const KINDS = [
  { value: 'handheld', title: 'Handheld' },
  { value: 'mobile', title: 'Mobile' },
]

const power = ref('5 W')
const frequency = ref('146.52')
const mode = ref<Mode>('FM')
const kind = ref<'handheld' | 'mobile'>('handheld')
const spacingHz = ref(0)
const gain = ref('')

const asked = computed(() => {
  const level = parseLevel(power.value, { bareUnit: 'W' })
  const hz = parseFrequency(frequency.value)
  const gainDbd =
    gain.value.trim() === '' ? null : parsePlainNumber(gain.value, { min: -60, max: 60, unit: 'dB' })
  const wrong = [level, hz, ...(gainDbd ? [gainDbd] : [])].find(read => !read.ok)
  if (wrong && !wrong.ok) return { error: wrong.message }
  if (!level.ok || !hz.ok) return { error: '' }
  const carrier: CarrierFacts = {
    powerW: wattsFromDbm(level.levelDbm),
    frequencyHz: hz.frequencyHz,
    mode: mode.value,
    kind: kind.value,
    channelSpacingHz: spacingHz.value || null,
    antennaGainDbd: gainDbd?.ok ? gainDbd.value : null,
  }
  const all = [...books, ...(yardstick && !books.includes(yardstick) ? [yardstick] : [])]
  const range = {
    fromHz: Math.max(9e3, Math.min(1e6, hz.frequencyHz / 10)),
    toHz: Math.max(1.2e9, hz.frequencyHz * 10.5),
    points: CURVE_POINTS,
  }
  return {
    carrier,
    curves: all.map(book => limitCurve(book, carrier, range)),
    answers: all.map(book => ({
      book,
      unwanted: evaluateLimit(book, carrier),
      most: evaluateLimit(book, carrier, undefined, 'carrier-power'),
    })),
  }
})

function lawful(answers: { book: Rulebook; unwanted: LimitAnswer }[]): number[] {
  return answers.flatMap(({ book, unwanted }) =>
    unwanted.kind === 'limit' && book.standing !== 'yardstick' ? [unwanted.limitDbm] : [],
  )
}
const strictestDbm = computed(() =>
  'answers' in asked.value && asked.value.answers
    ? Math.min(...lawful(asked.value.answers), Infinity)
    : Infinity,
)
const powerWords = (answer: LimitAnswer) => {
  if (answer.kind === 'limit')
    return `at most ${printWatts(wattsFromDbm(answer.limitDbm))} at the socket (${answer.clause})`
  if (answer.kind === 'cannot-judge') return answer.reason
  return ''
}
</script>

<template>
  <section class="sheet block" aria-labelledby="ask">
    <h2 id="ask">What would they ask?</h2>
    <div class="grid">
      <VTextField v-model="power" label="Carrier power" />
      <VTextField v-model="frequency" label="Carrier frequency" suffix="MHz" />
      <VSelect v-model="mode" :items="MODES" label="Mode" />
      <VSelect v-model="spacingHz" :items="SPACINGS" label="Channel spacing" />
      <VSelect v-model="kind" :items="KINDS" label="Kind of set" />
      <VTextField
        v-model="gain"
        label="Antenna gain over a dipole"
        suffix="dB"
        placeholder="not known"
        persistent-placeholder
      />
    </div>
    <p v-if="'error' in asked" class="wrong" role="alert">{{ asked.error }}</p>
    <template v-else>
      <LimitChart
        :curves="asked.curves"
        :carrier-hz="asked.carrier.frequencyHz"
        :carrier-dbm="dbmFromWatts(asked.carrier.powerW)"
      />
      <ul class="answers" data-testid="law-answer" aria-live="polite">
        <li v-for="{ book, unwanted, most } in asked.answers" :key="book.id">
          <p class="spread">
            <strong
              >{{ book.title
              }}<span v-if="book.standing === 'yardstick'" class="quiet small">
                · your yardstick, no law</span
              ></strong
            >
            <span v-if="unwanted.kind === 'limit'"
              ><span class="figure big">{{ printDbm(unwanted.limitDbm, 2) }}</span>
              <span class="quiet small"
                >{{ printWatts(wattsFromDbm(unwanted.limitDbm)) }},
                {{ printDb(dbmFromWatts(asked.carrier.powerW) - unwanted.limitDbm, 2) }} below the
                carrier<template
                  v-if="
                    unwanted.limitDbm === strictestDbm && book.standing !== 'yardstick' && books.length > 1
                  "
                >
                  · the strictest</template
                ></span
              ></span
            >
            <VerdictWord
              v-else
              :state="unwanted.kind === 'no-figure' ? 'no-figure' : 'not-covered'"
              :words="unwanted.kind === 'no-figure' ? 'No figure in law' : 'Cannot be judged yet'"
            />
          </p>
          <p class="small">{{ unwanted.reason }}</p>
          <p v-if="powerWords(most)" class="small">Power: {{ powerWords(most) }}</p>
          <p class="small quiet">
            {{ unwanted.clause
            }}<template v-if="unwanted.kind === 'limit' && unwanted.recalled">
              · recalled, confidence {{ unwanted.confidence }}; check the current text</template
            ><template v-if="unwanted.kind === 'limit' && unwanted.referenceBandwidthHz">
              · counted in {{ unwanted.referenceBandwidthHz / 1e3 }} kHz</template
            >
          </p>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.block {
  padding: 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;
}
.answers {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
}
.answers li {
  display: grid;
  gap: 3px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
.big {
  margin-right: 8px;
  font-size: 18px;
  font-weight: 600;
}
@media (max-width: 560px) {
  .grid {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
