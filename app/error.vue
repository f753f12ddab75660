<script setup lang="ts">
import type { NuxtError } from '#app'

/** What is shown where there is no page, or where one broke. */
const { error } = defineProps<{ error: NuxtError }>()
const missing = computed(() => error.statusCode === 404)
useHead({ title: () => missing.value ? 'Nothing here · Upper Deck' : 'Something broke · Upper Deck' })
</script>

<template>
  <main class="mx-auto max-w-2xl px-5 py-16">
    <img
      :src="MARK"
      alt=""
      class="mb-6 size-12"
    >
    <h1 class="mb-2 text-2xl font-bold">
      {{ missing ? 'There is nothing at this address' : 'Something broke here' }}
    </h1>
    <p class="mb-6 text-lg">
      {{ missing ? 'The job or the page may have been removed, or the address is not whole.' : 'What you typed is kept on this device. Load the page again; if it breaks again, note what you did last.' }}
    </p>
    <UButton
      label="All jobs"
      @click="clearError({ redirect: '/' })"
    />
  </main>
</template>
