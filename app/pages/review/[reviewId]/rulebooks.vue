<script setup lang="ts">
import { DECISION_RULES, decisionRuleWords } from '#core/decision'
import { printDb } from '#core/quantity'
import type { ReviewSettings } from '#core/review'
import { clauseWords, type Rulebook, rulebooks, yardsticks } from '#core/rules'

const store = useReviewStore()
const ui = useUiStore()
const { reviewId, set } = useReviewRoute()
const { own, all, copy, remove, takeAway, bringIn } = useOwnRulebooks()
const settings = computed(() => store.review!.settings)
const locked = computed(() => store.readOnly)
const picker = useTemplateRef<HTMLInputElement>('picker')

function change(label: string, recipe: (draft: ReviewSettings) => void): void {
  store.change(label, draft => recipe(draft.settings))
}

const GROUPS = computed(() => [
  { title: 'Law', books: rulebooks.filter(({ standing }) => standing === 'law') },
  { title: 'Standards', books: rulebooks.filter(({ standing }) => standing === 'standard') },
  { title: 'Your own', books: own.value },
])
const chosen = computed(() =>
  settings.value.rulebookIds.flatMap(id => all.value.find(book => book.id === id) ?? []),
)
const yardstickItems = computed(() => [
  { value: '', title: 'none' },
  ...[...yardsticks, ...own.value.filter(({ standing }) => standing === 'yardstick')].map(
    ({ id, title }) => ({ value: id, title }),
  ),
])
const yardstick = computed(() => all.value.find(({ id }) => id === settings.value.yardstickId) ?? null)
const bandsWithTheirOwn = computed(() =>
  store.review!.sets.flatMap(set =>
    set.bands.filter(band => band.rulebookIds).map(band => `${set.make} ${set.model} on ${band.name}`),
  ),
)

const shownId = ref<string | null>(null)
const shown = computed(() => all.value.find(({ id }) => id === shownId.value) ?? chosen.value[0] ?? null)

function toggle(book: Rulebook, on: boolean): void {
  if (!on && settings.value.rulebookIds.length === 1) {
    ui.say('A review is judged by one rulebook at least. Tick another first.')
    return
  }
  change(on ? `judged by ${book.title}` : `no longer judged by ${book.title}`, draft => {
    draft.rulebookIds = on ? [...draft.rulebookIds, book.id] : draft.rulebookIds.filter(id => id !== book.id)
  })
}

function picked(event: Event): void {
  const input = event.target as HTMLInputElement
  void bringIn(input.files?.[0])
  input.value = ''
}

const editPlace = (id: string) => ({
  path: `/review/${reviewId.value}/rulebook`,
  query: { ...(set.value ? { set: set.value.id } : {}), book: id },
})
function copyAndEdit(book: Rulebook): void {
  void navigateTo(editPlace(copy(book.id)))
}

const TOLERANCES = [
  { value: 0, title: 'None: the claim is the claim' },
  { value: 1.5, title: '±1.5 dB, as EN 300 086 allows' },
]
const ownTolerance = computed(
  () => !TOLERANCES.some(({ value }) => value === settings.value.claimToleranceDb),
)
const toleranceItems = computed(() => [
  ...TOLERANCES,
  ...(ownTolerance.value
    ? [{ value: settings.value.claimToleranceDb, title: `Own: ${printDb(settings.value.claimToleranceDb)}` }]
    : []),
])
</script>

