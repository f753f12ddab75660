<script setup lang="ts">
import { type Item, type Shelf, shelves } from '#core/catalogue'
import { shelfWords } from '#core/shelf'
import type { UnitSystem } from '#core/units'

/** The firm's parts, a kind at a time. */
definePageMeta({ key: 'shelf' })
const route = useRoute()
const shelf = computed((): Shelf => shelves.find(one => one === route.params.shelf) ?? 'modules')
useHead({ title: () => `${shelfWords[shelf.value].many} · Shelf · Upper Deck` })

const work = useShelf()
provide('shelf', work)
const { catalogue, used, error, remove, setCurrency } = work
const me = useMe()
const units = useLocalStorage<UnitSystem>('shelf-units', 'metric')

/** What was done last. */
const told = ref('')
const chosen = computed(() => typeof route.query.part === 'string' ? route.query.part : null)
/** A part that is not on the shelf yet. */
const fresh = shallowRef<PartDraft | null>(null)
/** What was typed and not saved, by the part it is of: going elsewhere on the shelf loses nothing. */
const unsaved = shallowReactive(new Map<string, PartDraft>())
const NEW = 'new'
const keyOf = ({ shelf: on, was }: Pick<PartDraft, 'shelf' | 'was'>) => `${on}/${was?.id ?? NEW}`
function keep(changed: PartDraft, differs: boolean) {
  if (differs) unsaved.set(keyOf(changed), changed)
  else unsaved.delete(keyOf(changed))
}
const draft = computed((): PartDraft | null => {
  if (fresh.value) return fresh.value
  const item = (catalogue.value?.[shelf.value] as Item[] | undefined)?.find(one => one.id === chosen.value)
  return item ? { shelf: shelf.value, item: item as unknown as Record<string, unknown>, was: item, like: null } : null
})
function saved(of: PartDraft, id: string, said: string) {
  unsaved.delete(keyOf(of))
  return choose(id, said)
}
function choose(id: string | null, said = '') {
  fresh.value = null
  told.value = said
  return navigateTo({ path: `/shelf/${shelf.value}`, query: id ? { part: id } : {} })
}
/** The panel of a part goes with the part: what became of it is told here. */
async function takeAway(item: Item) {
  const outcome = await remove(shelf.value, item.id)
  if (outcome.ok) await choose(null, `${'name' in item ? item.name : 'The pairing'} was taken from the shelf.`)
  else told.value = outcome.problem
}
watch(shelf, () => {
  fresh.value = null
  told.value = ''
})

const currencies = computed(() => [...new Set([catalogue.value!.currency, 'USD', 'CAD', 'EUR', 'GBP', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'AUD', 'NZD', 'ZAR'])].map(value => ({ value, label: value })))
async function priceIn(currency: string) {
  const outcome = await setCurrency(currency)
  told.value = outcome.ok ? `Prices are now read in ${currency}; the figures stay as they were.` : outcome.problem
}
const importing = ref(false)
const importOpened = useOpened(importing)
const files = computed(() => [[
  { label: 'Whole shelf as a workbook', icon: 'i-lucide-file-spreadsheet', to: '/api/shelf/parts.xlsx', external: true, target: '_self' },
  { label: `${shelfWords[shelf.value].many} as a table (CSV)`, icon: 'i-lucide-file-text', to: `/api/shelf/${shelf.value}/parts.csv`, external: true, target: '_self' },
  { label: 'Whole shelf as a file (JSON)', icon: 'i-lucide-file-json', to: '/api/shelf/parts.json', external: true, target: '_self' },
], [
  { label: 'Blank workbook with all headings', icon: 'i-lucide-file-plus', to: '/api/shelf/blank.xlsx', external: true, target: '_self' },
]])
</script>

