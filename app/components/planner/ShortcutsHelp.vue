<script setup lang="ts">
import { shortcuts } from '../../utils/shortcuts'

/** The planner's shortcuts. */
const open = defineModel<boolean>('open', { required: true })
const singleKeys = useSingleKeys()
</script>

<template>
  <UModal
    v-model:open="open"
    title="Shortcuts"
    description="Everything on the planner’s page can be done by keyboard."
  >
    <template #body>
      <UCheckbox
        v-model="singleKeys"
        label="Single letters, figures and signs work as shortcuts"
        description="Kept on this device. Without them Escape, arrows, and keys with Ctrl or Alt still work."
        class="mb-4"
      />
      <dl class="text-[15px]">
        <div
          v-for="line in shortcuts"
          :key="line.keys"
          class="flex justify-between gap-4 border-b border-dotted border-graphite-300 py-1"
        >
          <dt class="font-mono font-semibold">
            {{ line.keys }}
          </dt>
          <dd class="text-right">
            {{ line.what }}
          </dd>
        </div>
      </dl>
    </template>
  </UModal>
</template>
