<script setup lang="ts">
import { insideTargets } from '#core/station'
import type { StationPart } from '~/stations'
import { useInside } from './useInside'

/** What it makes now, to be read with both hands in the set, with what the law allows and what is aimed at. */
const { run, result } = defineProps<StationPart>()
const store = useReviewStore()
const { memo, change, done, again, strike } = useInside(run)
const targets = computed(() => (store.context ? insideTargets(result.step.set, store.context) : []))
const KHZ = 1000
const toHz = (khz: number | null) => (khz === null ? null : khz * KHZ)
const aimKhz = computed(() => {
  const hz = memo.value?.aimHz ?? null
  return hz === null ? null : hz / KHZ
})
</script>

<template>
  <section v-if="memo" class="sheet inside" aria-label="What it makes now">
    <p v-if="targets.length === 0" class="small quiet">
      Nothing was read since it was begun. Read power (G, P) or deviation at their stations while you adjust;
      the figure then stands here, large.
    </p>
    <ul v-else>
      <li v-for="target in targets" :key="target.id">
        <h2>{{ target.title }}</h2>
        <p class="figure now">{{ target.now }}</p>
        <p class="beside">
          <span v-if="target.before">before {{ target.before }}</span>
          <span v-if="target.aim">aim {{ target.aim }}</span>
          <span v-for="limit in target.legal" :key="limit">{{ limit }}</span>
          <span v-if="target.legal.length === 0">no figure in law</span>
        </p>
      </li>
    </ul>
    <div class="row">
      <NumberField
        :model-value="memo.aimW"
        label="Aim: power"
        unit="W"
        :min="0.001"
        :max="1e6"
        optional
        dense
        class="aim"
        :disabled="store.readOnly"
        @update:model-value="change('what is aimed at', { aimW: $event })"
      />
      <NumberField
        :model-value="aimKhz"
        label="Aim: deviation"
        unit="kHz"
        :min="0.001"
        :max="1000"
        optional
        dense
        class="aim"
        :disabled="store.readOnly"
        @update:model-value="change('what is aimed at', { aimHz: toHz($event) })"
      />
      <VBtn v-if="memo.doneAt === null" variant="outlined" :disabled="store.readOnly" @click="done"
        >Adjusting is done</VBtn
      >
      <VBtn v-else variant="outlined" :disabled="store.readOnly" @click="again">Adjust again</VBtn>
      <VBtn variant="text" :disabled="store.readOnly" @click="strike">Nothing was adjusted</VBtn>
    </div>
    <p class="small quiet">
      Adjusted by {{ memo.by }}, begun {{ memo.begunAt.slice(0, 16).replace('T', ' ') }} UTC.
    </p>
  </section>
</template>

<style scoped>
.inside {
  padding: 14px;
  display: grid;
  gap: 12px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 14px;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
}
.now {
  font-size: 72px;
  line-height: 1.05;
  font-weight: 700;
}
.beside {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  font-size: 20px;
  color: var(--ink-2);
}
.row {
  gap: 10px;
  align-items: center;
}
.aim {
  flex: 0 1 160px;
}
</style>
