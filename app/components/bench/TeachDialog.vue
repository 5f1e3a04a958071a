<script setup lang="ts">
import type { Phrasebook } from '#core/link'

/** Teaches the application one’s own instrument: send a line, see the answer, keep the phrase. */
const { book } = defineProps<{ book: Phrasebook }>()
const emit = defineEmits<{ close: []; keep: [book: Phrasebook] }>()
const linkId = `teach:${book.kind}`
const teaching = useTeaching(() => book, linkId)
const {
  name,
  lines,
  waitMs,
  unit,
  scale,
  pick,
  tried,
  guess,
  asks,
  isBusy,
  refusal,
  reads,
  whole,
  names,
  send,
} = teaching
const HINT =
  'One each line; {frequencyHz} and the like are filled in. It may make an instrument give power: mind what is plugged in.'
const LINE_ENDS = [
  { value: '\n', title: 'line feed' },
  { value: '\r\n', title: 'carriage return, line feed' },
]
const UNITS = ['dBm', 'W', 'V', 'A', 'Hz', 'dB', 'VSWR']
const isOpen = ref(true)
watch(isOpen, open => !open && emit('close'))

function keep(): void {
  emit('keep', teaching.taught())
}
</script>

<template>
  <VDialog v-model="isOpen" max-width="640">
    <div class="sheet teach" role="dialog" :aria-label="`Teach ${book.title}`">
      <h2>Teach “{{ book.title }}”</h2>
      <LinkChoice :link-id="linkId" :kind="book.kind" />
      <div class="two">
        <VSelect v-model="name" :items="names" label="What it is for" />
        <VTextField v-model.number="waitMs" type="number" label="Wait before the last line, ms" />
      </div>
      <VTextarea
        v-model="lines"
        label="Lines that are sent"
        :error-messages="refusal"
        :hint="HINT"
        persistent-hint
      />
      <div class="row">
        <VBtn variant="outlined" :loading="isBusy" @click="send">Send it</VBtn>
        <span v-if="tried.is === 'failed'" class="stop" role="alert">{{ tried.words }}</span>
        <span v-else-if="tried.is === 'done'" role="status">It took it, and has no error.</span>
        <span v-else-if="tried.is === 'answered'" role="status" data-testid="taught-answer">{{ reads }}</span>
      </div>
      <div v-if="asks" class="three">
        <VSelect v-model="unit" :items="UNITS" label="Unit" />
        <VTextField v-model.number="scale" type="number" label="Times" />
        <VTextField
          v-if="guess && guess.count > 1"
          :model-value="pick === null ? '' : pick + 1"
          type="number"
          label="Which of them (empty: all)"
          @update:model-value="pick = $event === '' ? null : Math.max(0, Number($event) - 1)"
        />
      </div>
      <details>
        <summary>Its name, what is said first, what makes it safe</summary>
        <div class="whole-book">
          <VTextField v-model="whole.title" label="Name" :maxlength="300" />
          <VTextField v-model="whole.note" label="Note" :maxlength="2000" />
          <div class="two">
            <VTextarea v-model="whole.begin" label="Said once, before anything else" />
            <VTextarea v-model="whole.safe" label="Makes it safe: at the end, and on every failure" />
          </div>
          <div class="three">
            <VTextField v-model="whole.identify" label="Asks who it is" />
            <VTextField v-model="whole.nextError" label="Asks for its next error" />
            <VSelect v-model="whole.lineEnd" :items="LINE_ENDS" label="Ends a line" />
          </div>
        </div>
      </details>
      <div class="row end">
        <VBtn variant="text" @click="isOpen = false">Leave it</VBtn>
        <VBtn color="primary" :disabled="refusal !== ''" @click="keep">Keep the phrase</VBtn>
      </div>
    </div>
  </VDialog>
</template>

<style scoped>
.teach {
  padding: 18px 20px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-height: 90vh;
  overflow-y: auto;
}
.whole-book {
  display: grid;
  gap: 10px;
  padding-top: 10px;
}
summary {
  cursor: pointer;
}
.three {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 10px;
}
</style>
