<script setup lang="ts">
/** One question with any number of answers. */
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
const ticked = defineModel<string[]>({ required: true })
</script>

<template>
  <fieldset class="sheet answers">
    <legend>{{ legend }}</legend>
    <label
      v-for="choice in choices"
      :key="choice.id"
      class="answer"
      :class="{ chosen: ticked.includes(choice.id) }"
    >
      <input v-model="ticked" type="checkbox" :name="name" :value="choice.id" />
      <span
        >{{ choice.title
        }}<span v-if="choice.detail" class="small quiet detail">{{ choice.detail }}</span></span
      >
    </label>
    <p v-if="note" class="small quiet">{{ note }}</p>
  </fieldset>
</template>

<style scoped src="./answers.css"></style>
