<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import type { PowerLimit } from '#core/rules'

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
const LAWS = [
  { value: 'linear', title: 'a·(f − b)' },
  { value: 'log', title: 'a·log(f/b)' },
  { value: 'log-square', title: 'a·log(f²/b)' },
]
const UNITS = [
  { value: 'Hz', title: 'kHz' },
  { value: 'percent', title: '% of the bandwidth' },
]
const DEEPEST = 4

const plain: PowerLimit = { kind: 'relative', attenuationDb: 60 }

/** The limit inside a limit, or itself where it holds none. */
function innerOf(outer: PowerLimit): PowerLimit {
  if ('limit' in outer) return outer.limit
  if ('of' in outer) return outer.of[0] ?? plain
  if (outer.kind === 'by-emission') return outer.segments[0]?.limit ?? plain
  return outer.kind === 'mask' ? (outer.steps[0]?.limit ?? plain) : outer
}

/** A limit of another kind that keeps what can be kept. */
function ofKind(kind: PowerLimit['kind']): PowerLimit {
  const inner = innerOf(limit)
  switch (kind) {
    case 'absolute':
      return { kind, powerW: 25e-6 }
    case 'relative':
      return { kind, attenuationDb: 60 }
    case 'offset-plus-log-power':
      return { kind, offsetDb: 43 }
    case 'strictest':
    case 'loosest':
      return { kind, of: 'of' in limit ? limit.of : [inner, { kind: 'absolute', powerW: 25e-6 }] }
    case 'not-below':
      return { kind, powerW: 10e-6, limit: inner }
    case 'by-emission':
      return {
        kind,
        segments: [
          { fromHz: 9e3, toHz: 1e9, limit: inner },
          { fromHz: 1e9, toHz: 300e9, limit: inner },
        ],
      }
    case 'mask':
      return { kind, unit: 'Hz', steps: [{ from: 12_500, to: 300e9, limit: inner }] }
    case 'slope':
      return { kind, law: 'linear', a: 7.27, b: 2.88 }
  }
}

const kinds = computed(() => (depth >= DEEPEST ? KINDS.slice(0, 3) : KINDS))
</script>

