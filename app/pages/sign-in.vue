<script setup lang="ts">
import type { Role } from '#core/people'

useHead({ title: 'Sign in · Upper Deck' })
const me = useMe()
const route = useRoute()
const { data: entry } = useFetch<{ demo: { role: Role, title: string, does: string }[], post: 'smtp' | 'outbox' }>('/api/entry')
const [email, passphrase] = [ref(''), ref('')]
/** The firms to choose from, for somebody who works for several. */
const firms = ref<{ firmId: string, name: string }[]>([])
const { busy, problem, ask } = useAsking()
interface ByKey { firms: { firmId: string, name: string }[], ticket?: string, email?: string }
/** Who has shown a device's key and works for several firms. */
const byKey = shallowRef<ByKey | null>(null)
const keys = useDeviceKeys()
async function signInByKey() {
  const answer = await ask(() => keys.signIn(), 'This device showed no key. Sign in with your passphrase.')
  if (!answer) return
  byKey.value = answer
  firms.value = answer.firms
  if (!answer.firms.length) await enter()
}
async function choose(firmId: string) {
  if (!byKey.value?.ticket) return await signIn(firmId)
  if (await ask(() => $fetch('/api/session/passkey', { method: 'POST', body: { ticket: byKey.value!.ticket, email: byKey.value!.email, firmId } }))) await enter()
}

/** Where somebody was going; only ever a page of this app. */
const to = computed(() => {
  const { to: asked } = route.query
  return typeof asked === 'string' && /^\/(?![/\\])/.test(asked) ? asked : '/'
})
async function enter() {
  await me.refresh()
  await navigateTo(to.value, { replace: true })
}
async function signIn(firmId?: string) {
  const answer = await ask(() => $fetch<{ firms: { firmId: string, name: string }[] }>('/api/session', { method: 'POST', body: { email: email.value, passphrase: passphrase.value, firmId } }))
  if (!answer) return
  firms.value = answer.firms
  if (!answer.firms.length) await enter()
}
async function enterDemo(role: Role) {
  if (await ask(() => $fetch('/api/session/demo', { method: 'POST', body: { role } }))) await enter()
}
</script>

<template>
  <EntryPage title="Sign in">
    <EntryProblem :problem="problem" />
    <form
      v-if="!firms.length"
      @submit.prevent="signIn()"
    >
      <EntryField
        v-model="email"
        label="E-mail"
        type="email"
        autocomplete="username"
      />
      <EntryField
        v-model="passphrase"
        label="Passphrase"
        type="passphrase"
        autocomplete="current-password"
      />
      <div class="mt-4 flex flex-wrap items-center justify-between gap-3">
        <UButton
          type="submit"
          size="lg"
          label="Sign in"
          :loading="busy"
        />
        <NuxtLink
          to="/passphrase"
          class="text-[15px] underline underline-offset-4"
        >Forgotten?</NuxtLink>
      </div>
      <UButton
        v-if="keys.can"
        class="mt-3"
        size="lg"
        color="neutral"
        variant="outline"
        icon="i-lucide-fingerprint"
        label="Sign in with this device’s key"
        :disabled="busy"
        @click="signInByKey"
      />
    </form>
    <section v-else>
      <p class="mb-3 text-[17px]">
        You work for several firms. Which one now?
      </p>
      <UButton
        v-for="firm in firms"
        :key="firm.firmId"
        class="mb-2"
        size="lg"
        color="neutral"
        variant="outline"
        block
        :label="firm.name"
        @click="choose(firm.firmId)"
      />
    </section>
    <section
      v-if="entry?.demo.length"
      class="mt-8 border-t border-graphite-300 pt-4"
    >
      <h2 class="font-bold">
        This is a demo
      </h2>
      <p class="mb-3 text-[15px] text-muted">
        Firm, people, jobs and makers are invented. Enter as one of them; nobody needs a passphrase here.
      </p>
      <ul>
        <li
          v-for="one in entry.demo"
          :key="one.role"
          class="flex items-center justify-between gap-3 border-b border-dotted border-graphite-300 py-2"
        >
          <p class="text-[15px]">
            <b>{{ one.title }}</b> {{ one.does }}
          </p>
          <UButton
            color="neutral"
            variant="outline"
            :label="`Enter as ${one.title.toLowerCase()}`"
            class="shrink-0 max-md:min-h-11"
            :disabled="busy"
            @click="enterDemo(one.role)"
          />
        </li>
      </ul>
    </section>
  </EntryPage>
</template>
