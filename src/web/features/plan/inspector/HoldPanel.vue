<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import type { HoldBlock } from '#model/block'
import type { Phase } from '#model/phase'
import { linkHold, mirrorText, poseIn, setHoldSide, usualHold } from '#core/session'
import type { FieldsOf, ResolvedHold } from '#core/session'
import { holdLimits } from '#model/limits'
import { formatDuration } from '#core/units'
import { basePositionNames } from '#words/positions'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useInstead } from '#web/shared/house/use-instead.ts'
import { countedProp } from '#words/props'
import { targetNames } from '#words/targets'
import DurationField from '#web/shared/ui/DurationField.vue'
import { usePlan } from '../use-plan.ts'
import BlockPictures from './BlockPictures.vue'
import ArrangingPart from './ArrangingPart.vue'
import BreathOverPart from './BreathOverPart.vue'
import CuesPart from './CuesPart.vue'
import Part from './Part.vue'
import PhasesPart from './PhasesPart.vue'
import RangeBar from './RangeBar.vue'
import { useStages } from '#web/shared/ui/stages.ts'
import { textOf } from '#web/shared/ui/text-of.ts'

const props = defineProps<{ resolved: ResolvedHold }>()
const { document, compiled, setFields, stepTime } = usePlan()
const { insteadIn } = useInstead(compiled)

/** The hold first; what lies around it and is said comes right after, part by part. */
const stage = useStages(4)
const pose = computed(() => props.resolved.pose)
const hold = computed(() => props.resolved.block.hold)
const apart = computed(() => hold.value !== undefined && 'leftS' in hold.value)
const secondsOn = (side: 'left' | 'right' | 'both') =>
  props.resolved.sides.find((held) => held.side === side)?.holdS ?? props.resolved.sides[0]?.holdS ?? 0
const range = computed(() =>
  document.value ? usualHold(pose.value, document.value.practice, document.value.level) : undefined,
)
const shorter = computed(() => {
  const gap = secondsOn('left') - secondsOn('right')
  if (gap === 0) return 'The sides are unlinked, and equal for now.'
  return `${gap > 0 ? 'Right' : 'Left'} side ${formatDuration(Math.abs(gap))} short. The sides are unlinked.`
})

function set(fields: FieldsOf<HoldBlock>, words: string): void {
  setFields(props.resolved.block, fields, `${words} ${pose.value.names.english}`)
}
const setBoth = (holdS: number) => {
  set({ hold: { holdS } }, 'change the hold of')
}
function setSide(side: 'left' | 'right', seconds: number): void {
  const now = hold.value ?? { holdS: secondsOn(side) }
  if (apart.value) set({ hold: setHoldSide(now, side, seconds) }, `change the ${side} hold of`)
  else setBoth(seconds)
}
const unlink = () => {
  set({ hold: { leftS: secondsOn('left'), rightS: secondsOn('right') } }, 'unlink the sides of')
}
const link = () => {
  if (hold.value) set({ hold: linkHold(hold.value) }, 'link the sides of')
}
function setWhy(why: string): void {
  if (hold.value && 'leftS' in hold.value && why !== (hold.value.why ?? '')) {
    set({ hold: { ...hold.value, why } }, 'say why the sides differ in')
  }
}

/** Past the first ceiling there is a care note, never a block [decisions]. */
const ceilingS = computed(() => props.resolved.ceilingS)
const pastCeiling = computed(() => Math.max(...props.resolved.sides.map((side) => side.holdS)) > ceilingS.value)

const own = useOwnStore()
/** Stands for no variant; a select shows nothing for an empty value. */
const usualForm = '-'
const gradeWords = { easier: 'easier', same: 'as strong', stronger: 'stronger' } as const
const poseId = computed(() => props.resolved.block.poseId)
const forms = computed(() => [
  { id: usualForm, words: 'as it stands' },
  ...(poseIn(own.catalog, poseId.value)?.variants ?? []).map(({ id, name, grade }) => ({
    id,
    words: `${name} (${gradeWords[grade]})`,
  })),
])
function setForm(id: string): void {
  set({ variantId: id === usualForm ? undefined : id }, 'change the form of')
}

const usualFirst = computed(() => props.resolved.answers.firstSide)
const firstChoices = computed(() => [
  { value: 'usual', words: `as the school: ${usualFirst.value === 'alternate' ? 'by turns' : usualFirst.value}` },
  { value: 'left', words: 'left first' },
  { value: 'right', words: 'right first' },
])
function setFirst(value: string): void {
  set({ firstSide: value === 'left' || value === 'right' ? value : undefined }, 'change the first side of')
}
function setPhases(phases: Phase[]): void {
  const { cues } = props.resolved.block
  const known = new Set(phases.map(({ id }) => id))
  // A cue of a phase that is gone goes to the rest of the hold, so that it is still said.
  const kept = cues?.map(({ phaseId, ...cue }) =>
    phaseId !== undefined && known.has(phaseId) ? { ...cue, phaseId } : cue,
  )
  set({ cues: kept, phases: phases.length === 0 ? undefined : phases }, 'change the phases of')
}

const under = computed(
  () =>
    `${basePositionNames[pose.value.base.enter]} · ${pose.value.targets.map((target) => targetNames[target]).join(', ')}`,
)
</script>

