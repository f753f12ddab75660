<script setup lang="ts">
import { PASSPHRASE_HINT, type Role, roleWords } from '#core/people'

useHead({ title: 'Join · Upper Deck' })
// What follows the # never leaves the browser by itself: no log and no other page has it.
const token = useRoute().hash.slice(1)
const me = useMe()
const { busy, problem, ask } = useAsking()
const [name, email, firmName, passphrase] = [ref(''), ref(''), ref(''), ref('')]
interface Offer { email: string | null, role: Role, invitedBy: string | null, firmName: string, known: boolean }
const offer = shallowRef<Offer | null>(null)
onMounted(async () => offer.value = await ask(() => $fetch<Offer>('/api/join/look', { method: 'POST', body: { token } })) ?? null)
/** Nobody has invited a firm's first owner: they say what the firm is called, and who they are. */
const first = computed(() => offer.value !== null && offer.value.invitedBy === null)

async function join() {
  const joined = await ask(() => $fetch<{ jobId: string | null }>('/api/join', {
    method: 'POST',
    body: { token, name: name.value, passphrase: passphrase.value, ...(first.value ? { firmName: firmName.value } : {}), ...(offer.value!.email ? {} : { email: email.value }) },
  }))
  if (!joined) return
  await me.refresh()
  await navigateTo(joined.jobId ? `/jobs/${joined.jobId}/survey` : '/', { replace: true })
}
</script>

<template>
  <EntryPage :title="first ? 'Set up your firm' : offer ? `Join ${offer.firmName}` : 'Join'">
    <EntryProblem :problem="problem" />
    <form
      v-if="offer"
      @submit.prevent="join"
    >
      <p class="mb-4 text-[17px]">
        <template v-if="first">
          Nobody belongs to this office yet. You will be its owner: you plan, and say who else belongs to the firm.
        </template>
        <template v-else>
          {{ offer.invitedBy }} invites you as <b>{{ roleWords[offer.role].title.toLowerCase() }}</b>, who {{ roleWords[offer.role].does }}. You sign in as {{ offer.email }}.
        </template>
      </p>
      <EntryField
        v-if="first"
        v-model="firmName"
        label="The firm’s name"
        autocomplete="organization"
      />
      <EntryField
        v-model="name"
        label="Your name"
        autocomplete="name"
        hint="As it stands on sheets and in the history."
      />
      <EntryField
        v-if="!offer.email"
        v-model="email"
        label="E-mail"
        type="email"
        autocomplete="username"
      />
      <EntryField
        v-model="passphrase"
        :label="offer.known ? 'The passphrase you have here already' : 'A passphrase of your own'"
        type="passphrase"
        :autocomplete="offer.known ? 'current-password' : 'new-password'"
        :hint="offer.known ? 'You work for another firm here; it stays the same.' : PASSPHRASE_HINT"
      />
      <UButton
        type="submit"
        size="lg"
        class="mt-2"
        :label="first ? 'Open the office' : 'Join'"
        :loading="busy"
      />
    </form>
    <p
      v-else-if="!problem"
      class="text-muted"
    >
      Looking at the invitation…
    </p>
    <NuxtLink
      v-else
      to="/sign-in"
      class="font-semibold underline underline-offset-4"
    >To sign in</NuxtLink>
  </EntryPage>
</template>
