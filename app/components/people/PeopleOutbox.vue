<script setup lang="ts">
/** Mail that no server carries: whoever hands it over reads it here. */
const { data } = useFetch<{ post: 'smtp' | 'outbox', mails: { to: string, subject: string, text: string, at: string }[] }>('/api/outbox')
const day = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <section
    v-if="data?.post === 'outbox'"
    class="mt-8"
  >
    <h2 class="text-lg font-bold">
      Outbox
    </h2>
    <p class="mb-2 text-[15px] text-muted">
      No mail server is set, so that mail waits here to be handed over: read a link out, or send it as you like. Whoever has the link is taken for whom it is to.
    </p>
    <p
      v-if="!data.mails.length"
      class="border-l-4 border-graphite-300 py-1 pl-3"
    >
      Nothing waits.
    </p>
    <details
      v-for="mail in data.mails"
      :key="mail.at + mail.to"
      class="border-b border-graphite-300 py-2"
    >
      <summary class="cursor-pointer text-[15px]">
        <b>{{ mail.to }}</b> {{ mail.subject }} <span class="text-muted">{{ day(mail.at) }}</span>
      </summary>
      <pre class="mt-2 max-w-full border-l-4 border-graphite-300 pl-3 font-sans text-[15px] wrap-anywhere whitespace-pre-wrap">{{ mail.text }}</pre>
    </details>
  </section>
</template>
