<script setup lang="ts">
import { coursesUp, fromDatum, unitsIn } from '#core/coverings'
import { brokenSchema, type Supplier, supplierNames, suppliers } from '#core/job'
import { unitWords } from '#core/openings'

/** Units found or made broken: where, who says so, who supplies another; sound ones from under the array take their place. */
const { face, facePlan, commit } = useFace()
const me = useMe()
const readsOnly = useReadsOnly()
const unit = computed(() => unitWords[face.value.covering.kind])
const course = ref('')
const place = ref('')
const supplies = ref<Supplier>('householder')
const problem = ref('')
const choices = suppliers.map(value => ({ value, label: `Supplied by ${supplierNames[value]}` }))

function add() {
  const read = brokenSchema.safeParse({ id: `b${crypto.randomUUID().slice(0, 8)}`, course: Number(course.value || Number.NaN), unit: Number(place.value || Number.NaN), by: me.me?.personName ?? '', supplies: supplies.value, on: today() })
  if (!read.success) return problem.value = read.error.issues[0]!.message
  const top = coursesUp(face.value.covering, face.value.outline).at(-1)
  if (top && read.data.course > top.number) return problem.value = `There are ${top.number} courses up to the ridge: course ${read.data.course} is none of them. Count again from the eave.`
  const most = unitsIn(face.value, read.data.course)
  if (most && read.data.unit > most) return problem.value = `Course ${read.data.course} has ${most} ${unit.value.many} from one end to the other: ${read.data.unit} is past its end. Count again from the ${face.value.datum}.`
  // It is kept as counted from the left, so that another datum corner moves no broken unit.
  const outcome = commit({ type: 'log-broken', faceId: face.value.id, broken: [{ ...read.data, unit: fromDatum(face.value, read.data.course, read.data.unit) }] })
  problem.value = outcome.ok ? '' : outcome.problem
  if (outcome.ok) [course.value, place.value] = ['', '']
}
const drop = (id: string) => commit({ type: 'drop-broken', faceId: face.value.id, brokenIds: [id] })
</script>

<template>
  <section>
    <h2 class="slip-title">
      Broken {{ unit.many }}
    </h2>
    <form
      class="my-2 grid grid-cols-2 gap-2"
      @submit.prevent="add"
    >
      <FieldPlainInput
        v-model="course"
        label="Course from the eave"
        numeric
      />
      <FieldPlainInput
        v-model="place"
        :label="`${unit.one[0]!.toUpperCase()}${unit.one.slice(1)} from the ${face.datum}`"
        numeric
      />
      <FieldChoiceList
        :value="supplies"
        :choices="choices"
        aria-label="Who supplies another"
        class="col-span-2"
        @choose="supplies = $event"
      />
      <UButton
        type="submit"
        color="neutral"
        class="col-span-2 justify-center"
        label="Log it"
        :disabled="readsOnly"
      />
    </form>
    <p
      v-if="problem"
      role="alert"
      class="border-l-4 border-brick-500 pl-3 text-[15px]"
    >
      {{ problem }}
    </p>
    <ul v-if="face.broken.length">
      <li
        v-for="one in face.broken"
        :key="one.id"
        class="flex items-center justify-between gap-2 border-b border-dotted border-graphite-300 py-1 text-[15px] leading-snug"
      >
        <span>Course {{ one.course }}, {{ unit.one }} {{ fromDatum(face, one.course, one.unit) }}<span class="block text-sm text-muted">{{ [one.by, one.on, `from ${supplierNames[one.supplies]}`].filter(Boolean).join(', ') }}</span></span>
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :disabled="readsOnly"
          :aria-label="`Take out course ${one.course}, ${unit.one} ${fromDatum(face, one.course, one.unit)}`"
          @click="drop(one.id)"
        />
      </li>
    </ul>
    <p
      v-else
      class="text-[15px] text-muted"
    >
      None so far.
    </p>
    <p
      v-if="facePlan.units.lent"
      class="mt-2 border-l-4 border-lichen-500 pl-3 text-[15px] leading-snug"
    >
      Take {{ facePlan.units.lent }} sound {{ facePlan.units.lent === 1 ? unit.one : unit.many }} from under the array for what shows; the new {{ facePlan.units.lent === 1 ? 'one goes' : 'ones go' }} under it.
    </p>
  </section>
</template>
