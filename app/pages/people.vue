<script setup lang="ts">
import { roleWords } from '#core/people'

useHead({ title: 'People · Upper Deck' })
const me = useMe()
const { data, error, busy, problem, change, invite, takeBack } = usePeople()
const day = (at: string) => new Date(at).toLocaleDateString('en-GB', { dateStyle: 'medium' })
/** The last invitation's link, to be handed over. */
const handed = ref<{ to: string, link: string, mailed: boolean } | null>(null)
const form = useTemplateRef('form')
const mailed = ref(0)
async function send(who: Inviting) {
  const made = await invite(who)
  if (!made) return
  handed.value = { to: who.email, ...made }
  form.value?.clear()
  mailed.value++
}
const { copy, copied } = useClipboard({ legacy: true })
</script>

<template>
  <div class="mx-auto max-w-4xl px-5 py-8">
    <PageHead title="People" />
    <p
      v-if="error"
      role="alert"
      class="border-l-4 border-brick-500 py-1 pl-3"
    >
      {{ sentencesFrom(error, 'The office can’t be reached. Load the page again in a minute.') }}
    </p>
    <template v-if="data">
      <EntryProblem :problem="problem" />
      <ul>
        <PeopleLine
          v-for="person in data.people"
          :key="person.personId"
          :person="person"
          :own="person.personId === data.me"
          @change="change(person.personId, $event)"
        />
      </ul>
      <template v-if="me.may('people')">
        <section class="mt-8">
          <h2 class="mb-2 text-lg font-bold">
            Invite somebody
          </h2>
          <PeopleInvite
            ref="form"
            :busy="busy"
            @invite="send"
          />
          <p
            v-if="handed"
            role="status"
            class="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-lichen-500 py-1 pl-3 text-[15px] wrap-anywhere"
          >
            <span>{{ handed.to }} is invited. {{ handed.mailed ? 'The link, should the mail not arrive:' : 'The mail could not be sent: hand the link over yourself.' }} <b>{{ handed.link }}</b></span>
            <UButton
              size="sm"
              color="neutral"
              variant="outline"
              :label="copied ? 'Copied' : 'Copy the link'"
              @click="copy(handed.link)"
            />
          </p>
          <ul
            v-if="data.invitations.length"
            class="mt-3"
            aria-label="Open invitations"
          >
            <li
              v-for="one in data.invitations"
              :key="one.invitationId"
              class="flex flex-wrap items-center justify-between gap-3 border-b border-dotted border-graphite-300 py-2 text-[15px]"
            >
              <span><b>{{ one.email ?? 'The first owner' }}</b>, {{ roleWords[one.role].title.toLowerCase() }}, until {{ day(one.expiresAt) }}</span>
              <UButton
                size="sm"
                color="neutral"
                variant="outline"
                label="Take back"
                @click="takeBack(one.invitationId)"
              />
            </li>
          </ul>
        </section>
        <PeopleOutbox :key="mailed" />
      </template>
      <p
        v-else
        class="mt-6 text-[15px] text-muted"
      >
        An owner invites people and says what each is.
      </p>
    </template>
  </div>
</template>
