<script setup lang="ts">
import type { Chain } from '#core/chain'
import { bindFields, choice, fieldsFor } from '../fields/editField'

/** A chain’s name, its instrument, the offset typed there; copying it and taking it away. */
const { chain } = defineProps<{ chain: Chain }>()
const emit = defineEmits<{ chosen: [chainId: string | null] }>()
const store = useReviewStore()
const edits = useBenchEdits()
const locked = computed(() => store.readOnly)
const stakes = computed(() => edits.readingsOn(chain.id))

const field = fieldsFor<Chain>()
const NAME = [field.text('name', { label: 'Name', change: 'a chain’s name', required: true })]
const OFFSET = field.number('offsetOnInstrumentDb', {
  label: 'Offset set on the instrument',
  change: 'the offset on the instrument',
  unit: 'dB',
  min: -150,
  max: 150,
})

const isFromGenerator = computed(
  () => store.context?.instrument(chain.instrumentId)?.kind === 'signal-generator',
)

/** Where this path may join another: at a combiner, or any part of it. */
const joins = computed(() => {
  const others = store.review!.chains.filter(
    ({ id, joins: joined, instrumentId }) =>
      id !== chain.id &&
      joined === null &&
      store.context?.instrument(instrumentId)?.kind === 'signal-generator',
  )
  const items = others.flatMap(({ id, name, parts }) =>
    parts.map(part => ({ value: `${id}|${part.id}`, title: `“${name}”, at ${part.name}` })),
  )
  return choice<Chain, string>(
    {
      label: 'Joins another path',
      change: 'where a path joins another',
      items: [{ value: '', title: 'no: leads to the radio by itself' }, ...items],
    },
    it => (it.joins ? `${it.joins.chainId}|${it.joins.partId}` : ''),
    (draft, value) => {
      const [chainId = '', partId = ''] = value.split('|')
      draft.joins = value === '' ? null : { chainId, partId }
    },
  )
})

const fields = computed(() => {
  const instruments = store.review!.instruments.map(({ id, name }) => ({ value: id, title: name }))
  const instrument = field.choice('instrumentId', {
    label: 'Instrument',
    change: 'the instrument of a chain',
    items: instruments,
  })
  return [
    ...bindFields(chain, NAME, rename),
    ...bindFields(
      chain,
      isFromGenerator.value ? [instrument, joins.value] : [instrument, OFFSET],
      (label, recipe) => edits.changeChain(chain.id, label, recipe),
    ),
  ]
})

/** A name moves no figure: the chain’s revision stays. */
function rename(label: string, recipe: (draft: Chain) => void): void {
  store.change(label, draft => {
    const found = draft.chains.find(({ id }) => id === chain.id)
    if (found) recipe(found)
  })
}

function remove(): void {
  if (edits.removeChain(chain)) emit('chosen', null)
}
</script>

<template>
  <section class="sheet block" aria-labelledby="chain-facts">
    <h2 id="chain-facts">This chain</h2>
    <EditGrid :fields="fields" :locked="locked" inline />
    <p v-if="stakes" class="small quiet">
      {{ stakes }} readings rest on this chain. A change here re-judges them; for another way of connecting,
      duplicate it.
    </p>
    <div class="row">
      <VBtn
        size="small"
        variant="outlined"
        :disabled="locked"
        @click="emit('chosen', edits.duplicateChain(chain))"
        >Duplicate</VBtn
      >
      <VBtn size="small" variant="outlined" :disabled="locked" @click="remove">Remove</VBtn>
    </div>
  </section>
</template>
