<script setup lang="ts">
import { worstVerdict, type VerdictState } from '#core/decision'
import { isDone, timeLeft } from '#core/plan'
import { benchChecks, worstSeverity } from '#core/chain'
import { printDuration } from '#core/quantity'
import { setShortName } from '#core/review'
import { OFF_AIR_ID, powerToExpect, stations, stepPlaces, wantedStations } from '#core/station'
import { PLACES } from '~/keys/places'

const { keyUp } = defineProps<{ keyUp: 'safe' | 'caution' | 'unsafe' | null }>()
const store = useReviewStore()
const { set, sets, placeTo, chooseSet } = useReviewRoute()
const route = useRoute()

interface Entry {
  id: string
  title: string
  state: VerdictState | null
  count: string
  outcome: boolean
}

const stationResults = computed(() => {
  const context = store.context
  const radio = set.value
  return new Map(
    !context || !radio
      ? []
      : stations.map(station => [
          station.id,
          station.plan(radio, context).map(step => station.evaluate(step, context)),
        ]),
  )
})

const entries = computed<Entry[]>(() =>
  PLACES.map((place): Entry => {
    const results = stationResults.value.get(place.id)
    if (results) {
      const context = store.context!
      const done = results.filter(
        result => result.progress.possible > 0 && isDone(result.step, context),
      ).length
      if (results.length === 0) return { ...place, state: null, count: '–' }
      const begun = results.filter(result => result.progress.read > 0)
      const worst = worstVerdict(begun.map(result => ({ member: result, verdict: result.verdict })))
      return { ...place, state: worst?.verdict.state ?? null, count: `${done}/${results.length}` }
    }
    if (place.id === 'run')
      return {
        ...place,
        state: null,
        count: left.value ? (left.value.openSteps > 0 ? `${left.value.openSteps} open` : 'done') : '',
      }
    if (place.id === 'card')
      return { ...place, state: cardState.value ? 'inside' : null, count: cardState.value ? '' : 'open' }
    if (place.id === 'rulebooks')
      return {
        ...place,
        state: 'inside',
        count: `${store.review?.settings.rulebookIds.length ?? 1}${store.review?.settings.yardstickId ? ' + own' : ''}`,
      }
    if (place.id === 'bench') return { ...place, ...benchState.value }
    return { ...place, state: null, count: '' }
  }),
)

const cardState = computed(() => !!set.value && set.value.model !== '' && stepPlaces(set.value).length > 0)

const benchState = computed<{ state: VerdictState | null; count: string }>(() => {
  const context = store.context
  const radio = set.value
  if (!context || !radio) return { state: null, count: '' }
  const chainIds = new Set(
    wantedStations(context).flatMap(station =>
      station
        .plan(radio, context)
        .filter(({ stationId }) => stationId !== OFF_AIR_ID)
        .map(step => step.chainId),
    ),
  )
  const severities = [...chainIds].flatMap(chainId => {
    const chain = context.chain(chainId)
    const place = stepPlaces(radio)[0]
    if (!chain || !place) return ['danger' as const]
    return [
      worstSeverity(
        benchChecks({
          chain,
          instrument: context.instrument(chain.instrumentId),
          carrierHz: place.channel.frequencyHz,
          ...powerToExpect(radio, place.claim),
          harmonicLimitDbm: null,
          highestHarmonic: 1,
        }),
      ),
    ]
  })
  if (severities.length === 0) return { state: null, count: `${context.review.chains.length}` }
  const state = severities.includes('danger')
    ? 'outside'
    : severities.includes('caution')
      ? 'too-close'
      : 'inside'
  return { state, count: `${context.review.chains.length}` }
})

const left = computed(() => {
  const context = store.context
  const radio = set.value
  return context && radio
    ? timeLeft(
        wantedStations(context).flatMap(station => station.plan(radio, context)),
        context,
      )
    : null
})
const options = computed(() =>
  sets.value.map(radio => ({
    value: radio.id,
    title: setShortName(radio) + (radio.role === 'control' ? ' (control)' : ''),
  })),
)
const isHere = (id: string) =>
  route.path.endsWith(`/${id}`) || (id === 'rulebooks' && route.path.endsWith('/rulebook'))
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
    <template v-for="group in [false, true]" :key="String(group)">
      <p class="heading">{{ group ? 'Outcome' : 'Order of work' }}</p>
      <ul>
        <li v-for="entry in entries.filter(({ outcome }) => outcome === group)" :key="entry.id">
          <NuxtLink
            :to="placeTo(entry.id as 'card')"
            :class="{ here: isHere(entry.id) }"
            :aria-current="isHere(entry.id) ? 'page' : undefined"
          >
            <VerdictMark v-if="entry.state" :state="entry.state" />
            <svg v-else width="12" height="12" viewBox="0 0 12 12" aria-hidden="true" class="open">
              <circle cx="6" cy="6" r="4.6" />
            </svg>
            <span class="title">{{ entry.title }}</span>
            <span class="count figure">{{ entry.count }}</span>
          </NuxtLink>
        </li>
      </ul>
    </template>
    <div class="foot small">
      <p v-if="keyUp === 'unsafe'" class="stop">
        <VerdictMark state="outside" /> Do not key up: a bench check is open.
      </p>
      <template v-else-if="left && left.openSteps">
        <p>About {{ printDuration(left.benchS) }} of bench work left,</p>
        <p>of which {{ printDuration(left.keyDownS) }} keyed down.</p>
      </template>
      <p v-else-if="set && cardState">Every planned reading within reach is in.</p>
      <p v-else>Begin with the card.</p>
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
  min-height: calc(100vh - 52px);
  position: sticky;
  top: 52px;
  align-self: flex-start;
}
.chooser {
  padding: 0 14px 8px;
}
.heading {
  font-size: 13px;
  color: var(--ink-3);
  padding: 8px 20px 6px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
a {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 5px 14px 5px 17px;
  min-height: 30px;
  color: var(--ink);
  text-decoration: none;
  border-left: 3px solid transparent;
}
a:hover {
  background: rgba(var(--v-theme-surface), 0.55);
}
a.here {
  background: var(--sheet);
  border-left-color: var(--spruce);
  font-weight: 700;
}
.title {
  flex: 1;
}
.count {
  font-size: 13px;
  color: var(--ink-3);
  font-weight: 400;
}
.open circle {
  fill: none;
  stroke: var(--line-2);
  stroke-width: 1.6;
}
.foot {
  margin-top: auto;
  padding: 12px 20px 16px;
  border-top: 1px solid var(--line);
  color: var(--ink-2);
  position: sticky;
  bottom: 0;
  background: var(--paper);
}
.stop {
  color: var(--outside);
  font-weight: 700;
}
@media (max-width: 900px) {
  .order {
    width: 100%;
    min-height: 0;
    position: static;
    border-right: 0;
    border-bottom: 1px solid var(--line);
    padding-top: 12px;
  }
  .heading {
    display: none;
  }
  ul {
    display: flex;
    overflow-x: auto;
  }
  a {
    border-left: 0;
    border-bottom: 3px solid transparent;
    padding: 6px 12px;
    white-space: nowrap;
    min-height: 40px;
  }
  a.here {
    border-bottom-color: var(--spruce);
  }
  .foot {
    display: none;
  }
}
</style>
