<script setup lang="ts">
import { roleWords } from '#core/people'

/** Who is signed in here, and what goes with that. */
const me = useMe()
const items = computed(() => [
  ...me.may('read-shelf') ? [[{ label: 'People', icon: 'i-lucide-users', to: '/people' }, ...me.me?.email ? [{ label: 'Your sign-in', icon: 'i-lucide-key-round', to: '/account' }] : []]] : [],
  [{ label: 'Sign out', icon: 'i-lucide-log-out', onSelect: () => void me.signOut() }],
])
</script>

<template>
  <UDropdownMenu
    v-if="me.me"
    :items="items"
    :content="{ align: 'end' }"
  >
    <UButton
      color="neutral"
      variant="ghost"
      icon="i-lucide-user"
      class="max-md:size-11 max-md:justify-center"
      :aria-label="`${me.me.personName}, ${roleWords[me.me.role].title.toLowerCase()}`"
      :title="`${me.me.personName}, ${roleWords[me.me.role].title.toLowerCase()}`"
    />
  </UDropdownMenu>
</template>
