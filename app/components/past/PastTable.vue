<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { type PastRadio, placeText, type Ranked, rankedBy } from '#core/past'
import type { ChartPlot } from '#core/plot'

/** Radios by one figure: a table and a plot with ranges; places only as far as the ranges allow. */
const { radios } = defineProps<{ radios: readonly PastRadio[] }>()

const figures = computed(() => {
  const counted = new Map<string, { title: string; count: number }>()
  for (const { figures: own } of radios)
    for (const { key, title } of own) counted.set(key, { title, count: (counted.get(key)?.count ?? 0) + 1 })
  return [...counted]
    .map(([value, { title, count }]) => ({ value, title: `${title} (${count})`, count }))
    .toSorted((a, b) => b.count - a.count || a.title.localeCompare(b.title))
})
const chosen = ref<string | null>(null)
const key = computed(() => {
  const known = figures.value.some(({ value }) => value === chosen.value)
  return known ? chosen.value! : (figures.value[0]?.value ?? '')
})
const best = ref<'highest' | 'lowest'>('highest')
const ENDS = [
  { value: 'highest', title: 'Highest first' },
  { value: 'lowest', title: 'Lowest first' },
]
/** What the table is ordered by; the plot follows it. */
const ORDERS = [
  { value: 'figure', title: 'By figure' },
  { value: 'maker', title: 'By maker' },
  { value: 'price', title: 'By price' },
  { value: 'claim', title: 'By claim' },
  { value: 'year', title: 'By year' },
] as const
const order = ref<(typeof ORDERS)[number]['value']>('figure')

/** The first number in a text, for prices and claims; those without one stand last. */
function numberIn(text: string | null): number {
  const found = /\d+(?:[.,]\d+)?/.exec(text ?? '')
  return found ? Number(found[0].replace(',', '.')) : Infinity
}

function inOrder(list: readonly Ranked[]): Ranked[] {
  switch (order.value) {
    case 'maker':
      return list.toSorted((a, b) => a.radio.name.localeCompare(b.radio.name))
    case 'price':
      return list.toSorted((a, b) => numberIn(a.radio.price) - numberIn(b.radio.price))
    case 'claim':
      return list.toSorted((a, b) => numberIn(a.figure.claimed) - numberIn(b.figure.claimed))
    case 'year':
      return list.toSorted((a, b) => (a.radio.days?.[1] ?? '').localeCompare(b.radio.days?.[1] ?? ''))
    default:
      return [...list]
  }
}
const wanted = ref<string | null>('')

const ranked = computed(() => {
  const words = (wanted.value ?? '').toLowerCase().split(/\s+/).filter(Boolean)
  const shown = radios.filter(radio => {
    const text = [radio.name, radio.price, radio.reviewTitle, radio.firmware, ...(radio.days ?? [])]
      .join(' ')
      .toLowerCase()
    return words.every(word => text.includes(word))
  })
  return inOrder(rankedBy(shown, key.value, best.value))
})
const rows = computed(() =>
  ranked.value.map(({ radio, figure, place }) => ({
    id: `${radio.reviewId}:${radio.setId}`,
    radio,
    figure,
    place: placeText(place),
    year: radio.days?.[1].slice(0, 4) ?? '–',
  })),
)

/** More than this cannot be told apart in a plot. */
const MOST_DRAWN = 30
const plot = computed<ChartPlot | null>(() => {
  const drawn = ranked.value.slice(0, MOST_DRAWN)
  const [first] = drawn
  if (!first) return null
  const unit = first.figure.unit
  return {
    kind: 'chart',
    id: key.value,
    stationId: '',
    title: first.figure.title,
    subtitle: `${unit}, with 95 % ranges${ranked.value.length > MOST_DRAWN ? `; the first ${MOST_DRAWN} of ${ranked.value.length}` : ''}`,
    spoken: `${first.figure.title}. ${drawn.map(({ radio, figure }) => `${radio.name}: ${figure.words}`).join('; ')}.`,
    x: { title: '', scale: { names: drawn.map(({ radio }) => radio.name.replace(', sample ', '\n')) } },
    y: { title: unit, scale: 'linear' },
    series: [
      {
        name: '',
        shape: 'points',
        points: drawn.map(({ figure }, x) => ({
          x,
          y: figure.value,
          low: figure.value - figure.range,
          high: figure.value + figure.range,
          state: figure.state,
          ...(figure.isUpperBound ? { bound: 'below' as const } : {}),
        })),
      },
    ],
    marks: [],
    shades: [],
  }
})

