<script setup lang="ts">
/** One question with its answers: one of them, or any number where the model is a list. */
const {
  legend,
  name,
  choices,
  note = '',
} = defineProps<{
  legend: string
  name: string
  choices: readonly { id: string; title: string; detail?: string }[]
  note?: string
}>()
const answer = defineModel<string | string[]>({ required: true })
const type = computed(() => (Array.isArray(answer.value) ? 'checkbox' : 'radio'))

const isChosen = (id: string): boolean =>
  Array.isArray(answer.value) ? answer.value.includes(id) : answer.value === id
</script>

<template>
  <fieldset class="sheet answers">
    <legend>{{ legend }}</legend>
    <label v-for="choice in choices" :key="choice.id" class="answer" :class="{ chosen: isChosen(choice.id) }">
      <input v-model="answer" :type="type" :name="name" :value="choice.id" />
      <span
        >{{ choice.title
        }}<span v-if="choice.detail" class="small quiet detail">{{ choice.detail }}</span></span
      >
    </label>
    <p v-if="note" class="small quiet">{{ note }}</p>
  </fieldset>
</template>

<style scoped>
.answers {
  margin: 0;
  padding: 6px 12px 12px;
  min-width: 0;
  display: grid;
  gap: 2px;
}
.answers legend {
  font-weight: 600;
  padding: 0 4px;
}
.answer {
  display: flex;
  gap: 10px;
  align-items: baseline;
  padding: 5px 8px;
  border-radius: var(--radius);
  cursor: pointer;
}
.answer.chosen {
  background: rgb(var(--v-theme-inside-wash));
}
.answer:focus-within {
  outline: 2px solid var(--spruce);
}
.answer input {
  accent-color: var(--spruce);
  transform: translateY(2px);
}
.detail {
  display: block;
}
</style>
