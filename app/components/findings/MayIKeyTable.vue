<script setup lang="ts">
import { KEYING_CAUTION, KEYING_WORDS, type KeyingReason, type MayIKey } from '#core/findings'
import { setShortName } from '#core/review'

/** May each of these radios be keyed, band by band: drawn from the verdicts, with what decides. */
const { answers } = defineProps<{ answers: readonly MayIKey[] }>()
const { placeTo } = useReviewRoute()

/** Reasons that are shown at once; the rest are a press away. */
const MOST_SHOWN = 3
const restOf = ({ because }: MayIKey) => because.slice(MOST_SHOWN)

function placeOf({ set }: MayIKey, { place }: KeyingReason) {
  const { stationId, stepId, slotId } = place
  return placeTo(stationId, {
    set: set.id,
    ...(stepId === '' ? {} : { step: stepId }),
    ...(slotId === null ? {} : { slot: slotId }),
  })
}
</script>

<template>
  <section v-if="answers.length" id="keying" class="sheet keying" aria-label="May I key it?">
    <h2>May I key it?</h2>
    <p class="small quiet">{{ KEYING_CAUTION }}</p>
    <ul>
      <li v-for="answer in answers" :key="`${answer.set.id}:${answer.band.id}`" class="answer">
        <span class="who"
          ><strong>{{ setShortName(answer.set) }}</strong
          ><span class="small quiet">{{ answer.band.name }}, by {{ answer.rulebooks.join(', ') }}</span></span
        >
        <VerdictWord :state="KEYING_WORDS[answer.state].mark" :words="KEYING_WORDS[answer.state].words" />
        <div class="small why">
          <NuxtLink
            v-for="reason in answer.because.slice(0, MOST_SHOWN)"
            :key="reason.words"
            :to="placeOf(answer, reason)"
            >{{ reason.words }}</NuxtLink
          >
          <details v-if="restOf(answer).length">
            <summary>{{ restOf(answer).length }} more</summary>
            <NuxtLink v-for="reason in restOf(answer)" :key="reason.words" :to="placeOf(answer, reason)">{{
              reason.words
            }}</NuxtLink>
          </details>
          <span v-if="answer.notLookedAt.length" class="quiet"
            >Not looked at: {{ answer.notLookedAt.join(', ') }}</span
          >
        </div>
      </li>
    </ul>
    <KeyingFilter :answers="answers" />
  </section>
</template>

<style scoped>
.keying {
  padding: 14px 16px;
  display: grid;
  gap: 8px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.answer {
  display: grid;
  grid-template-columns: 190px 250px minmax(0, 1fr);
  gap: 4px 16px;
  padding: 8px 0;
  align-items: start;
}
.answer + .answer {
  border-top: 1px solid var(--line);
}
.who > * {
  display: block;
}
.why {
  display: grid;
  gap: 2px;
}
.why a {
  display: block;
  color: inherit;
}
@media (max-width: 800px) {
  .answer {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
