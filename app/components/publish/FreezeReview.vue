<script setup lang="ts">
import { keyFingerprint } from '#core/publication'
import { canSign } from '~/publication/signingKey'

/** Publishing: the state of the review is frozen, and every later change is shown against it. */
const store = useReviewStore()
const { standing, share, freeze, isBusy } = usePublications()
const note = ref('')
const isSigned = ref(false)
const mayPublish = computed(() => !store.readOnly && (store.review?.readings.length ?? 0) > 0)

async function publishNow(): Promise<void> {
  await freeze(note.value, isSigned.value)
  note.value = ''
}

const fingerprints = computed<Record<string, string>>(() =>
  Object.fromEntries(
    standing.value.flatMap(({ publication: { id, signature } }) =>
      signature ? [[id, keyFingerprint(signature)]] : [],
    ),
  ),
)
const dayOf = (at: string) => `${at.slice(0, 16).replace('T', ' ')} UTC`
/** So many differences are read; the rest is counted. */
const MOST_SHOWN = 12
</script>

<template>
  <section class="sheet part stack">
    <h2>Freeze this state</h2>
    <p class="small quiet">
      Kept are the SHA-256 of the review in its canonical form (RFC 8785), the versions of program, stations
      and rulebooks, and every figure. The review file you take away after that carries it all.
    </p>
    <form class="row" @submit.prevent="publishNow">
      <VTextField v-model="note" label="Note: where, and what for" :maxlength="400" class="note" />
      <VCheckbox
        v-model="isSigned"
        :disabled="!canSign()"
        label="Sign with this browser’s key"
        data-testid="sign"
      />
      <VBtn type="submit" color="primary" :loading="isBusy" :disabled="!mayPublish">Publish</VBtn>
    </form>
    <p v-if="!mayPublish && !store.readOnly" class="small quiet">
      There is nothing to publish before something is read.
    </p>
    <SlicedProgress :share="share" words="Comparing with what was published" />
    <ul v-if="standing.length" class="plain-list" data-testid="publications">
      <li v-for="one in standing" :key="one.publication.id" class="published">
        <p>
          <strong class="figure">{{ one.mark }}</strong> {{ dayOf(one.publication.at)
          }}<template v-if="one.publication.who">, {{ one.publication.who }}</template
          >, {{ one.publication.figures.length }} figures<template v-if="one.publication.note"
            >. {{ one.publication.note }}</template
          >
        </p>
        <p>{{ one.since }}</p>
        <p v-if="fingerprints[one.publication.id]" class="small quiet">
          Signed; fingerprint of the key: <span class="figure">{{ fingerprints[one.publication.id] }}</span>
        </p>
        <details v-if="one.differences.length">
          <summary>Which</summary>
          <ul>
            <li v-for="(found, index) in one.differences.slice(0, MOST_SHOWN)" :key="index" class="small">
              {{ found.set }}, {{ found.station }}, {{ found.place }}: {{ found.before }} then,
              {{ found.after }} now
            </li>
            <li v-if="one.differences.length > MOST_SHOWN" class="small quiet">
              and {{ one.differences.length - MOST_SHOWN }} more
            </li>
          </ul>
        </details>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 16px;
}
.note {
  flex: 1 1 240px;
}
.plain-list {
  list-style: none;
  margin: 0;
  padding: 0;
}
.published {
  border-top: 1px solid var(--line);
  padding: 8px 0;
  overflow-wrap: anywhere;
}
</style>
