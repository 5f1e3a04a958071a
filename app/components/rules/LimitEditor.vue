<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { limitOfKind, PLAIN_LIMIT, type PowerLimit } from '#core/rules'
import { limitFields } from './limitFields'
import type { LimitRange } from './LimitRanges.vue'

/**
 * Edits one power limit; limits made of others hold further editors. Every change is handed up as a new
 * limit.
 */
const {
  limit,
  disabled = false,
  depth = 0,
} = defineProps<{ limit: PowerLimit; disabled?: boolean; depth?: number }>()
const emit = defineEmits<{ change: [limit: PowerLimit] }>()

const KINDS: { value: PowerLimit['kind']; title: string }[] = [
  { value: 'absolute', title: 'At most so many watts' },
  { value: 'relative', title: 'So many dB below the carrier' },
  { value: 'offset-plus-log-power', title: 'Offset + 10 log P' },
  { value: 'strictest', title: 'All of these (and)' },
  { value: 'loosest', title: 'Whichever asks less' },
  { value: 'not-below', title: 'Need not be below a power' },
  { value: 'by-emission', title: 'By the emission’s frequency' },
  { value: 'mask', title: 'By the distance from the carrier' },
  { value: 'slope', title: 'Grows with the distance' },
]
const DEEPEST = 4
const kinds = computed(() => (depth >= DEEPEST ? KINDS.slice(0, 3) : KINDS))

const keep = (next: PowerLimit) => emit('change', next)
const fields = computed(() => limitFields(limit, keep))

function setKind(kind: PowerLimit['kind'] | null): void {
  if (kind) keep(limitOfKind(kind, limit))
}

function setInner(inner: PowerLimit): void {
  if (limit.kind === 'not-below') keep({ ...limit, limit: inner })
}

/** The limits of which all, or the mildest, hold. */
const members = computed(() => ('of' in limit ? limit.of : []))

function setMembers(limits: PowerLimit[]): void {
  if ('of' in limit) keep({ ...limit, of: limits })
}

const replaceMember = (index: number, next: PowerLimit) =>
  setMembers(members.value.map((one, at) => (at === index ? next : one)))
const removeMember = (index: number) => setMembers(members.value.filter((_one, at) => at !== index))
const addMember = () => setMembers([...members.value, PLAIN_LIMIT])

const segments = computed<LimitRange[]>(() =>
  limit.kind === 'by-emission'
    ? limit.segments.map(({ fromHz, toHz, limit: inner }) => ({ from: fromHz, to: toHz, limit: inner }))
    : [],
)

function setSegments(ranges: LimitRange[]): void {
  keep({
    kind: 'by-emission',
    segments: ranges.map(({ from, to, limit: inner }) => ({ fromHz: from, toHz: to, limit: inner })),
  })
}

const distance = computed(() =>
  limit.kind === 'mask' && limit.unit === 'Hz'
    ? { unit: 'kHz', min: 0, scale: 1e3 }
    : { unit: '%', min: 0, scale: 1 },
)

function setSteps(steps: LimitRange[]): void {
  if (limit.kind === 'mask') keep({ ...limit, steps })
}
</script>

<template>
  <div :class="['limit', { inner: depth > 0 }]">
    <VSelect
      :model-value="limit.kind"
      :items="kinds"
      label="Limit"
      :disabled="disabled"
      @update:model-value="setKind"
    />
    <EditGrid :fields="fields" :locked="disabled" inline />

    <LimitEditor
      v-if="limit.kind === 'not-below'"
      class="whole"
      :limit="limit.limit"
      :depth="depth + 1"
      :disabled="disabled"
      @change="setInner"
    />
    <div v-if="members.length" class="whole stack">
      <div v-for="(member, index) in members" :key="index" class="member">
        <LimitEditor
          :limit="member"
          :depth="depth + 1"
          :disabled="disabled"
          @change="replaceMember(index, $event)"
        />
        <VBtn
          v-if="members.length > 1"
          icon
          size="small"
          variant="text"
          aria-label="Remove this limit"
          :disabled="disabled"
          @click="removeMember(index)"
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </div>
      <VBtn size="small" variant="outlined" :disabled="disabled" class="at-start" @click="addMember"
        >Add a limit</VBtn
      >
    </div>
    <LimitRanges
      v-if="limit.kind === 'by-emission'"
      class="whole"
      word="range"
      :ranges="segments"
      :typed="{ frequency: true, scale: 1 }"
      :depth="depth + 1"
      :disabled="disabled"
      @change="setSegments"
    />
    <LimitRanges
      v-if="limit.kind === 'mask'"
      class="whole"
      word="step"
      :ranges="limit.steps"
      :typed="distance"
      :depth="depth + 1"
      :disabled="disabled"
      @change="setSteps"
    />
  </div>
</template>

<style scoped>
.limit {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 210px), 1fr));
  gap: 10px;
  align-items: start;
}
.inner {
  padding-left: 12px;
  border-left: 2px solid var(--line-2);
}
</style>
