<script setup lang="ts">
definePageMeta({ redirect: to => `/review/${String(to.params.reviewId)}/card` })
</script>

<template><span /></template>
