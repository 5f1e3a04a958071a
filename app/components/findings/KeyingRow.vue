<script setup lang="ts">
import { KEYING_WORDS, type MayIKey } from '#core/findings'
import type { RadioSet } from '#core/review'

/** First row of the findings: may each of the radios be keyed, band by band; the reasons stand below. */
const { sets, answers } = defineProps<{ sets: readonly RadioSet[]; answers: readonly MayIKey[] }>()

const ofSet = (set: RadioSet) => answers.filter(answer => answer.set.id === set.id)
</script>

<template>
  <tr>
    <th scope="row">
      May I key it?<span class="small quiet">by the verdicts against limits; no permission</span>
    </th>
    <td v-for="set in sets" :key="set.id">
      <a href="#keying" class="cell">
        <span v-for="answer in ofSet(set)" :key="answer.band.id" class="band"
          ><span class="small quiet">{{ answer.band.name }}</span
          ><VerdictWord :state="KEYING_WORDS[answer.state].mark" :words="KEYING_WORDS[answer.state].short"
        /></span>
      </a>
    </td>
  </tr>
</template>

<style scoped>
th {
  text-align: left;
  padding: 10px;
  vertical-align: top;
  line-height: 1.25;
}
th .small {
  display: block;
  font-weight: 400;
  margin-top: 2px;
}
td {
  vertical-align: top;
}
.cell {
  display: grid;
  gap: 4px;
  padding: 8px 10px 10px;
  color: inherit;
  text-decoration: none;
}
.band > .small {
  display: block;
}
</style>