const scroller = useTemplateRef<HTMLElement>('scroller')
const ROW_PX = 36
const lines = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => ROW_PX,
    overscan: 12,
  })),
)
const shownRows = computed(() =>
  lines.value.getVirtualItems().flatMap(({ index }) => rows.value[index] ?? []),
)
const above = computed(() => lines.value.getVirtualItems()[0]?.start ?? 0)
const below = computed(() => lines.value.getTotalSize() - (lines.value.getVirtualItems().at(-1)?.end ?? 0))
</script>

<template>
  <div class="stack">
    <div class="row">
      <VAutocomplete
        :model-value="key"
        :items="figures"
        label="Figure"
        variant="outlined"
        density="compact"
        hide-details
        class="figure-choice"
        @update:model-value="value => (chosen = value)"
      />
      <VSelect v-model="best" :items="ENDS" label="Best" class="narrow" />
      <VSelect v-model="order" :items="[...ORDERS]" label="Order" class="narrow" />
      <VTextField v-model="wanted" label="Find: maker, price, year" clearable class="narrow" />
    </div>
    <section v-if="plot" class="sheet part"><PlotFigure :plot="plot" :height="260" /></section>
    <p v-if="rows.length === 0" role="status">No radio has this figure, or none fits.</p>
    <div v-else ref="scroller" class="sheet scroll table" tabindex="0" role="region" aria-label="Radios">
      <table class="plain">
        <thead>
          <tr>
            <th scope="col">Radio</th>
            <th scope="col" class="right">Figure</th>
            <th scope="col" class="right">Claim</th>
            <th scope="col">Place</th>
            <th scope="col">Stands</th>
            <th scope="col">Price</th>
            <th scope="col">Year</th>
            <th scope="col">Review</th>
          </tr>
        </thead>
        <tbody>
          <tr v-if="above" aria-hidden="true">
            <td colspan="8" :style="{ height: `${above}px` }" />
          </tr>
          <tr v-for="row in shownRows" :key="row.id">
            <td>{{ row.radio.name }}</td>
            <td class="right figure">{{ row.figure.isUpperBound ? '< ' : '' }}{{ row.figure.words }}</td>
            <td class="right figure">{{ row.figure.claimed ?? '–' }}</td>
            <td>{{ row.place }}</td>
            <td><VerdictMark :state="row.figure.state" /></td>
            <td>{{ row.radio.price || '–' }}</td>
            <td>{{ row.year }}</td>
            <td class="small quiet">{{ row.radio.reviewTitle }}</td>
          </tr>
          <tr v-if="below" aria-hidden="true">
            <td colspan="8" :style="{ height: `${below}px` }" />
          </tr>
        </tbody>
      </table>
    </div>
    <p class="small quiet">
      A place is a range where the ranges of figures overlap: “2nd to 5th” says that no more is known. Figures
      of the same band and setting are compared; of several channels the one that governs.
    </p>
  </div>
</template>

<style scoped>
.part {
  padding: 10px 14px;
}
.figure-choice {
  flex: 1 1 320px;
}
.narrow {
  flex: 0 1 190px;
}
.table {
  max-height: 460px;
  overflow: auto;
}
.right {
  text-align: right;
}
.plain td,
.plain th {
  padding: 6px 10px;
  white-space: nowrap;
}
</style>
