<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { parseFrequency } from '#core/quantity'
import type { LimitClause, Rulebook } from '#core/rules'

const store = useReviewStore()
const route = useRoute()
const { placeTo } = useReviewRoute()
const { own, change: changeBook, takeAway } = useOwnRulebooks()
const book = computed(() => own.value.find(({ id }) => id === route.query.book) ?? null)
const locked = computed(() => store.readOnly)
const wrong = ref('')

const STANDINGS = [
  { value: 'law', title: 'Law' },
  { value: 'standard', title: 'Standard' },
  { value: 'yardstick', title: 'Yardstick, no law' },
]

function change(label: string, recipe: (draft: Rulebook) => void): void {
  if (book.value) wrong.value = changeBook(book.value.id, label, recipe) ?? ''
}

function changeClause(id: string, label: string, recipe: (draft: LimitClause) => void): void {
  change(label, draft => {
    const clause = draft.clauses.find(one => one.id === id)
    if (clause) recipe(clause)
  })
}

type Fact = 'title' | 'jurisdiction' | 'edition' | 'note'
const FACT_CHANGES: Record<Fact, string> = {
  title: 'a rulebook’s title',
  jurisdiction: 'where a rulebook holds',
  edition: 'a rulebook’s edition',
  note: 'a rulebook’s note',
}

function keep(fact: Fact, text: string): void {
  change(FACT_CHANGES[fact], draft => {
    draft[fact] = text
  })
}

function keepStanding(standing: Rulebook['standing'] | null): void {
  if (!standing) return
  change('a rulebook’s standing', draft => {
    draft.standing = standing
  })
}

function removeBand(index: number): void {
  change(`the band ${book.value?.bands[index]?.name ?? ''} removed`, draft => {
    draft.bands.splice(index, 1)
  })
}

function removeClause({ id: gone, clause }: LimitClause): void {
  change(`the clause ${clause} removed`, draft => {
    draft.clauses = draft.clauses.filter(({ id }) => id !== gone)
  })
}

const newId = () => `c-${crypto.randomUUID().slice(0, 8)}`

function addClause(): void {
  change(
    'a clause added',
    draft =>
      void draft.clauses.push({
        id: newId(),
        clause: 'New clause',
        about: 'unwanted',
        confidence: 'H',
        recalled: false,
        when: {},
        limit: { kind: 'relative', attenuationDb: 60 },
        basis: 'conducted',
        note: '',
      }),
  )
}

function duplicate(clause: LimitClause): void {
  change(`a copy of ${clause.clause}`, draft => {
    const at = draft.clauses.findIndex(({ id }) => id === clause.id)
    draft.clauses.splice(at + 1, 0, { ...(JSON.parse(JSON.stringify(clause)) as LimitClause), id: newId() })
  })
}

const band = reactive({ name: '', from: '', to: '', error: '' })
function addBand(): void {
  const from = parseFrequency(band.from)
  const to = parseFrequency(band.to)
  if (!from.ok) return void (band.error = from.message)
  if (!to.ok) return void (band.error = to.message)
  change(`the band ${band.name}`, draft => {
    draft.bands.push({ name: band.name.trim(), fromHz: from.frequencyHz, toHz: to.frequencyHz })
    draft.bands.sort((a, b) => a.fromHz - b.fromHz)
  })
  if (!wrong.value) Object.assign(band, { name: '', from: '', to: '', error: '' })
}
</script>

<template>
  <div class="stack">
    <NuxtLink :to="placeTo('rulebooks')" class="small back">Back to the rulebooks</NuxtLink>
    <template v-if="book">
      <div class="spread">
        <div>
          <h1>{{ book.title }}</h1>
          <p class="quiet">
            Your own rulebook{{ book.basedOn ? `, copied from ${book.basedOn}` : '' }}. Reports say that it is
            yours. Each change is kept at once and can be undone.
          </p>
        </div>
        <div class="row">
          <VBtn variant="outlined" @click="takeAway(book)">Take away as a file</VBtn
          ><VBtn color="primary" :disabled="locked" @click="addClause">Add a clause</VBtn>
        </div>
      </div>
      <p v-if="wrong" class="wrong sheet" role="alert" data-testid="rulebook-wrong">{{ wrong }}</p>
      <section class="sheet block" aria-label="The rulebook">
        <div class="four">
          <CommitField
            :model-value="book.title"
            label="Title"
            :disabled="locked"
            :maxlength="200"
            @update:model-value="keep('title', $event)"
          />
          <CommitField
            :model-value="book.jurisdiction"
            label="Where it holds"
            :disabled="locked"
            @update:model-value="keep('jurisdiction', $event)"
          />
          <CommitField
            :model-value="book.edition"
            label="Edition"
            :disabled="locked"
            @update:model-value="keep('edition', $event)"
          />
          <VSelect
            :model-value="book.standing"
            :items="STANDINGS"
            label="Standing"
            :disabled="locked"
            @update:model-value="keepStanding"
          />
        </div>
        <CommitField
          :model-value="book.note"
          label="Note"
          :disabled="locked"
          :maxlength="2000"
          @update:model-value="keep('note', $event)"
        />
        <h2>Bands it speaks of</h2>
        <ul class="bands">
          <li v-for="(one, index) in book.bands" :key="index">
            <span>{{ one.name }}</span>
            <span class="figure">{{ one.fromHz / 1e6 }} to {{ one.toHz / 1e6 }} MHz</span>
            <VBtn
              icon
              size="small"
              variant="text"
              :aria-label="`Remove the band ${one.name}, ${one.fromHz / 1e6} MHz`"
              :disabled="locked"
              @click="removeBand(index)"
              ><VIcon :icon="mdiClose" size="16"
            /></VBtn>
          </li>
          <li v-if="book.bands.length === 0" class="quiet">
            No band is named, so it speaks of every carrier.
          </li>
        </ul>
        <form class="row" @submit.prevent="addBand">
          <VTextField
            v-model="band.name"
            label="Band"
            class="short"
            :maxlength="60"
            :disabled="locked"
          /><VTextField
            v-model="band.from"
            label="From"
            suffix="MHz"
            class="short"
            :disabled="locked"
            :error-messages="band.error"
            @update:model-value="band.error = ''"
          /><VTextField v-model="band.to" label="To" suffix="MHz" class="short" :disabled="locked" />
          <VBtn type="submit" variant="outlined" :disabled="locked || !band.from || !band.to"
            >Add the band</VBtn
          >
        </form>
      </section>
      <DecidesEditor :book="book" :locked="locked" @change="change" />
      <ClauseEditor
        v-for="clause in book.clauses"
        :key="clause.id"
        :clause="clause"
        :disabled="locked"
        @change="(label, recipe) => changeClause(clause.id, label, recipe)"
        @duplicate="duplicate(clause)"
        @remove="removeClause(clause)"
      />
      <section v-if="book.clauses.length === 0" class="sheet block">
        <p>No clause yet: this rulebook has no figure for anything.</p>
      </section>
    </template>
    <section v-else class="sheet block">
      <h1>No such rulebook</h1>
      <p>
        It is not among your own rulebooks in this review. Shipped ones are copied before they are changed.
      </p>
    </section>
  </div>
</template>

<style scoped>
.bands {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.bands li {
  display: flex;
  align-items: center;
  gap: 8px;
}
.short {
  max-width: 180px;
}
.wrong {
  color: var(--outside);
  padding: 10px 14px;
}
@media (max-width: 1000px) {
}
</style>
