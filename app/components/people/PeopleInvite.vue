<script setup lang="ts">
import { type Role, roles, roleWords } from '#core/people'

/** Invites somebody by e-mail: as what, and a guest to which job. */
const { busy } = defineProps<{ busy: boolean }>()
const emit = defineEmits<{ invite: [Inviting] }>()
const [email, licence] = [ref(''), ref('')]
const role = ref<Role>('lead')
const vouches = ref(false)
const jobId = ref<string>()
const guest = computed(() => role.value === 'guest')
const sought = ref('')
const search = refDebounced(sought, 200)
const { data: jobs, execute } = useFetch<{ jobs: { jobId: string, title: string }[], next: string | null }>('/api/jobs', { query: { order: 'changed', search }, immediate: false, watch: false })
watch([guest, search], () => guest.value && void execute())
// Another search must not leave a job chosen that is not shown.
watch(jobs, () => jobId.value = jobs.value?.jobs.find(job => job.jobId === jobId.value)?.jobId)
const plans = computed(() => role.value === 'planner' || role.value === 'owner')
const choices = roles.map(value => ({ value, label: roleWords[value].title }))
function send() {
  emit('invite', { email: email.value, role: role.value, vouches: plans.value && vouches.value, licence: licence.value, jobId: guest.value ? jobId.value ?? null : null })
}
defineExpose({ clear: () => email.value = '' })
</script>

<template>
  <form
    class="grid grid-cols-[1fr_9rem_auto] items-end gap-3 max-sm:grid-cols-1"
    @submit.prevent="send"
  >
    <label class="text-[13px] text-muted">E-mail
      <UInput
        v-model="email"
        type="email"
        class="w-full"
        autocomplete="off"
      /></label>
    <label class="text-[13px] text-muted">As
      <FieldChoiceList
        :value="role"
        :choices="choices"
        class="w-full"
        aria-label="As"
        @choose="role = $event"
      /></label>
    <UButton
      type="submit"
      class="max-sm:order-last max-sm:justify-center"
      label="Invite"
      icon="i-lucide-mail-plus"
      :loading="busy"
      :disabled="!email || (guest && !jobId)"
    />
    <p class="col-span-full -mt-1 text-[13px] text-muted">
      {{ roleWords[role].title }}: {{ roleWords[role].does }}.
    </p>
    <template v-if="guest">
      <label class="text-[13px] text-muted">Which job: name or place
        <UInput
          v-model="sought"
          type="search"
          maxlength="200"
          class="w-full"
        /></label>
      <label class="col-span-2 text-[13px] text-muted max-sm:col-span-1">To read this job
        <FieldChoiceList
          :value="jobId"
          :choices="jobs?.jobs.map(job => ({ value: job.jobId, label: job.title })) ?? []"
          class="w-full"
          aria-label="To read this job"
          @choose="jobId = $event"
        /></label>
      <p
        v-if="jobs && (!jobs.jobs.length || jobs.next)"
        class="col-span-full -mt-1 text-[13px] text-muted"
      >
        {{ jobs.jobs.length ? `The ${jobs.jobs.length} changed last; type a name or place for others.` : 'No job answers to that.' }}
      </p>
    </template>
    <div
      v-if="plans"
      class="col-span-full flex flex-wrap items-center gap-3"
    >
      <UCheckbox
        v-model="vouches"
        label="Vouches for engineers’ and electricians’ figures"
      />
      <UInput
        v-if="vouches"
        v-model="licence"
        placeholder="Licence: number, and where it is from"
        aria-label="Licence"
        class="w-72 max-sm:w-full"
      />
    </div>
  </form>
</template>
