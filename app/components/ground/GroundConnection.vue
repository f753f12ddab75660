<script setup lang="ts">
import { formatPower } from '#core/units'

/** How it is connected: every rule of the edition tried on every busbar, the tap, storage in an outage, what plates have to say, room to grow. */
const { grid, units, pick, set, setThing, ground } = useGrid()
const { catalogue } = useFace()
const readsOnly = useReadsOnly()
const ruleNames = { 'anywhere': 'Source anywhere', 'far-end': 'Source at the far end', 'sum': 'Sum of devices', 'centre-fed': 'Fed in its middle' }
const rows = (bus: NonNullable<typeof grid.value>['buses'][number]) => bus.tries.map(one => ({
  key: one.rule, picked: bus.held?.rule === one.rule,
  cells: [{ words: ruleNames[one.rule] }, { words: one.formula }, { words: `${one.leftA.toFixed(1)} A of ${one.rightA.toFixed(1)} A`, over: !one.holds }, { words: one.barred ? `not here: ${one.barred}` : one.holds ? 'holds' : 'does not hold' }, { words: one.clause }],
}))
const workings = computed(() => [...grid.value!.buses.flatMap(one => one.workings), ...grid.value!.tap ? [grid.value!.tap.working] : [], ...grid.value!.stores.flatMap(one => one.workings), ...grid.value!.ratios.map(one => one.working), ...grid.value!.island ? [grid.value!.island.working] : [], ...grid.value!.anchors.map(one => one.working), ...grid.value!.runs.filter(one => !one.existing).flatMap(one => one.workings)])
const thingOf = (id: string) => grid.value!.ground.things.find(one => one.id === id)!
const nameOf = (id: string) => thingOf(id).name
function tick(thingId: string, says: NonNullable<typeof grid.value>['asked'][number]['says']) {
  const own = ground.value!.things.find(one => one.id === thingId) ?? thingOf(thingId)
  return own.says.includes(says) || setThing(own, { says: [...own.says, says] })
}
type Growth = NonNullable<typeof ground.value>['growth'][number]
const isTaken = (id: Growth) => ground.value!.growth.includes(id)
const take = (id: Growth) => set({ growth: isTaken(id) ? ground.value!.growth.filter(one => one !== id) : [...ground.value!.growth, id] })
const money = (price: number) => `${price.toFixed(0)} ${catalogue.value.currency}`
</script>

<template>
  <div>
    <section
      v-for="bus in grid!.buses"
      :key="bus.thingId"
      class="mt-2"
    >
      <h3 class="slip-title">
        <button
          type="button"
          class="underline decoration-2 underline-offset-4"
          @click="pick('thing', bus.thingId)"
        >
          {{ bus.name }}
        </button>: {{ bus.busA }} A busbar, {{ bus.held ? ruleNames[bus.held.rule].toLowerCase() : 'no rule holds' }}
      </h3>
      <FigureTable
        :caption="`Rules tried on ${bus.name}`"
        :heads="['Rule', 'Formula', 'Comes to', '', 'Clause, from memory']"
        :rows="rows(bus)"
      />
    </section>
    <p
      v-if="grid!.tap"
      class="mt-3 text-[15px]"
    >
      <b>Before the main:</b> {{ grid!.tap.sumA.toFixed(1) }} A of sources on a service of {{ grid!.tap.serviceA }} A, tapped with {{ grid!.tap.size }}, protected at {{ grid!.tap.deviceA }} A ({{ grid!.tap.working.source }}).
    </p>
    <section
      v-if="grid!.stores.length || grid!.ratios.length"
      class="mt-4"
    >
      <h3 class="slip-title">
        Inverter and storage
      </h3>
      <p
        v-for="one in grid!.ratios"
        :key="one.thingId"
        class="text-[15px]"
      >
        {{ nameOf(one.thingId) }}: {{ formatPower(one.dcW) }} of modules on {{ formatPower(one.acW) }}, {{ one.ratio.toFixed(2) }}.
      </p>
      <p
        v-for="one in grid!.stores"
        :key="one.thingId"
        class="text-[15px]"
      >
        {{ nameOf(one.thingId) }}: {{ one.kWh.toFixed(1) }} kWh; gives {{ formatPower(one.outputW) }}, limited by {{ one.limitedBy }}; takes {{ formatPower(one.chargeW) }}.{{ one.hours === null ? ' Say what runs in an outage, and it says how long.' : ` What runs in an outage lasts ${one.hours.toFixed(1)} h without sun, before taper.` }}
      </p>
      <p
        v-if="grid!.island"
        class="text-[15px]"
      >
        In an island neutral and earth are joined at: {{ grid!.island.links.join('; ') || 'nowhere' }}.
      </p>
    </section>
    <section
      v-if="grid!.asked.length"
      class="mt-4"
    >
      <h3 class="slip-title">
        To be read on plates
      </h3>
      <ul class="text-[15px] leading-snug">
        <li
          v-for="one in grid!.asked"
          :key="`${one.thingId} ${one.says}`"
          class="flex items-start justify-between gap-3 border-b border-dotted border-graphite-300 py-1"
        >
          <span>{{ one.sentence }}.</span>
          <UButton
            v-if="!readsOnly"
            size="xs"
            color="neutral"
            variant="outline"
            label="It says so"
            class="shrink-0"
            @click="tick(one.thingId, one.says)"
          />
        </li>
      </ul>
    </section>
    <section class="mt-4">
      <h3 class="slip-title">
        Room to grow
      </h3>
      <ul class="text-[15px] leading-snug">
        <li
          v-for="one in grid!.options"
          :key="one.id"
          class="flex items-start justify-between gap-3 border-b border-dotted border-graphite-300 py-1"
        >
          <span><b>{{ one.name }}:</b> {{ one.what }}{{ one.price === null ? '' : ` About ${money(one.price)} by this job’s figures.` }}</span>
          <UButton
            v-if="!readsOnly"
            size="xs"
            color="neutral"
            :variant="isTaken(one.id) ? 'solid' : 'outline'"
            :label="isTaken(one.id) ? 'Taken' : 'Take it'"
            :aria-pressed="isTaken(one.id)"
            class="shrink-0"
            @click="take(one.id)"
          />
        </li>
      </ul>
    </section>
    <details class="mt-4">
      <summary class="slip-title cursor-pointer">
        All workings ({{ workings.length }})
      </summary>
      <WorkingCard
        v-for="one in workings"
        :key="one.what"
        :working="one"
        :all="workings"
        :units="units"
      />
    </details>
  </div>
</template>