<template>
  <div class="flex h-dvh flex-col">
    <header class="flex flex-wrap items-center justify-between gap-x-6 gap-y-2 border-b-2 border-graphite-900 px-5 py-3">
      <div class="flex items-center gap-3">
        <NuxtLink
          to="/"
          aria-label="All jobs"
          class="shrink-0"
        ><img
          :src="MARK"
          alt=""
          class="size-9"
        ></NuxtLink>
        <div>
          <h1 class="text-xl leading-tight font-bold">
            Shelf
          </h1>
          <p class="text-[13px] text-muted">
            {{ me.me?.firmName ?? ' ' }}
          </p>
        </div>
        <NuxtLink
          to="/"
          class="ml-3 text-[15px] font-semibold underline underline-offset-4"
        >Jobs</NuxtLink>
      </div>
      <div class="no-print flex flex-wrap items-end gap-x-4 gap-y-2">
        <label class="flex items-center gap-2 text-[13px] text-muted">Figures in
          <FieldChoiceList
            :value="units"
            :choices="[{ value: 'metric', label: 'mm, kg, N' }, { value: 'imperial', label: 'inches, lb' }]"
            size="sm"
            class="w-32 font-medium"
            aria-label="Figures in"
            @choose="units = $event"
          /></label>
        <label
          v-if="catalogue"
          class="flex items-center gap-2 text-[13px] text-muted"
        >Prices in
          <FieldChoiceList
            :value="catalogue.currency"
            :choices="currencies"
            size="sm"
            class="w-24 font-medium"
            aria-label="Prices in"
            @choose="priceIn"
          /></label>
        <ThemeSwitch />
      </div>
    </header>
    <p
      v-if="error"
      role="alert"
      class="m-5 border-l-4 border-brick-500 py-1 pl-3"
    >
      The shelf can’t be read: {{ error.statusCode === 401 ? 'you are signed out. Load the page again.' : 'the server can’t be reached. Load the page again in a minute.' }}
    </p>
    <div
      v-else-if="catalogue"
      class="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto"
    >
      <nav
        aria-label="Shelves"
        class="shrink-0 border-graphite-300 lg:w-52 lg:overflow-y-auto lg:border-r lg:py-3"
        :class="draft ? 'max-lg:hidden' : ''"
      >
        <ul class="max-lg:flex max-lg:flex-wrap max-lg:px-3 max-lg:py-2">
          <li
            v-for="one in shelves"
            :key="one"
          >
            <NuxtLink
              :to="`/shelf/${one}`"
              class="flex items-center justify-between gap-2 px-5 py-2.5 text-[15px] leading-tight hover:bg-sheet max-lg:min-h-11 max-lg:px-2"
              :class="one === shelf ? 'font-bold lg:border-l-4 lg:border-chalk-500 lg:pl-4 max-lg:underline max-lg:decoration-2 max-lg:underline-offset-4' : ''"
              :aria-current="one === shelf ? 'page' : undefined"
            >{{ shelfWords[one].many }}<span class="text-[13px] font-normal text-muted">{{ catalogue[one].length }}</span></NuxtLink>
          </li>
        </ul>
      </nav>
      <main
        class="min-w-0 flex-1 overflow-y-auto px-5 py-4 max-lg:overflow-visible"
        :class="draft ? 'max-lg:hidden' : ''"
      >
        <div class="mb-4 flex flex-wrap items-center justify-between gap-3">
          <h2 class="text-lg font-bold">
            {{ shelfWords[shelf].many }}
          </h2>
          <div class="flex flex-wrap gap-2">
            <UButton
              v-if="me.may('shelf')"
              icon="i-lucide-plus"
              :label="`New ${shelfWords[shelf].one}`"
              @click="fresh = unsaved.get(keyOf({ shelf, was: null })) ?? blankPart(shelf)"
            />
            <UButton
              v-if="me.may('shelf')"
              icon="i-lucide-folder-open"
              color="neutral"
              variant="outline"
              label="From a file…"
              @click="importing = true"
            />
            <UDropdownMenu :items="files">
              <UButton
                icon="i-lucide-download"
                color="neutral"
                variant="outline"
                label="Take out"
              />
            </UDropdownMenu>
          </div>
        </div>
        <p
          v-if="told && !draft"
          role="status"
          class="mb-3 border-l-4 border-lichen-500 py-1 pl-3 text-[15px]"
        >
          {{ told }}
        </p>
        <ShelfTable
          :shelf="shelf"
          :catalogue="catalogue"
          :used="used"
          :units="units"
          :chosen="fresh ? null : chosen"
          :unsaved="[...unsaved.values()].filter(one => one.shelf === shelf).map(one => one.was?.id ?? '')"
          @choose="choose($event)"
        />
      </main>
      <ShelfPart
        v-if="draft"
        :key="fresh ? `new ${fresh.shelf} ${fresh.like?.id ?? ''}` : `${shelf}/${chosen}`"
        :start="draft"
        :unsaved="unsaved.get(keyOf(draft)) ?? null"
        :catalogue="catalogue"
        :used="used"
        :units="units"
        :told="told"
        class="bg-sheet lg:w-[26rem] lg:shrink-0 lg:border-l lg:border-graphite-300 max-lg:flex-1"
        @saved="saved"
        @draft="keep"
        @remove="takeAway"
        @copy="fresh = partLike(shelf, $event)"
        @close="choose(null)"
      />
    </div>
    <LazyShelfImport
      v-if="importOpened"
      v-model:open="importing"
      :shelf="shelf"
      @taken="told = $event"
    />
  </div>
</template>
