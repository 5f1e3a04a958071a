<script setup lang="ts">
import { clopperPearson, enScore } from '#core/decision'
import {
  dbFromPowerRatio,
  LEVEL_UNITS,
  levelIn,
  mismatchLossDbFromVswr,
  parseFrequency,
  parseLevel,
  parsePlainNumber,
  parseRatio,
  parseReflection,
  printDb,
  printLevel,
  printNumber,
  printOhm,
  printPercent,
  printPpm,
  printSignificant,
  printVswr,
  returnLossDbFromVswr,
  wattsFromDbm,
} from '#core/quantity'
import { bandwidthConversionDb } from '#core/rules'

/** Small calculators: what the trade works out on the back of an envelope. */
const ui = useUiStore()
const router = useRouter()
useKeys({ t: () => ui.toggleTheme(), 'g s': () => void router.push('/') })
onMounted(() => {
  document.title = 'Tools · Rigorous Meter'
})

/** Figures nobody would write in that unit are left out. */
const handy = (value: number) => Math.abs(value) < 1e5 && Math.abs(value) >= 1e-3

const level = ref('5 W')
const levels = computed(() => {
  const read = parseLevel(level.value, { bareUnit: 'dBm' })
  return read.ok
    ? {
        rows: LEVEL_UNITS.filter(unit => handy(levelIn(unit, read.levelDbm))).map(
          unit => [unit, printLevel(read.levelDbm, unit)] as const,
        ),
      }
    : { wrong: read.message, offers: read.offers }
})

const first = ref('35 W')
const second = ref('50 W')
const apart = computed(() => {
  const [a, b] = [first.value, second.value].map(text => parseLevel(text, { bareUnit: 'W' }))
  if (a?.ok && b?.ok)
    return `${printDb(dbFromPowerRatio(wattsFromDbm(a.levelDbm), wattsFromDbm(b.levelDbm)), 2)}`
  if (a?.ok === false) return a.message
  if (b?.ok === false) return b.message
  return ''
})

const match = ref('1.5')
const faces = computed(() => {
  const read = parseReflection(match.value)
  return read.ok
    ? {
        rows: [
          ['VSWR', printVswr(read.vswr)],
          ['return loss', printDb(returnLossDbFromVswr(read.vswr), 2)],
          ['mismatch loss', printDb(mismatchLossDbFromVswr(read.vswr), 3)],
          ['reflected power', printPercent(read.reflection ** 2)],
          ['as a resistance', `${printOhm(50 * read.vswr)} or ${printOhm(50 / read.vswr)}`],
        ] as const,
      }
    : { wrong: read.message }
})

const carrier = ref('446.1')
const offset = ref('2.5 ppm')
const inHz = computed(() => {
  const frequency = parseFrequency(carrier.value)
  const ratio = parseRatio(offset.value, { bareUnit: 'ppm' })
  if (!frequency.ok) return frequency.message
  if (!ratio.ok) return ratio.message
  return ratio.fraction === null
    ? 'Type the error in ppm or %.'
    : `${printSignificant(ratio.fraction * frequency.frequencyHz)} Hz (${printPpm(ratio.fraction)})`
})

const reference = ref('0.1')
const measured = ref('0.01')
const bandwidth = computed(() => {
  const [a, b] = [reference.value, measured.value].map(text => parseFrequency(text))
  if (a?.ok && b?.ok)
    return (
      `${printDb(bandwidthConversionDb(a.frequencyHz, b.frequencyHz), 2)} higher in the first, ` +
      'for a noise-like signal; a plain carrier reads the same'
    )
  if (a?.ok === false) return a.message
  if (b?.ok === false) return b.message
  return ''
})

const good = ref('1')
const samples = ref('4')
const share = computed(() => {
  const [k, n] = [good.value, samples.value].map(text => parsePlainNumber(text, { min: 0, max: 1e6 }))
  if (!k?.ok || !n?.ok) return 'Type two whole numbers.'
  if (!Number.isInteger(k.value) || !Number.isInteger(n.value) || n.value < 1 || k.value > n.value)
    return 'Type whole numbers, the good ones no more than all.'
  const range = clopperPearson(k.value, n.value)
  return `between ${printPercent(range.low)} and ${printPercent(range.high)} of all units (95 %, Clopper–Pearson)`
})