<template>
  <div :class="['limit', { inner: depth > 0 }]">
    <VSelect
      :model-value="limit.kind"
      :items="kinds"
      label="Limit"
      :disabled="disabled"
      @update:model-value="value => value && emit('change', ofKind(value))"
    />
    <NumberField
      v-if="limit.kind === 'absolute'"
      :model-value="limit.powerW * 1e6"
      label="Power"
      unit="µW"
      :min="1e-6"
      :max="1e12"
      :disabled="disabled"
      @update:model-value="value => value && emit('change', { kind: 'absolute', powerW: value / 1e6 })"
    />
    <NumberField
      v-else-if="limit.kind === 'relative'"
      :model-value="limit.attenuationDb"
      label="Below the carrier"
      unit="dB"
      :min="-300"
      :max="300"
      :disabled="disabled"
      @update:model-value="
        value => value !== null && emit('change', { kind: 'relative', attenuationDb: value })
      "
    />
    <NumberField
      v-else-if="limit.kind === 'offset-plus-log-power'"
      :model-value="limit.offsetDb"
      label="Offset"
      unit="dB"
      :min="-300"
      :max="300"
      :disabled="disabled"
      @update:model-value="
        value => value !== null && emit('change', { kind: 'offset-plus-log-power', offsetDb: value })
      "
    />
    <template v-else-if="limit.kind === 'slope'">
      <VSelect
        :model-value="limit.law"
        :items="LAWS"
        label="Law, f in kHz"
        :disabled="disabled"
        @update:model-value="
          value => limit.kind === 'slope' && emit('change', { ...limit, law: value as 'linear' })
        "
      />
      <NumberField
        :model-value="limit.a"
        label="a"
        :disabled="disabled"
        @update:model-value="
          value => limit.kind === 'slope' && value !== null && emit('change', { ...limit, a: value })
        "
      />
      <NumberField
        :model-value="limit.b"
        label="b"
        :disabled="disabled"
        @update:model-value="
          value => limit.kind === 'slope' && value !== null && emit('change', { ...limit, b: value })
        "
      />
    </template>
    <NumberField
      v-else-if="limit.kind === 'not-below'"
      :model-value="limit.powerW * 1e6"
      label="Nothing asked below"
      unit="µW"
      :min="1e-6"
      :max="1e12"
      :disabled="disabled"
      @update:model-value="
        value => value && limit.kind === 'not-below' && emit('change', { ...limit, powerW: value / 1e6 })
      "
    />
    <VSelect
      v-else-if="limit.kind === 'mask'"
      :model-value="limit.unit"
      :items="UNITS"
      label="Distance in"
      :disabled="disabled"
      @update:model-value="
        value => limit.kind === 'mask' && emit('change', { ...limit, unit: value as 'Hz' })
      "
    />

    <div v-if="limit.kind === 'not-below'" class="whole">
      <LimitEditor
        :limit="limit.limit"
        :depth="depth + 1"
        :disabled="disabled"
        @change="inner => limit.kind === 'not-below' && emit('change', { ...limit, limit: inner })"
      />
    </div>
    <div v-if="limit.kind === 'strictest' || limit.kind === 'loosest'" class="whole stack">
      <div v-for="(inner, index) in limit.of" :key="index" class="member">
        <LimitEditor
          :limit="inner"
          :depth="depth + 1"
          :disabled="disabled"
          @change="
            next =>
              'of' in limit &&
              emit('change', { ...limit, of: limit.of.map((one, at) => (at === index ? next : one)) })
          "
        />
        <VBtn
          v-if="limit.of.length > 1"
          icon
          size="small"
          variant="text"
          aria-label="Remove this limit"
          :disabled="disabled"
          @click="
            'of' in limit && emit('change', { ...limit, of: limit.of.filter((_one, at) => at !== index) })
          "
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </div>
      <VBtn
        size="small"
        variant="outlined"
        :disabled="disabled"
        class="add"
        @click="'of' in limit && emit('change', { ...limit, of: [...limit.of, plain] })"
        >Add a limit</VBtn
      >
    </div>
    <div v-if="limit.kind === 'by-emission'" class="whole stack">
      <div v-for="(segment, index) in limit.segments" :key="index" class="member">
        <div class="step">
          <NumberField
            :model-value="segment.fromHz"
            label="From"
            frequency
            :disabled="disabled"
            @update:model-value="
              value =>
                limit.kind === 'by-emission' &&
                value !== null &&
                emit('change', {
                  ...limit,
                  segments: limit.segments.map((one, at) => (at === index ? { ...one, fromHz: value } : one)),
                })
            "
          />
          <NumberField
            :model-value="segment.toHz"
            label="To"
            frequency
            :disabled="disabled"
            @update:model-value="
              value =>
                limit.kind === 'by-emission' &&
                value !== null &&
                emit('change', {
                  ...limit,
                  segments: limit.segments.map((one, at) => (at === index ? { ...one, toHz: value } : one)),
                })
            "
          />
          <LimitEditor
            class="whole"
            :limit="segment.limit"
            :depth="depth + 1"
            :disabled="disabled"
            @change="
              next =>
                limit.kind === 'by-emission' &&
                emit('change', {
                  ...limit,
                  segments: limit.segments.map((one, at) => (at === index ? { ...one, limit: next } : one)),
                })
            "
          />
        </div>
        <VBtn
          v-if="limit.segments.length > 1"
          icon
          size="small"
          variant="text"
          aria-label="Remove this range"
          :disabled="disabled"
          @click="
            limit.kind === 'by-emission' &&
            emit('change', { ...limit, segments: limit.segments.filter((_one, at) => at !== index) })
          "
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </div>
      <VBtn
        size="small"
        variant="outlined"
        :disabled="disabled"
        class="add"
        @click="
          limit.kind === 'by-emission' &&
          emit('change', {
            ...limit,
            segments: [
              ...limit.segments,
              {
                fromHz: limit.segments.at(-1)?.toHz ?? 1e9,
                toHz: 2 * (limit.segments.at(-1)?.toHz ?? 1e9),
                limit: plain,
              },
            ],
          })
        "
        >Add a range</VBtn
      >
    </div>
    <div v-if="limit.kind === 'mask'" class="whole stack">
      <div v-for="(step, index) in limit.steps" :key="index" class="member">
        <div class="step">
          <NumberField
            :model-value="limit.unit === 'Hz' ? step.from / 1e3 : step.from"
            label="From"
            :unit="limit.unit === 'Hz' ? 'kHz' : '%'"
            :min="0"
            :disabled="disabled"
            @update:model-value="
              value =>
                limit.kind === 'mask' &&
                value !== null &&
                emit('change', {
                  ...limit,
                  steps: limit.steps.map((one, at) =>
                    at === index
                      ? { ...one, from: limit.kind === 'mask' && limit.unit === 'Hz' ? value * 1e3 : value }
                      : one,
                  ),
                })
            "
          />
          <NumberField
            :model-value="limit.unit === 'Hz' ? step.to / 1e3 : step.to"
            label="To"
            :unit="limit.unit === 'Hz' ? 'kHz' : '%'"
            :min="0"
            :disabled="disabled"
            @update:model-value="
              value =>
                limit.kind === 'mask' &&
                value !== null &&
                emit('change', {
                  ...limit,
                  steps: limit.steps.map((one, at) =>
                    at === index
                      ? { ...one, to: limit.kind === 'mask' && limit.unit === 'Hz' ? value * 1e3 : value }
                      : one,
                  ),
                })
            "
          />
          <LimitEditor
            class="whole"
            :limit="step.limit"
            :depth="depth + 1"
            :disabled="disabled"
            @change="
              next =>
                limit.kind === 'mask' &&
                emit('change', {
                  ...limit,
                  steps: limit.steps.map((one, at) => (at === index ? { ...one, limit: next } : one)),
                })
            "
          />
        </div>
        <VBtn
          v-if="limit.steps.length > 1"
          icon
          size="small"
          variant="text"
          aria-label="Remove this step"
          :disabled="disabled"
          @click="
            limit.kind === 'mask' &&
            emit('change', { ...limit, steps: limit.steps.filter((_one, at) => at !== index) })
          "
          ><VIcon :icon="mdiClose" size="16"
        /></VBtn>
      </div>
      <VBtn
        size="small"
        variant="outlined"
        :disabled="disabled"
        class="add"
        @click="
          limit.kind === 'mask' &&
          emit('change', {
            ...limit,
            steps: [
              ...limit.steps,
              { from: limit.steps.at(-1)?.to ?? 0, to: 2 * (limit.steps.at(-1)?.to ?? 1), limit: plain },
            ],
          })
        "
        >Add a step</VBtn
      >
    </div>
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
.whole {
  grid-column: 1 / -1;
}
.member {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px;
  align-items: start;
}
.step {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 200px));
  gap: 10px;
}
.step .whole {
  grid-column: 1 / -1;
}
.add {
  justify-self: start;
}
</style>
