<script setup lang="ts">
import { chainIdOf, chainsKey, needsChain, type Step, isRead } from '#core/step'
import { mdiDragVertical } from '@mdi/js'
import { useSortable } from '@vueuse/integrations/useSortable'
import {
  expectedTimes,
  isDone,
  isForTheRecord,
  learnedTimes,
  planRun,
  runCosts,
  runKey,
  timeLeft,
} from '#core/plan'
import { parseFrequency, printDuration, printFrequencyShort, printMhzFigure } from '#core/quantity'
import { setShortName } from '#core/review'
import { stationById, stations, wantedStations } from '#core/station'

const store = useReviewStore()
const ui = useUiStore()
const { set, sets, go } = useReviewRoute()

const scope = ref<'all' | 'set'>('all')
const shownSets = computed(() => (scope.value === 'all' || !set.value ? sets.value : [set.value]))
const run = computed(() => (store.context ? planRun(store.context, shownSets.value) : null))
const learned = computed(() => (store.review ? learnedTimes(store.review) : new Map()))
const left = computed(() => (run.value && store.context ? timeLeft(run.value.steps, store.context) : null))
const openOnly = ref(false)

interface Row {
  step: Step
  key: string
  place: number
  result: ReturnType<typeof evaluated>
  done: boolean
  skipped: string | null
  benchS: number
  keyDownS: number
  newChain: boolean
  newRadio: boolean
  forTheRecord: boolean
}

function evaluated(step: Step) {
  return stationById(step.stationId).evaluate(step, store.context!)
}

const rows = computed<Row[]>(() => {
  const context = store.context
  if (!run.value || !context) return []
  const all = run.value.steps.map((step, i): Row => {
    const before = run.value!.steps[i - 1]
    return {
      step,
      key: runKey(step),
      place: i,
      result: evaluated(step),
      done: isDone(step, context),
      skipped: context.skipReason(step),
      ...expectedTimes(step, learned.value),
      newChain: !before || chainsKey(before) !== chainsKey(step),
      newRadio: !before || before.set.id !== step.set.id,
      forTheRecord: isForTheRecord(step, context),
    }
  })
  return openOnly.value ? all.filter(({ done }) => !done) : all
})
function demandWords(step: Step): string {
  const demands = stationById(step.stationId).demands(step, store.context!)
  return demands.length === 0
    ? 'nothing; shown and compared'
    : demands.map(({ by, words }) => `${by}: ${words}`).join(' · ')
}
const chosen = ref<string | null>(null)
const chainWords = (step: Step) =>
  needsChain(step) ? (store.context?.chain(chainIdOf(step))?.name ?? 'no chain') : 'the air'
const levelWords = ({ setting: { level, spacingHz } }: Step) =>
  spacingHz === null ? level.name : `${level.name}, ${printFrequencyShort(spacingHz)}`

const body = useTemplateRef<HTMLElement>('body')
let afterDragged: ChildNode | null = null
useSortable(
  body,
  computed(() => rows.value.map(({ key }) => key)),
  {
    handle: '.handle',
    draggable: '.step-row',
    animation: 120,
    forceFallback: true,
    fallbackTolerance: 4,
    onStart: (event: { item: HTMLElement }) => {
      afterDragged = event.item.nextSibling
    },
    onUpdate: (event: {
      item: HTMLElement
      from: HTMLElement
      oldDraggableIndex?: number
      newDraggableIndex?: number
    }) => {
      const { item, from, oldDraggableIndex, newDraggableIndex } = event
      // The rows are drawn from the review: the dragged one goes back, and the review moves it.
      from.insertBefore(item, afterDragged)
      if (oldDraggableIndex !== undefined && newDraggableIndex !== undefined)
        move(oldDraggableIndex, newDraggableIndex)
    },
  },
)

/** Puts a step of the shown rows somewhere else; the whole order is kept. */
function move(from: number, to: number): void {
  const moved = rows.value[from]
  const beside = rows.value[to]
  if (!moved || !beside || from === to || !run.value) return
  const keys = planRun(store.context!)
    .steps.map(runKey)
    .filter(key => key !== moved.key)
  keys.splice(keys.indexOf(beside.key) + (to > from ? 1 : 0), 0, moved.key)
  store.change('the order of the run', draft => {
    draft.runOrder = keys
  })
  chosen.value = moved.key
}

const MOVES: Record<string, number> = { ArrowUp: -1, ArrowDown: 1 }

