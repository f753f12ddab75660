<script setup lang="ts">
import { type Covering, coveringSchema } from '#core/job'
import { done, type Outcome, refused } from '#core/outcome'
import { parseLength } from '#core/units'

/** Courses read higher up, so that each line is where it is, and how many were counted to the top. */
const { face, units, commit } = useFace()
const covering = computed(() => face.value.covering as Extract<Covering, { coursesRead: unknown }>)
const put = (values: Partial<Pick<Extract<Covering, { coursesRead: unknown }>, 'coursesRead' | 'coursesCounted'>>): Outcome<unknown> => {
  const next = coveringSchema.safeParse({ ...covering.value, ...values })
  return next.success ? commit(faceEdit(face.value.id, { covering: next.data })) : refused(next.error.issues[0]!.message)
}
/** Taken as `course 9 at 2689`, the number first. */
function take(text: string): Outcome<unknown> {
  const found = /^\s*(?:course\s*)?(\d+)\s*(?:at|:|,|=|\s)\s*(.+)$/i.exec(text)
  if (!found) return refused('Type the course and its reading, such as “9 at 2689 mm”.')
  const mm = parseLength(found[2]!, units.value)
  if (!mm.ok) return mm
  const course = Number(found[1])
  return put({ coursesRead: [...covering.value.coursesRead.filter(one => one.course !== course), { course, mm: mm.value }] })
}
function takeCount(text: string): Outcome<unknown> {
  if (!text.trim()) return put({ coursesCounted: null })
  const count = Number(text.trim().replace(/ ?courses?$/, ''))
  return Number.isInteger(count) && count > 0 ? put({ coursesCounted: count }) : refused('Type a whole number of courses.')
}
const sorted = computed(() => [...covering.value.coursesRead].sort((a, b) => a.course - b.course))
const drop = (course: number) => put({ coursesRead: covering.value.coursesRead.filter(one => one.course !== course) })
const addAnother = (text: string) => text.trim() ? take(text) : done(true)
</script>

<template>
  <div>
    <FieldTypedField
      label="Another course read"
      shown=""
      :commit="addAnother"
      hint="its number from the eave and its lower edge: 9 at …"
    />
    <p
      v-for="one in sorted"
      :key="one.course"
      class="flex items-center justify-between border-b border-dotted border-graphite-300 py-0.5 text-[15px]"
    >
      <span>Course {{ one.course }} at <FieldLengthText
        :mm="one.mm"
        :units="units"
      /></span>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Take out the reading of course ${one.course}`"
        @click="drop(one.course)"
      />
    </p>
    <FieldTypedField
      label="Courses counted to the top"
      :shown="covering.coursesCounted === null ? '' : `${covering.coursesCounted} courses`"
      :commit="takeCount"
      hint="proves gauge and slope against each other"
    />
  </div>
</template>
