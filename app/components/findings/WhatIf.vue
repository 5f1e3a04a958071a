<script setup lang="ts">
import { DECISION_RULES, type DecisionRule, decisionRuleWords } from '#core/decision'
import type { ReviewDifference, Supposition, supposedReview } from '#core/findings'
import { differenceWords } from '#core/publication'
import { parsePlainNumber, printSigned } from '#core/quantity'
import { rulebooks } from '#core/rules'

/** What would follow if something were otherwise: which verdicts turn, before it is taken over. */
const store = useReviewStore()
const ui = useUiStore()

const KINDS = [
  { value: 'rule', title: 'another decision rule' },
  { value: 'part', title: 'a part that loses more or less' },
  { value: 'rulebooks', title: 'another rulebook' },
  { value: 'tolerance', title: 'a tolerance on claims' },
] as const
const kind = ref<(typeof KINDS)[number]['value']>('rule')

const settings = computed(() => store.review?.settings ?? null)
const rules = computed(() =>
  DECISION_RULES.filter(rule => rule !== settings.value?.decisionRule).map(rule => ({
    value: rule,
    title: decisionRuleWords[rule].title,
  })),
)
const rule = ref<DecisionRule | null>(null)
const parts = computed(() =>
  (store.review?.chains ?? []).flatMap(chain =>
    chain.parts
      .filter(({ loss }) => loss.kind !== 'coax')
      .map(({ id, name }) => ({ value: id, title: `${name}, in “${chain.name}”` })),
  ),
)
const partId = ref<string | null>(null)
const byText = ref('0.5')
const books = computed(() => [...rulebooks, ...(store.review?.ownRulebooks ?? [])])
const bookItems = computed(() => books.value.map(({ id, title }) => ({ value: id, title })))
const bookId = ref<string | null>(null)
const toleranceText = ref('1.5')

const wrong = ref('')

/** What is supposed; null, with the reason, where it is not said yet. */
function supposed(): Supposition | null {
  wrong.value = ''
  switch (kind.value) {
    case 'rule':
      return rule.value ? { kind: 'rule', rule: rule.value } : missing('Which rule?')
    case 'rulebooks':
      return bookId.value ? { kind: 'rulebooks', rulebookIds: [bookId.value] } : missing('Which rulebook?')
    case 'part': {
      const by = parsePlainNumber(byText.value, { min: -60, max: 60, unit: 'dB' })
      if (!partId.value) return missing('Which part?')
      return by.ok ? { kind: 'part', partId: partId.value, byDb: by.value } : missing(by.message)
    }
    case 'tolerance': {
      const read = parsePlainNumber(toleranceText.value, { min: 0, max: 20, unit: 'dB' })
      return read.ok ? { kind: 'tolerance', toleranceDb: read.value } : missing(read.message)
    }
  }
}

function missing(words: string): null {
  wrong.value = words
  return null
}

interface Found {
  supposition: Supposition
  differences: ReviewDifference[]
  /** Fetched with the answer: taking it over must not wait for anything, or leaving the page would lose it. */
  supposedReview: typeof supposedReview
}
const found = shallowRef<Found | null>(null)
const isBusy = ref(false)
let job: { cancel: () => void } | null = null
let turn = 0

function forget(): void {
  turn += 1
  job?.cancel()
  job = null
  isBusy.value = false
  found.value = null
}
watch([kind, rule, partId, byText, bookId, toleranceText, () => store.review], forget)
onScopeDispose(forget)

async function look(): Promise<void> {
  const supposition = supposed()
  if (!supposition || !store.review) return
  forget()
  isBusy.value = true
  const mine = turn
  const { differencesIf } = await import('~/workers/comparisonWorker')
  if (mine !== turn || !store.review) return
  const begun = (job = differencesIf(toRaw(store.review), supposition))
  try {
    const [differences, findings] = await Promise.all([begun.done, import('#core/findings')])
    if (mine === turn) found.value = { supposition, differences, supposedReview: findings.supposedReview }
  } catch (error) {
    if (mine === turn) ui.sayProblem(error)
  }
  if (mine === turn) isBusy.value = false
}

function takeOver(): void {
  if (!found.value || !store.review) return
  const next = found.value.supposedReview(store.review, found.value.supposition)
  store.change('what was tried', draft => {
    draft.settings = next.settings
    draft.chains = next.chains
    draft.calibrations = next.calibrations
  })
}

const verdicts = computed(() => found.value?.differences.filter(({ isVerdict }) => isVerdict) ?? [])
const sum = computed(() => {
  const words = found.value ? differenceWords(found.value.differences) : ''
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`
})
const MOST_SHOWN = 40
const byWords = computed(() => {
  const by = parsePlainNumber(byText.value, { min: -60, max: 60, unit: 'dB' })
  return by.ok ? `${printSigned(by.value)} dB of loss` : by.message
})
</script>

<template>
  <section class="sheet part stack" data-testid="what-if" aria-labelledby="what-if">
    <h2 id="what-if">What if</h2>
    <form class="row" @submit.prevent="look">
      <VSelect v-model="kind" :items="[...KINDS]" label="it were" class="wide" />
      <VSelect v-if="kind === 'rule'" v-model="rule" :items="rules" label="Rule" class="wide" />
      <VSelect
        v-else-if="kind === 'rulebooks'"
        v-model="bookId"
        :items="bookItems"
        label="Rulebook"
        class="wide"
      />
      <template v-else-if="kind === 'part'">
        <VSelect v-model="partId" :items="parts" label="Part" class="wide" />
        <VTextField v-model="byText" label="More loss, dB" :hint="byWords" class="narrow" />
      </template>
      <VTextField v-else v-model="toleranceText" label="Tolerance, dB" class="narrow" />
      <VBtn type="submit" variant="outlined" :loading="isBusy">Look</VBtn>
    </form>
    <p v-if="wrong" role="alert">{{ wrong }}</p>
    <div v-if="found" role="status" class="stack">
      <p>{{ sum }}</p>
      <ul v-if="verdicts.length" class="turned">
        <li v-for="(one, index) in verdicts.slice(0, MOST_SHOWN)" :key="index" class="small">
          {{ one.set }}, {{ one.station }}, {{ one.place }}: {{ one.before }} →
          <strong>{{ one.after }}</strong>
        </li>
        <li v-if="verdicts.length > MOST_SHOWN" class="small quiet">
          and {{ verdicts.length - MOST_SHOWN }} more
        </li>
      </ul>
      <div v-if="found.differences.length" class="row">
        <VBtn variant="outlined" :disabled="store.readOnly" @click="takeOver">Take it over</VBtn>
        <span class="small quiet">It can be undone.</span>
      </div>
    </div>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 16px;
}
.wide {
  flex: 1 1 220px;
}
.narrow {
  flex: 0 1 140px;
}
.turned {
  margin: 0;
  padding-left: 18px;
  overflow-wrap: anywhere;
}
</style>
