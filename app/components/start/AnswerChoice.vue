<script setup lang="ts">
/** One question with one answer of several. */
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
const chosen = defineModel<string>({ required: true })
</script>

<template>
  <fieldset class="sheet answers">
    <legend>{{ legend }}</legend>
    <label
      v-for="choice in choices"
      :key="choice.id"
      class="answer"
      :class="{ chosen: choice.id === chosen }"
    >
      <input v-model="chosen" type="radio" :name="name" :value="choice.id" />
      <span
        >{{ choice.title
        }}<span v-if="choice.detail" class="small quiet detail">{{ choice.detail }}</span></span
      >
    </label>
    <p v-if="note" class="small quiet">{{ note }}</p>
  </fieldset>
</template>

<style scoped src="./answers.css"></style>
