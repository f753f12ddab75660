<script setup lang="ts">
import { PASSPHRASE_HINT } from '#core/people'

useHead({ title: 'Passphrase · Upper Deck' })
const route = useRoute()
// The secret of a link that was sent follows the #; without one, such a link is asked for.
const secret = route.hash.slice(1)
const email = ref(typeof route.query.email === 'string' ? route.query.email : '')
const passphrase = ref('')
const done = ref(false)
const { busy, problem, ask } = useAsking()
const { data: entry } = useFetch<{ post: 'smtp' | 'outbox' }>('/api/entry')

async function send() {
  done.value = Boolean(await ask(() => secret
    ? $fetch('/api/session/reset', { method: 'POST', body: { email: email.value, secret, passphrase: passphrase.value } })
    : $fetch('/api/session/forgotten', { method: 'POST', body: { email: email.value } })))
}
</script>

<template>
  <EntryPage :title="secret ? 'A new passphrase' : 'Forgotten your passphrase?'">
    <EntryProblem :problem="problem" />
    <template v-if="done">
      <p class="mb-4 border-l-4 border-lichen-500 py-1 pl-3 text-[17px]">
        <template v-if="secret">
          It is changed, and you are signed out everywhere. Sign in with the new one.
        </template>
        <template v-else>
          If {{ email }} signs in here, a link is on its way. It lasts an hour.
          <template v-if="entry?.post === 'outbox'">
            No mail server is set: the firm’s owner finds it under People, in the outbox.
          </template>
        </template>
      </p>
      <UButton
        size="lg"
        to="/sign-in"
        label="To sign in"
      />
    </template>
    <form
      v-else
      @submit.prevent="send"
    >
      <EntryField
        v-if="!secret"
        v-model="email"
        label="E-mail"
        type="email"
        autocomplete="username"
      />
      <EntryField
        v-else
        v-model="passphrase"
        :label="`The new passphrase of ${email}`"
        type="passphrase"
        autocomplete="new-password"
        :hint="PASSPHRASE_HINT"
      />
      <div class="mt-4 flex items-center justify-between gap-3">
        <UButton
          type="submit"
          size="lg"
          :label="secret ? 'Change it' : 'Send me a link'"
          :loading="busy"
        />
        <NuxtLink
          to="/sign-in"
          class="text-[15px] underline underline-offset-4"
        >Back</NuxtLink>
      </div>
    </form>
  </EntryPage>
</template>
