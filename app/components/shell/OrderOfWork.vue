<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js'
import { printDuration } from '#core/quantity'
import { setShortName } from '#core/review'
import { wantedStations } from '#core/station'
import { GROUP_TITLES, placeAt, type PlaceGroup, places } from '~/keys/places'

/**
 * The order of work: groups of places, only the group in hand open, each head with its worst mark and count.
 * On a phone one button with the place in hand opens the list.
 */
const { keyUp } = defineProps<{ keyUp: 'safe' | 'caution' | 'unsafe' | null }>()
const { set, sets, placeTo, chooseSet } = useReviewRoute()
const route = useRoute()
const { order } = useOrderMarks()
const store = useReviewStore()
useFilesAhead(
  () => (store.context ? wantedStations(store.context).map(({ id }) => id) : []),
  stationId => placeTo(stationId).path,
)

const here = computed(() => placeAt(route.path))
/** The one group that is open: of the place in hand, until another head is pressed. */
const openGroup = ref<PlaceGroup | null>(here.value?.group ?? 'prepare')
const listOpen = ref(false)
watch(here, now => {
  if (now) openGroup.value = now.group
  listOpen.value = false
})

const links = useStable(() => Object.fromEntries(places().map(({ id }) => [id, placeTo(id)])))
const groups = computed(() =>
  groupsOf(order.value).map(group => ({
    ...group,
    title: GROUP_TITLES[group.id],
    isOpen: group.id === openGroup.value,
    entries: group.places.map(({ place, mark }) => ({
      id: place.id,
      title: place.title,
      to: links.value[place.id]!,
      isHere: place.id === here.value?.id,
      state: mark?.state ?? null,
      words: mark?.words ?? '',
    })),
  })),
)
const options = useStable(() =>
  sets.value.map(radio => ({
    value: radio.id,
    title: setShortName(radio) + (radio.role === 'control' ? ' (control)' : ''),
  })),
)
const placeInHand = computed(() =>
  here.value ? `${GROUP_TITLES[here.value.group]}: ${here.value.title}` : 'Order of work',
)

const foot = computed(() => {
  const { left, cardDone } = order.value
  if (left && left.openSteps > 0)
    return [
      `About ${printDuration(left.benchS)} on the bench left,`,
      `${printDuration(left.keyDownS)} of it keyed down.`,
    ]
  return [set.value && cardDone ? 'Every planned reading within reach is in.' : 'Begin with the card.']
})

function toggle(group: PlaceGroup): void {
  openGroup.value = openGroup.value === group ? null : group
}

function toggleList(): void {
  listOpen.value = !listOpen.value
}
</script>

<template>
  <nav class="order no-print" aria-label="Order of work">
    <div v-if="sets.length" class="chooser">
      <VSelect
        :model-value="set?.id"
        :items="options"
        label="Radio on the bench"
        @update:model-value="chooseSet"
      />
    </div>
    <button
      type="button"
      class="in-hand"
      :aria-expanded="listOpen"
      aria-controls="order-list"
      data-testid="place-in-hand"
      @click="toggleList"
    >
      <span>{{ placeInHand }}</span>
      <VIcon :icon="mdiChevronDown" size="20" :class="{ turned: listOpen }" />
    </button>
    <div id="order-list" class="list" :class="{ shown: listOpen }">
      <section v-for="group in groups" :key="group.id">
        <button type="button" class="order-line head" :aria-expanded="group.isOpen" @click="toggle(group.id)">
          <VIcon :icon="mdiChevronDown" size="16" :class="['arrow', { turned: group.isOpen }]" />
          <VerdictMark v-if="group.state" :state="group.state" />
          <span class="title">{{ group.title }}</span>
          <span class="count figure">{{ group.count }}</span>
        </button>
        <ul v-if="group.isOpen">
          <li v-for="entry in group.entries" :key="entry.id">
            <OrderEntry
              :to="entry.to"
              :title="entry.title"
              :is-here="entry.isHere"
              :state="entry.state"
              :words="entry.words"
            />
          </li>
        </ul>
      </section>
    </div>
    <div class="foot small">
      <p v-if="keyUp === 'unsafe'" class="stop">
        <VerdictMark state="outside" /> Do not key up: a bench check is open.
      </p>
      <template v-else>
        <p v-for="line in foot" :key="line">{{ line }}</p>
      </template>
    </div>
  </nav>
</template>

<style scoped>
.order {
  display: flex;
  flex-direction: column;
  width: 226px;
  flex: none;
  border-right: 1px solid var(--line);
  padding: 16px 0 0;
  height: calc(100vh - 52px);
  position: sticky;
  top: 52px;
  align-self: flex-start;
}
.chooser {
  padding: 0 14px 8px;
}
.list {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
}
ul {
  list-style: none;
  margin: 0 0 4px;
  padding: 0;
}
.head {
  gap: 8px;
  min-height: 32px;
  padding: 4px 14px 4px 12px;
  font-weight: 700;
}
.arrow {
  color: var(--ink-3);
  transform: rotate(-90deg);
}
.turned {
  transform: rotate(0deg);
}
.in-hand {
  display: none;
}
.foot {
  padding: 10px 20px 14px;
  border-top: 1px solid var(--line);
  color: var(--ink-2);
  text-wrap: balance;
}
@media (max-width: 900px) {
  .order {
    width: 100%;
    height: auto;
    position: static;
    border-right: 0;
    border-bottom: 1px solid var(--line);
    padding: 12px 12px 10px;
  }
  .chooser {
    padding: 0 0 8px;
  }
  .in-hand:not([class*='v-']) {
    display: flex;
    align-items: center;
    justify-content: space-between;
    min-height: 44px;
    padding: 0 14px;
    font-weight: 700;
    background: var(--sheet);
    border: 1px solid var(--line-2);
    border-radius: var(--radius);
  }
  .in-hand .turned {
    transform: rotate(180deg);
  }
  .list {
    display: none;
    padding-top: 6px;
  }
  .list.shown {
    display: block;
  }
  .foot {
    display: none;
  }
}
</style>

<style scoped src="./orderLine.css"></style>