function moveByKey(event: KeyboardEvent, index: number): void {
  const by = MOVES[event.key] ?? 0
  if (!event.altKey || by === 0 || store.readOnly) return
  event.preventDefault()
  const key = rows.value[index]!.key
  move(index, index + by)
  void nextTick(() => document.querySelector<HTMLElement>(`[data-key="${CSS.escape(key)}"] .handle`)?.focus())
}

function proposeAgain(): void {
  store.change('the proposed order again', draft => {
    draft.runOrder = []
  })
}

const skipping = ref<string | null>(null)
const reason = ref('')
function askWhy(row: Row): void {
  skipping.value = skipping.value === row.key ? null : row.key
  reason.value = ''
}

function skip(row: Row): void {
  const text = reason.value.trim()
  if (text === '') return
  store.change(
    'a step left out',
    draft =>
      void draft.skipped.push({
        setId: row.step.set.id,
        stepId: row.step.id,
        reason: text,
        at: new Date().toISOString(),
      }),
  )
  skipping.value = null
  reason.value = ''
}
function takeUp(row: Row): void {
  store.change('a step taken up again', draft => {
    draft.skipped = draft.skipped.filter(one => one.setId !== row.step.set.id || one.stepId !== row.step.id)
  })
}

const wanted = computed(() => new Set(store.context ? wantedStations(store.context).map(({ id }) => id) : []))
const optional = stations.filter(station => station.optional)
function want(id: string, value: boolean): void {
  store.change('which stations this review wants', draft => {
    draft.settings.alsoStations = value
      ? [...new Set([...draft.settings.alsoStations, id])]
      : draft.settings.alsoStations.filter(other => other !== id)
  })
  if (!value && wanted.value.has(id)) ui.say('Something was read there already, so it stays in the run.')
}

const own = reactive({ bandId: '', name: '', mhz: '' })
const bands = computed(() => set.value?.bands ?? [])
watch(
  bands,
  now => {
    if (!now.some(({ id }) => id === own.bandId)) own.bandId = now[0]?.id ?? ''
  },
  { immediate: true },
)
const ownProblem = ref('')
function addChannel(): void {
  const read = parseFrequency(own.mhz)
  ownProblem.value = read.ok ? '' : read.message
  if (!read.ok || !own.bandId) return
  store.change('a channel of your own', draft => {
    const band = draft.sets.find(({ id }) => id === set.value?.id)?.bands.find(({ id }) => id === own.bandId)
    band?.channels.push({
      id: crypto.randomUUID(),
      name: own.name.trim(),
      frequencyHz: read.frequencyHz,
      harmonics: true,
    })
  })
  ui.say(`${printMhzFigure(read.frequencyHz)} MHz is in the run, with harmonics and all.`)
  own.name = ''
  own.mhz = ''
}

function begin(row: Row): void {
  void go(row.step.stationId, { set: row.step.set.id, step: row.step.id })
}
const next = computed(() => rows.value.find(({ done }) => !done) ?? null)
useKeys({
  n: () => {
    if (next.value) begin(next.value)
  },
})
const saved = computed(() => (run.value ? runCosts(run.value.steps) : null))
</script>

