<script setup lang="ts">
import { PASSPHRASE_HINT } from '#core/people'

useHead({ title: 'Your sign-in · Upper Deck' })
const { data: sessions, refresh } = useFetch<{ device: string, createdAt: string, seenAt: string, here: boolean }[]>('/api/me/sessions')
const { busy, problem, ask } = useAsking()
const [now, next] = [ref(''), ref('')]
const changed = ref(false)
const day = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
async function change() {
  changed.value = Boolean(await ask(() => $fetch('/api/me/passphrase', { method: 'PUT', body: { now: now.value, next: next.value } })))
  if (!changed.value) return
  now.value = next.value = ''
  await refresh()
}
const keys = useDeviceKeys()
const { data: known, refresh: refreshKeys } = useFetch<{ credentialId: string, name: string, madeAt: string, usedAt: string | null }[]>('/api/me/passkeys')
const keyName = ref('')
async function addKey() {
  await ask(() => keys.add(keyName.value), 'Nothing was added: this device made no key.')
  keyName.value = ''
  await refreshKeys()
}
async function removeKey(id: string) {
  await ask(() => $fetch(`/api/me/passkeys/${encodeURIComponent(id)}`, { method: 'DELETE' }))
  await refreshKeys()
}
async function endOthers() {
  await ask(() => $fetch('/api/me/sessions', { method: 'DELETE' }))
  await refresh()
}
</script>

<template>
  <div class="mx-auto max-w-2xl px-5 py-8">
    <PageHead title="Your sign-in" />
    <EntryProblem :problem="problem" />
    <section class="mb-8">
      <h2 class="mb-2 text-lg font-bold">
        Where you are signed in
      </h2>
      <ul>
        <li
          v-for="(one, i) in sessions"
          :key="i"
          class="flex justify-between gap-3 border-b border-dotted border-graphite-300 py-2 text-[15px]"
        >
          <span><b>{{ one.device || 'A browser' }}</b>{{ one.here ? ', here' : '' }}</span>
          <span class="text-muted">since {{ day(one.createdAt) }}, last seen {{ day(one.seenAt) }}</span>
        </li>
      </ul>
      <UButton
        v-if="(sessions?.length ?? 0) > 1"
        class="mt-3"
        color="neutral"
        variant="outline"
        label="Sign out everywhere but here"
        @click="endOthers"
      />
    </section>
    <section class="mb-8">
      <h2 class="mb-2 text-lg font-bold">
        Keys of your devices
      </h2>
      <p class="mb-2 text-[15px] text-muted">
        A device that you open with a finger, a face or its own code can sign you in without the passphrase.
      </p>
      <ul aria-label="Keys of your devices">
        <li
          v-for="one in known"
          :key="one.credentialId"
          class="flex flex-wrap items-center justify-between gap-3 border-b border-dotted border-graphite-300 py-2 text-[15px]"
        >
          <span><b>{{ one.name }}</b>, since {{ day(one.madeAt) }}{{ one.usedAt ? `, used ${day(one.usedAt)}` : '' }}</span>
          <UButton
            size="sm"
            color="neutral"
            variant="outline"
            label="Take away"
            @click="removeKey(one.credentialId)"
          />
        </li>
      </ul>
      <form
        v-if="keys.can"
        class="mt-3 flex flex-wrap gap-2"
        @submit.prevent="addKey"
      >
        <UInput
          v-model="keyName"
          maxlength="120"
          placeholder="Its name, as “the van’s tablet”"
          aria-label="Name of this device"
          class="w-64 max-sm:w-full"
        />
        <UButton
          type="submit"
          color="neutral"
          variant="outline"
          icon="i-lucide-fingerprint"
          label="Add this device’s key"
          :loading="busy"
        />
      </form>
      <p
        v-else
        class="mt-2 text-[15px] text-muted"
      >
        Not at this address: a key needs a name in the address (as localhost, or the office’s own over TLS), not numbers.
      </p>
    </section>
    <section>
      <h2 class="mb-2 text-lg font-bold">
        Change the passphrase
      </h2>
      <p
        v-if="changed"
        role="status"
        class="mb-3 border-l-4 border-lichen-500 py-1 pl-3"
      >
        It is changed. Everywhere else you are signed out.
      </p>
      <form @submit.prevent="change">
        <EntryField
          v-model="now"
          label="The one you have now"
          type="passphrase"
          autocomplete="current-password"
        />
        <EntryField
          v-model="next"
          label="The new one"
          type="passphrase"
          autocomplete="new-password"
          :hint="PASSPHRASE_HINT"
        />
        <UButton
          type="submit"
          label="Change it"
          :loading="busy"
        />
      </form>
    </section>
  </div>
</template>
