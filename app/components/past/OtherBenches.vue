<script setup lang="ts">
import { compareBenches, consensusOf, type PastRadio } from '#core/past'
import { printNumber } from '#core/quantity'

/** One model on several benches: figure by figure between two, and what three and more say together. */
const { radios } = defineProps<{ radios: readonly PastRadio[] }>()

const modelOf = ({ make, model }: PastRadio) => `${make} ${model}`.trim()
const reviewsOf = (name: string) =>
  new Set(radios.filter(one => modelOf(one) === name).map(({ reviewId }) => reviewId))
/** Models that more than one review has read. */
const models = computed(() =>
  [...new Set(radios.map(modelOf).filter(Boolean))].filter(name => reviewsOf(name).size > 1).sort(),
)
const chosen = ref<string | null>(null)
const model = computed(() =>
  chosen.value !== null && models.value.includes(chosen.value) ? chosen.value : (models.value[0] ?? null),
)
const members = computed(() => radios.filter(one => modelOf(one) === model.value))
const pairs = computed(() => {
  const [first] = members.value
  return first
    ? compareBenches(
        members.value.filter(({ reviewId }) => reviewId === first.reviewId),
        members.value.filter(({ reviewId }) => reviewId !== first.reviewId),
      )
    : []
})
const consensus = computed(() => consensusOf(members.value))
const nameOf = ({ name, reviewTitle }: PastRadio) => `${name} (${reviewTitle})`
const isOff = (en: number | null) => en !== null && Math.abs(en) > 1
</script>

<template>
  <div class="stack">
    <section v-if="!model" class="sheet part stack">
      <h2>No model was read twice yet</h2>
      <p>
        Bring in the review file of somebody who read the same model: every figure both have is compared, with
        what both leave open.
      </p>
    </section>
    <template v-else>
      <VSelect
        :model-value="model"
        :items="models"
        label="Model"
        class="chooser"
        @update:model-value="value => (chosen = value)"
      />
      <section
        v-if="consensus.length"
        class="sheet part scroll"
        tabindex="0"
        role="region"
        aria-label="Consensus"
      >
        <h2>What the benches say together</h2>
        <p class="small quiet">
          Robust mean by algorithm A of ISO 13528 (from memory), of benches that read the figure; |E_n| over 1
          is off.
        </p>
        <table class="plain">
          <thead>
            <tr>
              <th scope="col">Figure</th>
              <th scope="col" class="right">Together</th>
              <th scope="col">Benches</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in consensus" :key="one.key">
              <td>{{ one.title }}</td>
              <td class="right figure">
                {{ printNumber(one.consensus.mean, 2) }} ±{{
                  printNumber(2 * one.consensus.meanUncertainty, 2)
                }}
                {{ one.unit }}
              </td>
              <td>
                <span v-for="bench in one.benches" :key="bench.radio.reviewId" class="bench"
                  ><VerdictMark :state="bench.isOff ? 'outside' : 'inside'" /> {{ bench.radio.reviewTitle }}:
                  {{ bench.figure.words }}, E_n {{ printNumber(Math.abs(bench.en), 2) }}</span
                >
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section
        v-for="pair in pairs"
        :key="`${pair.ours.setId}:${pair.theirs.reviewId}:${pair.theirs.setId}`"
        class="sheet part scroll"
        tabindex="0"
        role="region"
        :aria-label="`${nameOf(pair.ours)} and ${nameOf(pair.theirs)}`"
      >
        <h2>{{ nameOf(pair.ours) }} and {{ nameOf(pair.theirs) }}</h2>
        <p v-if="pair.besides.length" class="small quiet">
          Besides the bench: {{ pair.besides.join('; ') }}.
        </p>
        <p v-if="pair.pairs.length === 0">They have no figure in common.</p>
        <table v-else class="plain">
          <thead>
            <tr>
              <th scope="col">Figure</th>
              <th scope="col" class="right">Here</th>
              <th scope="col" class="right">There</th>
              <th scope="col">Compared</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in pair.pairs" :key="one.key">
              <td>{{ one.title }}</td>
              <td class="right figure">{{ one.ours.words }}</td>
              <td class="right figure">{{ one.theirs.words }}</td>
              <td>
                <VerdictWord :state="isOff(one.en) ? 'outside' : 'observation'" :words="one.words" />
              </td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>
  </div>
</template>

<style scoped>
.part {
  padding: 12px 16px;
  overflow-x: auto;
}
.chooser {
  max-width: 360px;
}
.right {
  text-align: right;
}
.bench {
  display: block;
}
.plain td {
  padding: 4px 8px;
}
</style>
