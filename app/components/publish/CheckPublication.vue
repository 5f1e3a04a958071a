<script setup lang="ts">
import {
  type CheckedPublication,
  checkedState,
  checkedWords,
  keyFingerprint,
  shortMark,
} from '#core/publication'
import type { VerdictState } from '#core/decision'

/** A file somebody published: every figure is worked out again and compared. Nothing of it comes onto the shelf. */
const shelf = useShelfStore()
const ui = useUiStore()
const version = String(useRuntimeConfig().public.version)
const isBusy = ref(false)
const file = ref('')
const found = shallowRef<{ one: CheckedPublication; print: string }[] | null>(null)

const MARKS: Record<ReturnType<typeof checkedState>, VerdictState> = {
  stands: 'inside',
  'figures-differ': 'too-close',
  'changed-since': 'outside',
  tampered: 'outside',
}
const TITLES: Record<ReturnType<typeof checkedState>, string> = {
  stands: 'Stands',
  'figures-differ': 'Figures differ',
  'changed-since': 'Not what was published',
  tampered: 'Changed after signing',
}
const SIGNED = { good: 'Signed; fingerprint of the key', bad: 'Its signature is wrong; key' } as const
const signatureWords = ({ one, print }: { one: CheckedPublication; print: string }) =>
  one.signature === 'none' ? 'Not signed.' : `${SIGNED[one.signature]}: ${print}`

async function check([picked]: File[]): Promise<void> {
  if (!picked) return
  isBusy.value = true
  found.value = null
  file.value = picked.name
  try {
    const bundle = await shelf.readFile(picked)
    const { checkPublications } = await import('#core/publication')
    const checked = checkPublications(bundle, version)
    found.value = checked.map(one => ({
      one,
      print: one.publication.signature ? keyFingerprint(one.publication.signature) : '',
    }))
  } catch (error) {
    ui.sayProblem(error)
  }
  isBusy.value = false
}
const MOST_SHOWN = 20
</script>

<template>
  <section class="sheet part stack" data-testid="check-publication">
    <div class="spread">
      <div>
        <h2>Check a publication</h2>
        <p class="small quiet">
          Bring in a review file somebody published. Every figure is worked out again here and compared with
          what was frozen. It does not come onto the shelf.
        </p>
      </div>
      <FilePick
        label="A published review file"
        accept=".json"
        :loading="isBusy"
        test-id="published-file"
        @files="check"
        >Bring in a file</FilePick
      >
    </div>
    <div v-if="found" role="status" class="stack">
      <p v-if="found.length === 0">Nothing was published in “{{ file }}”.</p>
      <article v-for="checked in found" :key="checked.one.publication.id" class="checked">
        <p>
          <VerdictWord :state="MARKS[checkedState(checked.one)]" :words="TITLES[checkedState(checked.one)]" />
          <strong class="figure">{{ shortMark(checked.one.publication) }}</strong>
          {{ checked.one.publication.at.slice(0, 10) }}
          {{ checked.one.publication.who }}
        </p>
        <p>{{ checkedWords(checked.one) }}</p>
        <p class="small quiet">{{ signatureWords(checked) }}</p>
        <ul v-if="checked.one.differences.length || checked.one.versions.length" class="small">
          <li v-for="(one, index) in checked.one.differences.slice(0, MOST_SHOWN)" :key="index">
            {{ one.set }}, {{ one.station }}, {{ one.place }}: {{ one.before }} then, {{ one.after }} now
          </li>
          <li v-if="checked.one.differences.length > MOST_SHOWN" class="quiet">
            and {{ checked.one.differences.length - MOST_SHOWN }} more
          </li>
          <li v-for="words in checked.one.versions" :key="words" class="quiet">{{ words }}</li>
        </ul>
      </article>
    </div>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 16px;
}
.checked {
  border-top: 1px solid var(--line);
  padding-top: 8px;
  overflow-wrap: anywhere;
}
</style>
