<script setup lang="ts">
import { type Chain, isProved, testCaution } from '#core/proof'

/** Tests on the roof and below it, one chain on the screen: what comes next stands first, and nothing is offered before its turn. */
const { chains } = useProof()
const picked = ref<string | null>(null)
const showsAll = ref(false)
const nextOf = (one: Chain) => one.steps.find(({ state }) => state === 'failed' || state === 'next')
const chain = computed(() => chains.value.find(one => one.id === picked.value) ?? chains.value.find(one => nextOf(one)) ?? chains.value[0] ?? null)
const doneOf = (one: Chain) => one.steps.filter(({ state }) => state === 'done' || state === 'looked').length
function pick(id: string) {
  picked.value = id
  showsAll.value = false
}
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 pb-4">
    <button
      type="button"
      class="flex min-h-16 w-full items-center justify-between gap-3 border-b-4 border-black text-left text-2xl font-extrabold"
      :aria-expanded="showsAll"
      @click="showsAll = !showsAll"
    >
      <span class="leading-tight">{{ chain?.name ?? 'Nothing to test' }}<span class="block text-[15px] font-semibold">{{ chain?.about }}</span></span>
      <span class="shrink-0 text-lg">{{ chain ? `${doneOf(chain)}/${chain.steps.length}` : '' }} ▾</span>
    </button>
    <ol v-if="showsAll">
      <li
        v-for="one in chains"
        :key="one.id"
      >
        <button
          type="button"
          class="flex min-h-16 w-full items-center justify-between gap-3 border-b-2 border-black/30 text-left text-xl font-semibold"
          @click="pick(one.id)"
        >
          <span class="leading-tight">{{ one.name }}<span class="block text-[15px] font-normal">{{ nextOf(one)?.title ?? one.about }}</span></span>
          <span class="shrink-0">{{ isProved(one) ? '✓' : `${doneOf(one)}/${one.steps.length}` }}</span>
        </button>
      </li>
    </ol>
    <template v-else-if="chain">
      <p class="border-b-2 border-black/30 py-1 text-[15px] leading-snug">
        {{ testCaution }}
      </p>
      <p
        v-if="chain.early"
        role="alert"
        class="mt-2 bg-[#a3291c] px-3 py-2 text-lg font-bold text-white"
      >
        Joined and not tested. Stop what flows, open its far end, then test. Never part a plug under load.
      </p>
      <ProofChain
        :chain="chain"
        glare
      />
    </template>
  </div>
</template>