<template>
  <h1>{{ pose.names.english }}</h1>
  <p class="sub">
    <i v-if="pose.names.sanskrit" lang="sa-Latn">{{ pose.names.sanskrit }}</i> {{ under }}
  </p>

  <BlockPictures :resolved="resolved" />
  <slot name="cautions" />
  <Part title="Hold">
    <div v-if="pose.sides" class="pair">
      <DurationField
        class="left"
        label="Left"
        large
        :seconds="secondsOn('left')"
        :limits="holdLimits"
        @change="setSide('left', $event)"
      />
      <Button
        class="link"
        text
        severity="secondary"
        :icon="apart ? 'pi pi-lock-open' : 'pi pi-link'"
        :aria-label="apart ? 'Link the sides again' : 'Unlink the sides'"
        :title="apart ? 'Link the sides again: both get the longer time' : 'Unlink the sides'"
        @click="apart ? link() : unlink()"
      />
      <DurationField
        class="right"
        label="Right"
        large
        :seconds="secondsOn('right')"
        :limits="holdLimits"
        @change="setSide('right', $event)"
      />
    </div>
    <DurationField
      v-else
      class="both"
      label="Time"
      large
      :seconds="secondsOn('both')"
      :limits="holdLimits"
      @change="setBoth"
    />
    <div class="steps">
      <Button
        size="small"
        severity="secondary"
        outlined
        label="Shorter"
        title="One step shorter ([)"
        @click="stepTime(resolved.block.id, false)"
      />
      <Button
        size="small"
        severity="secondary"
        outlined
        label="Longer"
        title="One step longer (])"
        @click="stepTime(resolved.block.id, true)"
      />
    </div>
    <div v-if="apart && pose.sides" class="apart" data-testid="unlinked">
      <p>{{ shorter }}</p>
      <label :for="`why-${resolved.block.id}`">Why</label>
      <InputText
        :id="`why-${resolved.block.id}`"
        fluid
        :model-value="hold && 'leftS' in hold ? (hold.why ?? '') : ''"
        maxlength="300"
        placeholder="a stiff right hip"
        @change="setWhy(textOf($event))"
      />
      <Button size="small" text severity="secondary" label="Link again" @click="link" />
    </div>
    <p v-if="pose.sides" class="note">Left: {{ pose.sides.left }}.</p>
    <p v-if="pastCeiling" class="care" data-testid="past-ceiling">
      <b>Care</b> past the first ceiling of {{ formatDuration(ceilingS) }}, the longest a first hold lasts at this
      level: watch, and offer a way out.
    </p>
    <RangeBar v-if="range" :range="range" :seconds="resolved.sides.map((side) => side.holdS)" />
  </Part>
  <Part v-if="pose.sides && stage >= 1" title="Order of sides">
    <Select
      :aria-label="`First side of ${pose.names.english}`"
      fluid
      :model-value="resolved.block.firstSide ?? 'usual'"
      :options="firstChoices"
      option-label="words"
      option-value="value"
      @update:model-value="setFirst"
    />
  </Part>
  <Part v-if="stage >= 1" title="Form">
    <Select
      :aria-label="`Form of ${pose.names.english}`"
      fluid
      :model-value="resolved.block.variantId ?? usualForm"
      :options="forms"
      option-label="words"
      option-value="id"
      @update:model-value="setForm"
    />
    <p v-if="resolved.variant" class="note">{{ resolved.variant.change }}</p>
  </Part>
  <slot v-if="stage >= 2" />

  <ArrangingPart v-if="stage >= 3" :resolved="resolved" />

  <CuesPart v-if="stage >= 3" :resolved="resolved" />
  <Part v-if="stage >= 4" title="Phases" note="named parts of one hold">
    <PhasesPart :phases="resolved.block.phases ?? []" :resolved="resolved.sides[0]?.phases ?? []" @change="setPhases" />
  </Part>
  <BreathOverPart v-if="stage >= 4" :resolved="resolved" />
  <Part v-if="pose.props.length > 0" title="Props" note="per person">
    <ul>
      <li v-for="prop in pose.props" :key="prop.kind">
        {{ countedProp(prop.kind, prop.count) }}
      </li>
    </ul>
    <p v-for="line in insteadIn(resolved.block.id)" :key="line"><b>This class:</b> {{ line }}</p>
    <p class="note">Without: {{ mirrorText(pose.withoutProps, resolved.sides[0]?.side ?? 'both') }}</p>
  </Part>
  <Part title="Coming out">
    <ol>
      <li v-for="step in pose.comingOut" :key="step">{{ mirrorText(step, resolved.sides[0]?.side ?? 'both') }}</li>
    </ol>
  </Part>
</template>

<style scoped>
.sub {
  color: var(--ink-soft);
}
.sub i::after {
  content: ' · ';
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 34px minmax(0, 1fr);
  align-items: start;
  gap: 4px;
}
.link {
  margin-top: 22px;
  padding: 4px 0 !important;
  font-size: 22px;
  color: var(--ink) !important;
}
.left :deep(input) {
  border-right: 5px solid var(--left);
}
.right :deep(input) {
  border-left: 5px solid var(--right);
}
.both :deep(input) {
  border-left: 5px solid var(--both);
  border-right: 5px solid var(--both);
}
.steps {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
.care {
  margin-top: 6px;
  padding: 4px 9px;
  border-left: 4px solid var(--care);
  border-radius: 4px;
  background: var(--care-wash);
  font-size: 15px;
}
.apart {
  margin-top: 10px;
  padding: 8px 10px;
  border: 1px solid var(--ink);
  border-left-width: 5px;
  border-radius: 4px;
}
.apart label {
  display: block;
  margin-top: 6px;
  font-size: 14px;
  color: var(--ink-soft);
}
.note {
  margin-top: 6px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
ol li {
  list-style: decimal inside;
}
</style>
