<script setup lang="ts">
/** A line that is typed into a form of entry; a passphrase can be looked at. */
const { label, type = 'text', hint = '' } = defineProps<{ label: string, type?: 'text' | 'email' | 'passphrase', autocomplete?: string, hint?: string }>()
const value = defineModel<string>({ required: true })
const seen = ref(false)
const secret = computed(() => type === 'passphrase')
const id = useId()
</script>

<template>
  <div class="mb-3">
    <label
      :for="id"
      class="mb-1 block text-[15px] font-semibold"
    >{{ label }}</label>
    <div class="flex gap-1">
      <UInput
        :id="id"
        v-model="value"
        size="lg"
        class="flex-1"
        :type="secret ? seen ? 'text' : 'password' : type"
        :autocomplete="autocomplete"
        :aria-describedby="hint ? `${id}-hint` : undefined"
        :spellcheck="false"
        autocapitalize="none"
      />
      <UButton
        v-if="secret"
        color="neutral"
        variant="ghost"
        class="size-11 justify-center"
        :icon="seen ? 'i-lucide-eye-off' : 'i-lucide-eye'"
        :aria-label="seen ? 'Hide what is typed' : 'Show what is typed'"
        @click="seen = !seen"
      />
    </div>
    <p
      v-if="hint"
      :id="`${id}-hint`"
      class="mt-1 text-[13px] text-muted"
    >
      {{ hint }}
    </p>
  </div>
</template>
