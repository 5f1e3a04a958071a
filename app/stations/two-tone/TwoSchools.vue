<script setup lang="ts">
import { TWO_SCHOOLS } from '#core/station'
</script>

<template>
  <p class="small quiet helper">{{ TWO_SCHOOLS }}</p>
</template>
