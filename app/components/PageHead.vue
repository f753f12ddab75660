<script setup lang="ts">
/** The head of a page that is no job's: where one is, of which firm and as whom, and what leads on. */
defineProps<{ title: string }>()
const me = useMe()
</script>

<template>
  <header class="mb-5 flex flex-wrap items-end justify-between gap-4 border-b-2 border-graphite-900 pb-3">
    <div class="flex items-center gap-3">
      <NuxtLink
        to="/"
        aria-label="All jobs"
      ><img
        :src="MARK"
        alt=""
        class="size-10"
      ></NuxtLink>
      <div>
        <h1 class="text-2xl font-bold">
          {{ title }}
        </h1>
        <p class="text-[15px] text-muted">
          {{ me.me ? `${me.me.firmName}, ${me.me.personName}` : ' ' }}
        </p>
      </div>
    </div>
    <div class="no-print flex flex-wrap items-center gap-2">
      <slot>
        <NuxtLink
          to="/"
          class="mr-3 text-[15px] font-semibold underline underline-offset-4"
        >Jobs</NuxtLink>
      </slot>
      <PeopleMenu />
      <ThemeSwitch />
    </div>
  </header>
</template>
