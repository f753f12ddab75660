<script setup lang="ts">
definePageMeta({ redirect: to => `/jobs/${String(to.params.id)}/survey` })
</script>

<template>
  <div />
</template>
