<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import Textarea from 'primevue/textarea'
import { computed, useId } from 'vue'
import { textLimits } from '#model/limits'
import type { Person } from '#model/person'
import { bodyShares } from '#core/props'
import { withFields } from '#core/session'
import { dayText } from '#words/dates'
import { levelChoices, touchChoices } from '#words/people'
import { stageChoices } from '#words/stages'
import { textOf } from '#web/shared/ui/text-of.ts'
import NameField from '#web/shared/ui/NameField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import LineField from '#web/shared/ui/LineField.vue'
import KeptForThem from './KeptForThem.vue'
import TheirThings from './TheirThings.vue'
import HeightField from './HeightField.vue'
import ToldConditions from './ToldConditions.vue'
import ToldConsents from './ToldConsents.vue'
import { usePeople } from './use-people.ts'

/** What is known of somebody: nothing is needed but the name. */
const { chosen, change, today } = usePeople()
const id = useId()
type Measures = NonNullable<Person['measures']>
/** Lengths that stand before what is computed from the height, with how each is measured. */
const measured: readonly { name: keyof Measures; label: string; how: string }[] = [
  { name: 'sitting', label: 'Sitting height', how: 'from the seat to the top of the head, sitting tall' },
  { name: 'legToHeel', label: 'Leg to the heel', how: 'lying, from the sit bone along the back of the leg' },
  { name: 'popliteal', label: 'Seat to floor', how: 'from the back of the knee to the floor, sitting on a chair' },
  { name: 'kneeH0', label: 'Knees, crossed', how: 'sitting cross-legged on the floor, from the floor to the knee' },
]
/** What the height makes of it; without a height nobody knows, and none does for knees that are crossed. */
function usualCm(name: keyof Measures): string | undefined {
  const { statureMm } = chosen.value ?? {}
  return name === 'kneeH0' || statureMm === undefined
    ? undefined
    : String(Math.round(bodyShares[name] * (statureMm / 10)))
}
function setMeasure(name: keyof Measures, cm: number | undefined): void {
  const measures = withFields<Measures>(chosen.value?.measures ?? {}, {
    [name]: cm === undefined ? undefined : Math.round(cm * 10),
  })
  change({ measures: Object.keys(measures).length === 0 ? undefined : measures })
}
const hasMeasures = computed(() => chosen.value?.measures !== undefined)
</script>

<template>
  <div v-if="chosen" class="person">
    <div class="row">
      <NameField label="Name" :name="chosen.name" @change="change({ name: $event })" />
      <LineField
        label="Wishes to be called"
        :text="chosen.calledAs ?? ''"
        :most="textLimits.name"
        @change="change({ calledAs: $event || undefined })"
      />
      <SelectField
        label="Level"
        :value="chosen.level ?? ''"
        :options="levelChoices"
        @change="change({ level: $event || undefined })"
      />
      <HeightField label="Height, cm" :mm="chosen.statureMm" @change="change({ statureMm: $event })" />
      <SelectField
        label="Touch, a blanket laid or a hand"
        :value="chosen.touch ?? ''"
        :options="touchChoices"
        @change="change({ touch: $event || undefined })"
      />
      <SelectField
        label="Stage in breath work"
        :value="chosen.breathStage ?? 2"
        :options="stageChoices(chosen.breathStage, chosen.sixthStageOn !== undefined)"
        @change="change({ breathStage: $event === 2 ? undefined : $event })"
      />
    </div>
    <label class="switch">
      <Checkbox
        binary
        :model-value="chosen.sixthStageOn !== undefined"
        @update:model-value="change({ sixthStageOn: $event ? today() : undefined })"
      />
      <span
        >Marked for the sixth stage of breath work
        <small>{{
          chosen.sixthStageOn
            ? `since ${dayText(chosen.sixthStageOn)}`
            : 'with personal guidance, in a class of four at most'
        }}</small></span
      >
    </label>
    <details :open="hasMeasures">
      <summary>Measured lengths</summary>
      <div class="row">
        <div v-for="{ name, label, how } in measured" :key="name">
          <NumberField
            :label="`${label}, cm`"
            :value="chosen.measures?.[name] === undefined ? undefined : chosen.measures[name] / 10"
            :least="5"
            :most="250"
            :grain="0.5"
            can-be-empty
            :hint="usualCm(name)"
            @change="setMeasure(name, $event)"
            @empty="setMeasure(name, undefined)"
          />
          <small>{{ how }}</small>
        </div>
      </div>
    </details>
    <ToldConditions />
    <ToldConsents />
    <KeptForThem />
    <TheirThings />
    <section class="part">
      <h2>Besides</h2>
      <LineField
        label="Whom to call in an emergency"
        :text="chosen.inCase ?? ''"
        :most="textLimits.line"
        @change="change({ inCase: $event || undefined })"
      />
      <div>
        <label :for="`${id}-note`">What you write about them; they may read it</label>
        <Textarea
          :id="`${id}-note`"
          fluid
          rows="3"
          auto-resize
          :maxlength="textLimits.text"
          :model-value="chosen.note ?? ''"
          @change="change({ note: textOf($event).trim() || undefined })"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.person,
.part {
  display: grid;
  gap: 14px;
  max-width: 720px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
  align-items: start;
}
.switch {
  display: flex;
  align-items: center;
  gap: 10px;
  color: inherit;
  font-size: inherit;
}
details .row {
  margin-top: 8px;
}
summary {
  cursor: pointer;
}
small,
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
h2 {
  font-size: 18px;
}
.part {
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
</style>
