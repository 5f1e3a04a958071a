<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { useSortable } from '@vueuse/integrations/useSortable'
import type { Chain, Instrument } from '#core/chain'
import { buildStaircase } from '~/charts/staircase'
import { printDbm, printFrequencyShort, printNumber, printSigned } from '#core/quantity'

const {
  chain,
  instrument,
  radioName,
  radioDetail,
  carrierHz,
  powerW,
  limitDbm,
  selectedPartId = null,
  locked = false,
  alarmParts = [],
} = defineProps<{
  chain: Chain
  instrument: Instrument | undefined
  radioName: string
  radioDetail: string
  carrierHz: number
  powerW: number
  /** Limit on a harmonic at the radio, dBm; null draws no dashed line. */
  limitDbm: number | null
  selectedPartId?: string | null
  locked?: boolean
  /** Parts that a check complains of. */
  alarmParts?: string[]
}>()
const emit = defineEmits<{
  select: [partId: string]
  selectInstrument: []
  move: [partId: string, to: number]
}>()

/** Height of the drawing, px. */
const HEIGHT = 292

const scroller = useTemplateRef<HTMLElement>('scroller')
const partList = useTemplateRef<HTMLElement>('partList')
const { width } = useElementSize(scroller)

const columns = computed(() => chain.parts.length + 2)
const drawWidth = computed(() => Math.max(width.value, columns.value * 126))
const drawing = computed(() =>
  buildStaircase({ chain, instrument, carrierHz, powerW, limitDbm, width: drawWidth.value, height: HEIGHT }),
)

const sorting = useSortable(
  partList,
  computed(() => chain.parts.map(part => part.id)),
  {
    animation: 120,
    draggable: '.part',
    disabled: locked,
    filter: '.end',
    direction: 'horizontal',
    forceFallback: true,
    fallbackTolerance: 4,
    onUpdate: (event: { oldIndex?: number; newIndex?: number; item: HTMLElement; from: HTMLElement }) => {
      const { oldIndex, newIndex, item, from } = event
      const part = chain.parts[(oldIndex ?? 1) - 1]
      from.insertBefore(
        item,
        from.children[(oldIndex ?? 1) + ((newIndex ?? 0) < (oldIndex ?? 0) ? 1 : 0)] ?? null,
      )
      if (part && newIndex !== undefined)
        emit('move', part.id, Math.min(chain.parts.length - 1, Math.max(0, newIndex - 1)))
    },
  },
)

watch(
  () => locked,
  now => sorting.option('disabled', now),
)

function moveByKey(partId: string, by: number): void {
  const at = chain.parts.findIndex(part => part.id === partId)
  const to = at + by
  if (locked || to < 0 || to >= chain.parts.length) return
  emit('move', partId, to)
  void nextTick(() => partList.value?.querySelector<HTMLElement>(`[data-part="${partId}"]`)?.focus())
}

const stairOf = (partId: string) => drawing.value.stairs.find(({ part }) => part.id === partId)
const lossWords = (partId: string) => {
  const stair = stairOf(partId)
  if (!stair) return 'ends the row'
  return stair.lossDb === null ? 'loss not known' : `${printSigned(-stair.lossDb, 2)} dB`
}
</script>

<template>
  <section class="sheet stairs" aria-label="Level staircase">
    <div ref="scroller" class="scroll" tabindex="0" role="group" aria-label="The chain, part by part">
      <div ref="partList" class="parts" :style="{ width: `${drawWidth}px` }">
        <div class="cell end">
          <strong>{{ radioName }}</strong><span class="small quiet">{{ radioDetail }}</span
          ><span class="figure level">{{ printDbm(drawing.startDbm) }}</span>
        </div>
        <button
          v-for="part in chain.parts"
          :key="part.id"
          type="button"
          :data-part="part.id"
          :class="[
            'cell',
            'part',
            { chosen: part.id === selectedPartId, alarm: alarmParts.includes(part.id) },
          ]"
          :aria-label="`${part.name}, ${lossWords(part.id)}. Enter to edit, Alt and arrow keys to move.`"
          :aria-pressed="part.id === selectedPartId"
          @click="emit('select', part.id)"
          @keydown.alt.left.prevent="moveByKey(part.id, -1)"
          @keydown.alt.right.prevent="moveByKey(part.id, 1)"
        >
          <strong>{{ part.name }}</strong><span class="small quiet">{{
            part.note || `VSWR ${printNumber(part.vswr, 2)}`
          }}</span
          ><span class="figure level">{{ lossWords(part.id) }}</span>
        </button>
        <button type="button" class="cell end instrument" @click="emit('selectInstrument')">
          <template v-if="instrument">
            <strong>{{ instrument.name }}</strong><span class="small quiet"
              >{{ printFrequencyShort(instrument.fromHz) }} to
              {{ printFrequencyShort(instrument.toHz) }}</span
            >
            <span class="figure level">{{
              drawing.atInstrumentDbm === null ? 'not known' : printDbm(drawing.atInstrumentDbm)
            }}</span>
          </template>
          <strong v-else>No instrument</strong>
        </button>
      </div>
      <StaircaseDrawing :drawing="drawing" :width="drawWidth" :height="HEIGHT" />
    </div>
  </section>
</template>

<style scoped>
.stairs {
  overflow: hidden;
}
.parts {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
}
.cell {
  display: grid;
  gap: 1px;
  align-content: start;
  padding: 9px 10px 8px;
  text-align: left;
  border-right: 1px dashed var(--line-2);
  min-width: 0;
  background: none;
  color: inherit;
}
.cell:last-child {
  border-right: 0;
}
.cell > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.cell strong {
  line-height: 1.3;
}
.part {
  cursor: grab;
}
.part:hover,
.instrument:hover {
  background: rgba(var(--v-theme-inside-wash), 0.45);
}
.part.chosen {
  background: rgb(var(--v-theme-inside-wash));
  box-shadow: inset 0 -3px 0 var(--spruce);
}
.part.alarm {
  background: rgb(var(--v-theme-close-wash));
}
.level {
  margin-top: 4px;
  font-weight: 600;
}
</style>
