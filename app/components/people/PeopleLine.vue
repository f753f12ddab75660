<script setup lang="ts">
import { type Role, roles, roleWords } from '#core/people'

/** Somebody of the firm: what they are, whether they vouch, when they were last here; an owner changes it in place. */
const { person, own } = defineProps<{ person: FirmPerson, own: boolean }>()
const emit = defineEmits<{ change: [{ role?: Role, vouches?: boolean, licence?: string, left?: boolean }] }>()
const me = useMe()
const day = (at: string) => new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
const choices = roles.filter(role => role !== 'guest').map(value => ({ value, label: roleWords[value].title }))
const changes = computed(() => me.may('people') && !person.leftAt)
const licensing = ref(false)
const licence = ref('')
function vouch() {
  emit('change', { vouches: true, licence: licence.value })
  licensing.value = false
}
const menu = computed(() => [[
  person.vouches
    ? { label: 'Vouches no more', icon: 'i-lucide-badge-minus', onSelect: () => emit('change', { vouches: false }) }
    : { label: 'Vouches for figures…', icon: 'i-lucide-badge-check', onSelect: () => licensing.value = true },
], [{ label: 'Has left the firm', icon: 'i-lucide-user-x', onSelect: () => emit('change', { left: true }) }]])
</script>

<template>
  <li
    class="grid grid-cols-[1fr_10rem_3rem] items-center gap-4 border-b border-graphite-300 py-3 max-sm:grid-cols-[1fr_3rem]"
    :class="person.leftAt ? 'text-muted' : ''"
  >
    <div class="min-w-0">
      <p class="text-[17px] leading-tight">
        <b>{{ person.name }}</b><span v-if="own"> (you)</span>
      </p>
      <p class="text-[15px] text-muted">
        <template v-if="person.leftAt">
          Left {{ day(person.leftAt) }}
        </template>
        <template v-else>
          {{ person.email ?? 'Invented, without a passphrase' }}{{ person.jobTitle ? `, reads ${person.jobTitle}` : '' }}{{ person.seenAt ? `, here ${day(person.seenAt)}` : '' }}
        </template>
      </p>
      <p
        v-if="person.vouches"
        class="text-[15px] font-semibold text-lichen-600"
      >
        Vouches for engineers’ and electricians’ figures: {{ person.licence }}
      </p>
      <form
        v-if="licensing"
        class="mt-2 flex flex-wrap gap-2"
        @submit.prevent="vouch"
      >
        <UInput
          v-model="licence"
          autofocus
          placeholder="Licence: number, and where it is from"
          aria-label="Licence"
          class="w-72 max-sm:w-full"
        />
        <UButton
          type="submit"
          size="sm"
          label="Vouches from now on"
          :disabled="!licence.trim()"
        />
        <UButton
          size="sm"
          color="neutral"
          variant="ghost"
          label="Not now"
          @click="licensing = false"
        />
      </form>
    </div>
    <FieldChoiceList
      v-if="changes && person.role !== 'guest'"
      class="max-sm:col-start-1"
      :value="person.role"
      :choices="choices"
      :aria-label="`What ${person.name} is`"
      @choose="emit('change', { role: $event })"
    />
    <p
      v-else
      class="text-[15px]"
    >
      {{ roleWords[person.role].title }}
    </p>
    <UDropdownMenu
      v-if="changes"
      class="max-sm:col-start-2 max-sm:row-start-1"
      :items="menu"
      :content="{ align: 'end' }"
    >
      <UButton
        icon="i-lucide-ellipsis-vertical"
        color="neutral"
        variant="ghost"
        class="size-11 justify-center"
        :aria-label="`What to do with ${person.name}`"
      />
    </UDropdownMenu>
    <UButton
      v-else-if="me.may('people')"
      size="sm"
      color="neutral"
      variant="link"
      label="Back"
      :aria-label="`${person.name} is back`"
      @click="emit('change', { left: false })"
    />
  </li>
</template>