<template>
  <div v-if="run && store.context" class="stack">
    <div class="spread">
      <h1>The run</h1>
      <div class="row">
        <VBtnToggle
          v-model="scope"
          mandatory
          density="compact"
          variant="outlined"
          divided
          aria-label="Which radios"
        >
          <VBtn value="all" size="small">All radios</VBtn
          ><VBtn value="set" size="small" class="this">{{ set ? setShortName(set) : 'This radio' }}</VBtn>
        </VBtnToggle>
        <VCheckbox v-model="openOnly" label="Open only" />
        <VBtn color="primary" :disabled="!next" @click="next && begin(next)">{{
          next ? 'To the next open step' : 'All done'
        }}</VBtn>
      </div>
    </div>
    <div class="tops">
      <section class="sheet panel" aria-label="What is left">
        <h2>Left to do</h2>
        <p v-if="left && left.openSteps" class="figure big">{{ printDuration(left.benchS) }}</p>
        <p v-if="left && left.openSteps" class="small quiet">
          on the bench in {{ left.openSteps }} steps, {{ printDuration(left.keyDownS) }} of it keyed{{
            left.learned ? '; moving towards what steps really took' : ''
          }}.
        </p>
        <p v-else>Nothing. Every planned reading within reach is in.</p>
      </section>
      <section v-if="saved" class="sheet panel" aria-label="What the order saves" data-testid="savings">
        <h2>{{ run.ownOrder ? 'Your own order' : 'What this order saves' }}</h2>
        <table class="costs">
          <thead>
            <tr>
              <th />
              <th class="right">here</th>
              <th class="right">radio by radio</th>
            </tr>
          </thead>
          <tbody>
            <tr>
              <td>chains built</td>
              <td class="right figure">{{ saved.recablings }}</td>
              <td class="right figure quiet">{{ run.naive.recablings }}</td>
            </tr>
            <tr>
              <td>radios put on a chain</td>
              <td class="right figure">{{ saved.radioChanges }}</td>
              <td class="right figure quiet">{{ run.naive.radioChanges }}</td>
            </tr>
            <tr>
              <td>knobs turned</td>
              <td class="right figure">{{ saved.knobTurns }}</td>
              <td class="right figure quiet">{{ run.naive.knobTurns }}</td>
            </tr>
          </tbody>
        </table>
        <p class="small quiet">
          A chain built anew takes minutes and invites a forgotten offset; a radio swapped takes seconds.
        </p>
        <VBtn
          v-if="run.ownOrder"
          size="small"
          variant="outlined"
          :disabled="store.readOnly"
          @click="proposeAgain"
          >Back to the proposed order</VBtn
        >
      </section>
      <section class="sheet panel" aria-label="Also in this review">
        <h2>Also in this review</h2>
        <div class="also">
          <VCheckbox
            v-for="station in optional"
            :key="station.id"
            :model-value="wanted.has(station.id)"
            :label="station.title"
            :disabled="store.readOnly"
            @update:model-value="value => want(station.id, value === true)"
          />
        </div>
      </section>
      <section v-if="set" class="sheet panel" aria-label="A channel of your own">
        <h2>A channel of your own</h2>
        <form class="own" @submit.prevent="addChannel">
          <VSelect
            v-model="own.bandId"
            :items="bands.map(({ id, name }) => ({ value: id, title: name }))"
            :label="`Band of ${setShortName(set)}`"
            :disabled="store.readOnly"
          />
          <VTextField v-model="own.name" label="Name" maxlength="60" :disabled="store.readOnly" />
          <VTextField
            v-model="own.mhz"
            label="MHz"
            inputmode="decimal"
            :error-messages="ownProblem"
            :disabled="store.readOnly"
          />
          <VBtn type="submit" variant="outlined" :disabled="store.readOnly || own.mhz.trim() === ''"
            >Add it</VBtn
          >
        </form>
      </section>
    </div>
    <section class="sheet list" aria-label="Steps in order">
      <p v-if="rows.length === 0" class="empty">
        {{
          openOnly
            ? 'Nothing is open.'
            : 'Nothing is planned yet. The run follows from the card, the claims, the rulebooks and the bench.'
        }}
      </p>
      <table v-else class="plain">
        <thead>
          <tr>
            <th><span class="only-read">Move</span></th>
            <th class="right">Step</th>
            <th>Station</th>
            <th>Radio</th>
            <th class="right">MHz</th>
            <th>Level</th>
            <th>Through</th>
            <th class="right">Time</th>
            <th class="right">Keyed</th>
            <th>State</th>
            <th><span class="only-read">Acts</span></th>
          </tr>
        </thead>
        <tbody ref="body">
          <template v-for="(row, index) in rows" :key="row.key">
            <tr
              :data-key="row.key"
              :class="[
                'step-row',
                { done: row.done, chain: row.newChain && index > 0, radio: row.newRadio && index > 0 },
              ]"
            >
              <td>
                <button
                  type="button"
                  class="handle"
                  :aria-label="`Move step ${row.place + 1}: Alt with arrow up or down`"
                  :disabled="store.readOnly"
                  @keydown="event => moveByKey(event, index)"
                >
                  <VIcon :icon="mdiDragVertical" size="18" />
                </button>
              </td>
              <td class="right figure">{{ row.place + 1 }}</td>
              <td class="wrap station">
                <button
                  type="button"
                  class="open"
                  :aria-expanded="chosen === row.key"
                  @click="chosen = chosen === row.key ? null : row.key"
                >
                  {{ stationById(row.step.stationId).title }}
                </button>
              </td>
              <td :class="['wrap', 'radio-name', { strong: row.newRadio }]">
                <span class="short" :title="setShortName(row.step.set)">{{
                  setShortName(row.step.set)
                }}</span>
              </td>
              <td class="right figure">{{ printMhzFigure(row.step.channel.frequencyHz) }}</td>
              <td class="wrap">{{ levelWords(row.step) }}</td>
              <td class="wrap" :class="{ strong: row.newChain }">
                <span class="short" :title="chainWords(row.step)">{{ chainWords(row.step) }}</span>
              </td>
              <td class="right figure">{{ printDuration(row.benchS) }}</td>
              <td class="right figure">{{ printDuration(row.keyDownS) }}</td>
              <td class="state">
                <span v-if="row.skipped !== null" class="quiet">left out: {{ row.skipped }}</span
                ><VerdictWord
                  v-else-if="row.result.slots.some(isRead)"
                  :state="row.result.verdict.state"
                  :words="row.result.words"
                /><span v-else class="quiet">{{ row.forTheRecord ? 'open, for the record' : 'open' }}</span>
              </td>
              <td class="acts">
                <VBtn size="small" variant="text" @click="begin(row)">Go</VBtn>
                <VBtn
                  v-if="row.skipped !== null"
                  size="small"
                  variant="text"
                  :disabled="store.readOnly"
                  @click="takeUp(row)"
                  >Take up</VBtn
                >
                <VBtn
                  v-else-if="!row.done"
                  size="small"
                  variant="text"
                  :disabled="store.readOnly"
                  @click="askWhy(row)"
                  >Leave out</VBtn
                >
              </td>
            </tr>
            <tr v-if="skipping === row.key || chosen === row.key" class="more">
              <td />
              <td colspan="10">
                <form v-if="skipping === row.key" class="row" @submit.prevent="skip(row)">
                  <VTextField v-model="reason" label="Why is it left out?" maxlength="300" autofocus /><VBtn
                    type="submit"
                    color="primary"
                    :disabled="reason.trim() === ''"
                    >Leave it out</VBtn
                  >
                </form>
                <div v-else class="small about">
                  <p>{{ row.step.instruction }}</p>
                  <p>
                    <strong>Set the radio:</strong>
                    {{ row.step.radioSettings.map(({ words }) => words).join(' · ') }}
                  </p>
                  <p><strong>Judged by:</strong> {{ demandWords(row.step) }}</p>
                  <p class="quiet">{{ row.step.cautions.join(' ') }}</p>
                </div>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.this {
  max-width: 190px;
}
.this :deep(.v-btn__content) {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 100%;
  min-width: 0;
}
.tops {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(225px, 1fr));
  gap: 14px;
}
.panel {
  padding: 12px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  align-content: start;
  justify-items: start;
}
.big {
  font-size: 32px;
  font-weight: 700;
  line-height: 1.1;
}
.costs {
  width: 100%;
  border-collapse: collapse;
}
.costs th {
  font-weight: 400;
  font-size: 13px;
  color: var(--ink-3);
}
.costs td {
  padding: 1px 0;
}
.also :deep(.v-selection-control) {
  min-height: 28px;
}
.own {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  width: 100%;
}
.list {
  position: relative;
  overflow-x: auto;
  padding: 2px 6px;
}
.list table {
  min-width: 860px;
}
.plain td,
.plain th {
  padding: 3px 6px;
  white-space: nowrap;
}
td.wrap,
td.state,
.more td {
  white-space: normal;
}
.wrap {
  max-width: 132px;
  line-height: 1.25;
}
/* Two lines of a long name; all of it in the title. */
.short {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  overflow: hidden;
  overflow-wrap: break-word;
  min-width: 76px;
}
.station,
.radio-name {
  min-width: 124px;
}
.state {
  min-width: 140px;
}
.step-row.chain td {
  border-top: 2px solid var(--ink-2);
}
.step-row.radio:not(.chain) td {
  border-top: 1px solid var(--ink-3);
}
.strong {
  font-weight: 700;
}
.done td {
  color: var(--ink-2);
}
.handle {
  cursor: grab;
  color: var(--ink-3);
  padding: 2px;
  line-height: 0;
}
.open {
  text-align: left;
  color: inherit;
  text-decoration: underline;
  text-decoration-color: var(--line-2);
  text-underline-offset: 3px;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
.more td {
  padding-bottom: 12px;
}
.more form {
  flex-wrap: nowrap;
  max-width: 560px;
}
.about {
  display: grid;
  gap: 4px;
  max-width: 90ch;
}
.empty {
  padding: 18px;
}
.right {
  text-align: right;
}
</style>