<template>
  <div class="stack">
    <div class="spread">
      <div>
        <h1>Rulebooks</h1>
        <p class="quiet">
          Several at once: the strictest holds, each is shown. All shipped limits are recalled from memory;
          check the current text.
        </p>
      </div>
      <VBtn variant="outlined" :disabled="locked" @click="picker?.click()">Bring in a rulebook</VBtn>
      <input
        ref="picker"
        type="file"
        accept=".json,application/json"
        class="only-read"
        tabindex="-1"
        aria-label="Rulebook file"
        @change="picked"
      />
    </div>

    <div class="columns">
      <section class="sheet block" aria-label="Judged by">
        <template v-for="group in GROUPS" :key="group.title">
          <h2>{{ group.title }}</h2>
          <ul class="books">
            <li v-for="book in group.books" :key="book.id" :class="{ here: shown?.id === book.id }">
              <label
                ><input
                  type="checkbox"
                  :checked="settings.rulebookIds.includes(book.id)"
                  :disabled="locked"
                  @click="
                    event => {
                      if (settings.rulebookIds.includes(book.id) && settings.rulebookIds.length === 1) {
                        event.preventDefault()
                        toggle(book, false)
                      }
                    }
                  "
                  @change="event => toggle(book, (event.target as HTMLInputElement).checked)"
                /><span
                  ><strong>{{ book.title }}</strong
                  ><span class="small quiet">{{ book.edition }}</span></span
                ></label
              >
              <button
                type="button"
                class="show small"
                :aria-pressed="shown?.id === book.id"
                :aria-label="`Show the clauses of ${book.title}`"
                @click="shownId = book.id"
              >
                Clauses
              </button>
            </li>
            <li v-if="group.books.length === 0" class="small quiet none">
              None yet. Copy a rulebook and correct it, or bring one in; yours wins.
            </li>
          </ul>
        </template>
        <p v-if="bandsWithTheirOwn.length" class="small quiet">
          Judged by rulebooks of their own (see the card): {{ bandsWithTheirOwn.join(', ') }}.
        </p>
        <VSelect
          :model-value="settings.yardstickId ?? ''"
          :items="yardstickItems"
          label="Your yardstick, where law has no figure"
          :disabled="locked"
          @update:model-value="
            value =>
              change('the yardstick', draft => {
                draft.yardstickId = value || null
              })
          "
        />
      </section>
      <AskTheRulebooks :books="chosen" :yardstick="yardstick" />
    </div>

    <section v-if="shown" class="sheet block" aria-labelledby="clauses">
      <div class="spread">
        <div>
          <h2 id="clauses">{{ shown.title }}: its clauses</h2>
          <p class="small quiet">
            {{ shown.jurisdiction }} · {{ shown.edition
            }}<template v-if="shown.owner === 'reviewer'">
              · yours<template v-if="shown.basedOn"
                >, copied from
                {{ all.find(({ id }) => id === shown!.basedOn)?.title ?? shown.basedOn }}</template
              ></template
            >
          </p>
        </div>
        <div class="row">
          <template v-if="shown.owner === 'reviewer'">
            <VBtn size="small" color="primary" :disabled="locked" @click="navigateTo(editPlace(shown.id))"
              >Change</VBtn
            >
            <VBtn size="small" variant="outlined" :disabled="locked" @click="remove(shown)">Remove</VBtn>
          </template>
          <VBtn size="small" variant="outlined" :disabled="locked" @click="copyAndEdit(shown)"
            >Copy and change</VBtn
          >
          <VBtn size="small" variant="outlined" @click="takeAway(shown)">Take away as a file</VBtn>
        </div>
      </div>
      <p v-if="shown.note" class="small">{{ shown.note }}</p>
      <div class="scroll">
        <table class="plain">
          <thead>
            <tr>
              <th>Clause</th>
              <th>About</th>
              <th>When</th>
              <th>Asks</th>
              <th>Sure?</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in clauseWords(shown)" :key="line.id" :class="{ off: line.off }">
              <td>{{ line.clause }}</td>
              <td>{{ line.about }}</td>
              <td>{{ line.when }}</td>
              <td>{{ line.asks }}</td>
              <td>{{ line.off ? 'L, switched off' : line.confidence }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="small quiet">
        H sure, M likely, L vague: never gives a verdict. The form of the files is described by
        <a href="/schema/rulebook-1.schema.json">their JSON Schema</a>.
      </p>
    </section>

    <section class="sheet block" aria-labelledby="decision">
      <h2 id="decision">How a reading is decided</h2>
      <div class="rules" role="radiogroup" aria-labelledby="decision">
        <label v-for="rule in DECISION_RULES" :key="rule" class="rule">
          <input
            type="radio"
            name="decision-rule"
            :value="rule"
            :checked="settings.decisionRule === rule"
            :disabled="locked"
            @change="
              change('the decision rule', draft => {
                draft.decisionRule = rule
              })
            "
          />
          <span
            ><strong>{{ decisionRuleWords[rule].title }}</strong
            ><span class="small">{{ decisionRuleWords[rule].text }}</span
            ><span class="small quiet"
              >{{ decisionRuleWords[rule].promise }} {{ decisionRuleWords[rule].source }}.</span
            ></span
          >
        </label>
      </div>
      <div class="grid">
        <VSelect
          :model-value="settings.claimToleranceDb"
          :items="toleranceItems"
          label="Tolerance on claimed power"
          :disabled="locked"
          @update:model-value="
            value =>
              change('the tolerance on claims', draft => {
                draft.claimToleranceDb = value as number
              })
          "
        />
        <NumberField
          :model-value="settings.claimToleranceDb"
          label="or your own"
          unit="dB"
          :min="0"
          :max="20"
          :disabled="locked"
          @update:model-value="
            value =>
              change('the tolerance on claims', draft => {
                draft.claimToleranceDb = value ?? 0
              })
          "
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.books {
  list-style: none;
  margin: 0 -8px;
  padding: 0;
  display: grid;
}
.books li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 3px 8px;
  border-radius: 4px;
}
.books .here {
  background: rgba(var(--v-theme-inside-wash), 0.5);
}
.books .none {
  display: block;
}
.books label {
  display: flex;
  gap: 10px;
  align-items: baseline;
  min-width: 0;
  cursor: pointer;
}
.books label span span {
  display: block;
  line-height: 1.25;
}
.books input,
.rule input {
  accent-color: var(--spruce);
  width: 16px;
  height: 16px;
  flex: none;
  translate: 0 2px;
}
.show {
  color: var(--spruce);
  text-decoration: underline;
  padding: 4px;
}
.rules {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
  gap: 12px 24px;
}
.rule {
  display: flex;
  gap: 10px;
  align-items: baseline;
  cursor: pointer;
}
.rule span {
  display: grid;
  gap: 2px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 320px));
  gap: 12px;
}
.scroll td {
  font-size: 14px;
  vertical-align: top;
}
.off td {
  color: var(--ink-3);
}
a {
  color: var(--spruce);
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 560px) {
  .grid {
    grid-template-columns: 1fr;
  }
  .scroll table {
    min-width: 640px;
  }
  .scroll td {
    font-size: 13px;
  }
}
</style>
