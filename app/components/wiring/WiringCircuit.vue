<script setup lang="ts">
import { formatLength, formatQuantity } from '#core/units'
import { amps, circuitName, modulesIn, moduleWords, MOST_PUT_BACK, percent, putBackEdit, volts } from '#core/wiring'

/** One branch or string: its figures with their working, and its modules, each of which can be put into another by the keyboard alone. */
const { job, units, commit } = useFace()
const { circuits, circuit, pick } = useCircuit()
const readsOnly = useReadsOnly()
const members = computed(() => {
  const one = circuit.value
  if (!one) return []
  return one.kind === 'branch' ? one.units.flatMap((unit, i) => unit.modules.map(id => ({ n: i + 1, faceId: unit.faceId, id }))) : one.modules.map((module, i) => ({ n: i + 1, faceId: module.faceId, id: module.id }))
})
const others = computed(() => {
  const own = circuits.value.filter(one => one.groupId === circuit.value?.groupId)
  const next = own[0]?.kind === 'branch' ? [{ value: String(own.at(-1)!.number + 1), label: 'A new branch' }] : []
  return [...own.map(one => ({ value: String(one.number), label: circuitName(one) })), ...next]
})
const put = (faceId: string, moduleId: string, to: string) => commit({ type: 'put-in-circuit', faceId, moduleId, circuit: Number(to) })
const moved = computed(() => job.value.wiring.putIn)
const many = computed(() => job.value.faces.length > 1)
const faceName = (id: string) => many.value ? `${job.value.faces.find(one => one.id === id)?.name}, ` : ''
</script>

<template>
  <p
    v-if="!circuit"
    class="text-[15px] text-muted"
  >
    {{ circuits.length ? 'Press a branch or string on the drawing or in the table, or one of these.' : 'Nothing is wired yet: choose a system first.' }}
  </p>
  <div class="mb-2 flex flex-wrap gap-1">
    <UButton
      v-for="one in circuits"
      :key="one.number"
      size="xs"
      color="neutral"
      :variant="circuit?.number === one.number ? 'solid' : 'outline'"
      :label="circuitName(one)"
      :aria-pressed="circuit?.number === one.number"
      @click="pick(one.number)"
    />
  </div>
  <template v-if="circuit">
    <h2 class="slip-title">
      {{ circuitName(circuit) }}
    </h2>
    <dl>
      <SlipLine label="Holds">
        {{ circuit.kind === 'branch' ? `${circuit.units.length} units, ${modulesIn(circuit)} modules` : `${circuit.modules.length} modules` }}
      </SlipLine>
      <template v-if="circuit.kind === 'branch'">
        <SlipLine
          label="May hold"
          :working="circuit.limit.working.what"
          :given="circuit.workings"
          :bad="circuit.units.length > circuit.limit.most"
        >
          {{ circuit.limit.most }} units
        </SlipLine>
        <SlipLine label="Its own device">
          {{ circuit.limit.deviceA }} A
        </SlipLine>
        <SlipLine
          v-if="circuit.trunk"
          label="Trunk"
          working="Drops of the trunk"
          :given="circuit.workings"
        >
          {{ circuit.trunk.drops }} drops, {{ circuit.trunk.caps }} capped
        </SlipLine>
        <SlipLine
          label="Home run"
          :working="`Home run of branch ${circuit.number}`"
          :given="circuit.workings"
          :bad="!circuit.home.carries"
        >
          {{ formatLength(circuit.home.mm, units) }}, {{ circuit.home.size }}
        </SlipLine>
      </template>
      <template v-else>
        <SlipLine
          label="At the coldest"
          :working="`Open-circuit voltage of string ${circuit.number}`"
          :given="circuit.workings"
        >
          {{ volts(circuit.coldV) }}
        </SlipLine>
        <SlipLine
          label="In hot cells"
          :working="`Working voltage of string ${circuit.number}`"
          :given="circuit.workings"
        >
          {{ volts(circuit.hotV) }}
        </SlipLine>
        <SlipLine
          label="Conductors"
          :working="`Conductors of string ${circuit.number}`"
          :given="circuit.workings"
          :bad="!circuit.plus.carries"
        >
          {{ circuit.plus.size }}{{ circuit.fused ? `, fuse ${circuit.fuseA} A` : '' }}
        </SlipLine>
        <SlipLine label="Home runs, + and −">
          {{ formatLength(circuit.plus.mm, units) }}, {{ formatLength(circuit.minus.mm, units) }}
        </SlipLine>
        <SlipLine label="Ends apart; loop">
          {{ formatLength(circuit.walk.endsApartMm, units) }}; {{ circuit.walk.loopM2.toFixed(1) }} m²
        </SlipLine>
        <SlipLine label="Walk">
          {{ circuit.walk.proved ? 'proved shortest' : 'shorter not excluded' }}
        </SlipLine>
      </template>
      <SlipLine
        label="Current"
        :working="circuit.kind === 'branch' ? `Current of branch ${circuit.number}` : `Greatest current of string ${circuit.number}`"
        :given="circuit.workings"
      >
        {{ amps(circuit.currentA) }}
      </SlipLine>
      <SlipLine
        label="Volts lost"
        :working="`Volts lost on ${circuitName(circuit).toLowerCase()}`"
        :given="circuit.workings"
        :bad="circuit.drop.share > circuit.drop.limit"
      >
        {{ formatQuantity({ kind: 'voltage', v: circuit.drop.volts }, units) }}, {{ percent(circuit.drop.share) }}
      </SlipLine>
    </dl>
    <h3 class="slip-title mt-4">
      Modules, in its order
    </h3>
    <ul>
      <li
        v-for="one in members"
        :key="`${one.faceId} ${one.id}`"
        class="grid grid-cols-[1fr_8.5rem] items-center gap-2 border-b border-dotted border-graphite-300 py-0.5 text-[15px]"
      >
        <span>{{ circuit.number }}.{{ one.n }} {{ faceName(one.faceId) }}{{ moduleWords(one.id) }}</span>
        <FieldChoiceList
          :value="String(circuit.number)"
          :choices="others"
          :aria-label="`Circuit of ${moduleWords(one.id)}`"
          @choose="put(one.faceId, one.id, $event)"
        />
      </li>
    </ul>
  </template>
  <UButton
    v-if="moved.length"
    class="mt-3"
    size="xs"
    color="neutral"
    variant="outline"
    :label="moved.length === 1 ? 'Put back the module that was moved' : `Put back ${moved.length > MOST_PUT_BACK ? `the first ${MOST_PUT_BACK} of ` : 'the '}${moved.length} modules that were moved`"
    :disabled="readsOnly"
    @click="commit(putBackEdit(moved))"
  />
</template>
