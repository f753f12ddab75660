<script setup lang="ts">
import { type Loads, roofForms, type RoofFraming, roofFramings } from '#core/job'
import { buildingOf } from '#core/loads'

/** The building as wind and snow see it: what is not typed follows from the face. */
const { job, face, units, commit } = useFace()
const loads = computed(() => job.value.loads)
const isEn = computed(() => loads.value.rules.edition === 'en')
const setBuilding = (values: Partial<Loads['building']>) => commit(loadsEdit({ building: { ...loads.value.building, ...values } }))
const building = computed(() => buildingOf(job.value, face.value))
const formNames = { gable: 'Gable', hip: 'Hip', monopitch: 'Single pitch' }
const forms = [{ value: 'own', label: 'As the faces have it' }, ...roofForms.map(value => ({ value, label: formNames[value] }))]
const framingNames: Record<RoofFraming, string> = { unasked: 'Nobody has said', rafters: 'Plain rafters, eave to ridge', other: 'Trusses or anything else' }
const framings = roofFramings.map(value => ({ value, label: framingNames[value] }))
</script>

<template>
  <h2 class="slip-title mt-4">
    Building
  </h2>
  <FieldChoiceField
    label="Roof’s form"
    :value="loads.building.form ?? 'own'"
    :choices="forms"
    @choose="setBuilding({ form: $event === 'own' ? null : $event as 'gable' })"
  />
  <FieldLengthField
    :label="isEn ? 'Height of the ridge' : 'Mean roof height'"
    :hint="loads.building.heightMm === null ? 'from eave and pitch' : 'typed; empty for eave and pitch'"
    :mm="isEn ? building.topMm : building.meanHeightMm"
    :units="units"
    optional
    :commit="heightMm => setBuilding({ heightMm })"
  />
  <FieldLengthField
    label="Width across the ridge"
    :hint="loads.building.widthMm === null ? 'from this face' : 'typed; empty for the face’s'"
    :mm="building.widthMm"
    :units="units"
    optional
    :commit="widthMm => setBuilding({ widthMm })"
  />
  <FieldLengthField
    label="Length along it"
    :hint="loads.building.lengthMm === null ? 'from this face' : 'typed; empty for the face’s'"
    :mm="building.lengthMm"
    :units="units"
    optional
    :commit="lengthMm => setBuilding({ lengthMm })"
  />
  <FieldLengthField
    label="Eave past the wall"
    :hint="loads.building.eaveOverhangMm === null ? 'in plan; nobody has said' : 'in plan'"
    :mm="loads.building.eaveOverhangMm"
    :units="units"
    optional
    :commit="eaveOverhangMm => setBuilding({ eaveOverhangMm })"
  />
  <FieldChoiceField
    v-if="!isEn"
    label="Roof carried by"
    :value="loads.building.framing"
    :choices="framings"
    @choose="setBuilding({ framing: $event as RoofFraming })"
  />
</template>