const two = reactive({ ours: '-9.0', oursU: '2.1', theirs: '-8.1', theirsU: '1.5' })
const en = computed(() => {
  const reads = [two.ours, two.oursU, two.theirs, two.theirsU].map((text, i) =>
    parsePlainNumber(text, { min: i % 2 ? 0 : -300, max: 300, unit: 'dB' }),
  )
  const [a, ua, b, ub] = reads
  if (!a?.ok || !ua?.ok || !b?.ok || !ub?.ok) return 'Type four numbers.'
  if (ua.value === 0 && ub.value === 0) return 'At least one of the two needs a range.'
  const score = enScore({ value: a.value, expanded: ua.value }, { value: b.value, expanded: ub.value })
  return `E_n ${printNumber(score.en, 2)}: ${score.agree ? 'they agree' : 'they disagree'}`
})
</script>

<template>
  <div>
    <AppHeader :crumbs="[{ text: 'Tools' }]" />
    <main class="page stack">
      <div>
        <NuxtLink to="/" class="small back">To the shelf</NuxtLink>
        <h1>Tools</h1>
        <p class="quiet">Small calculators. Nothing typed here is kept.</p>
      </div>
      <div class="grid">
        <section class="sheet block" aria-labelledby="t-level">
          <h2 id="t-level">Levels</h2>
          <VTextField
            v-model="level"
            label="A power, level or voltage"
            hint="4.37 W, 850 mW, 36.9 dBm, 0.2 µV, 6 dBµV emf"
            persistent-hint
          />
          <table v-if="levels.rows" class="plain" data-testid="levels">
            <thead class="only-read">
              <tr>
                <th>Unit</th>
                <th>Figure</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="[unit, text] in levels.rows" :key="unit">
                <td class="figure right">{{ text }}</td>
              </tr>
            </tbody>
          </table>
          <p v-else class="wrong small" role="alert">
            {{ levels.wrong }}
            <VBtn
              v-for="offer in levels.offers"
              :key="offer"
              size="small"
              variant="outlined"
              @click="level = offer"
              >{{ offer }}</VBtn
            >
          </p>
        </section>
        <section class="sheet block" aria-labelledby="t-match">
          <h2 id="t-match">A match</h2>
          <VTextField
            v-model="match"
            label="VSWR, return loss or resistance"
            hint="1.5, 14 dB, 75 Ω"
            persistent-hint
          />
          <dl v-if="faces.rows">
            <div v-for="[name, text] in faces.rows" :key="name">
              <dt>{{ name }}</dt>
              <dd class="figure">{{ text }}</dd>
            </div>
          </dl>
          <p v-else class="wrong small" role="alert">{{ faces.wrong }}</p>
        </section>
        <section class="sheet block" aria-labelledby="t-apart">
          <h2 id="t-apart">How far apart</h2>
          <div class="two">
            <VTextField v-model="first" label="This" /><VTextField v-model="second" label="against this" />
          </div>
          <p class="figure">{{ apart }}</p>
        </section>
        <section class="sheet block" aria-labelledby="t-hz">
          <h2 id="t-hz">Frequency error</h2>
          <div class="two">
            <VTextField v-model="carrier" label="Carrier" suffix="MHz" /><VTextField
              v-model="offset"
              label="Error"
            />
          </div>
          <p class="figure">{{ inHz }}</p>
        </section>
        <section class="sheet block" aria-labelledby="t-rbw">
          <h2 id="t-rbw">Another bandwidth</h2>
          <div class="two">
            <VTextField v-model="reference" label="The rule’s" suffix="MHz" /><VTextField
              v-model="measured"
              label="Measured in"
              suffix="MHz"
            />
          </div>
          <p>{{ bandwidth }}</p>
        </section>
        <section class="sheet block" aria-labelledby="t-share">
          <h2 id="t-share">What samples say</h2>
          <div class="two">
            <VTextField v-model="good" label="Good ones" /><VTextField v-model="samples" label="of so many" />
          </div>
          <p>{{ share }}</p>
        </section>
        <section class="sheet block" aria-labelledby="t-en">
          <h2 id="t-en">Two testers</h2>
          <div class="two">
            <VTextField v-model="two.ours" label="One" suffix="dB" /><VTextField
              v-model="two.oursU"
              label="its ± (95 %)"
              suffix="dB"
            /><VTextField v-model="two.theirs" label="The other" suffix="dB" /><VTextField
              v-model="two.theirsU"
              label="its ± (95 %)"
              suffix="dB"
            />
          </div>
          <p>{{ en }}</p>
        </section>
      </div>
    </main>
  </div>
</template>

<style scoped>
.page {
  max-width: 1120px;
  margin: 0 auto;
  padding: 20px 20px 60px;
}
.grid {
  columns: 3 300px;
  column-gap: 14px;
}
.block {
  break-inside: avoid;
  margin-bottom: 14px;
  padding: 14px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
dl {
  margin: 0;
  display: grid;
  gap: 4px;
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
dd {
  margin: 0;
}
</style>
