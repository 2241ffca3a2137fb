<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import { targets } from '#model/pose'
import { keepRoll, sayRoll } from '#core/session'
import { targetNames } from '#words/targets'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import CueEditor from '#web/shared/ui/CueEditor.vue'
import { choicesOf } from './choices-of.ts'
import type { OwnPoseDraft } from './own-pose-draft.ts'
import FormField from './FormField.vue'
import LinesField from './LinesField.vue'
import PropRows from './PropRows.vue'
import TickList from './TickList.vue'

/** What is said of a pose of one's own, what it takes, and what it goes with. */
defineProps<{ refusal: (path: string) => string | undefined }>()
const pose = defineModel<OwnPoseDraft>({ required: true })
const own = useOwnStore()

/** In an each-side pose words are written for the left side and kept for both. */
const sided = computed(() => pose.value.sides !== undefined)
const turns = [
  { value: 'never', words: 'The head is not turned' },
  { value: 'half time', words: 'Turned, and the other way from half time' },
]
const counterChoices = computed(() =>
  [...own.shelf.ownPoses.values(), ...own.shelf.poses.values()]
    .filter(({ id }) => id !== pose.value.id)
    .map(({ id, names }) => ({ value: id, words: names.english }))
    .sort((a, b) => a.words.localeCompare(b.words)),
)
</script>

<template>
  <section>
    <h2>Words</h2>
    <p v-if="sided" class="note">
      Write for the left side: left and right change over by themselves on the other. Press one of them below to keep it
      as it stands.
    </p>
    <LinesField
      v-model="pose.setUpWords"
      label="Said while arranging"
      note="one a line"
      :sided="sided"
      :refusal="refusal('setUpWords')"
    />
    <span class="label">Cues in the hold</span>
    <CueEditor v-model="pose.cues" :sided="sided" />
    <LinesField
      v-model="pose.looksFor"
      label="What the teacher looks for"
      note="one a line"
      :sided="sided"
      :refusal="refusal('looksFor')"
    />
    <LinesField
      v-model="pose.mistakes"
      label="What goes wrong"
      note="one a line"
      :sided="sided"
      :refusal="refusal('mistakes')"
    />
    <LinesField
      v-model="pose.comingOut"
      label="Steps out"
      note="one step a line, in order; needed"
      :sided="sided"
      :read="(step) => sayRoll(step, 'either')"
      :write="keepRoll"
      :refusal="refusal('comingOut')"
    />
    <div class="two">
      <FormField label="Where the head rests" for="pose-head" needed :refusal="refusal('head.rests')">
        <InputText id="pose-head" v-model="pose.head.rests" fluid maxlength="300" />
      </FormField>
      <FormField label="Whether it is turned" for="pose-turned">
        <Select
          v-model="pose.head.turned"
          input-id="pose-turned"
          aria-labelledby="pose-turned-label"
          fluid
          :options="turns"
          option-label="words"
          option-value="value"
        />
      </FormField>
    </div>

    <h2>Props and neighbours</h2>
    <span class="label">Props, per person</span>
    <PropRows v-model="pose.props" />
    <FormField label="Its form without them" for="pose-without" needed :refusal="refusal('withoutProps')">
      <InputText id="pose-without" v-model="pose.withoutProps" fluid maxlength="300" />
    </FormField>
    <details>
      <summary>Counterposes, what it warms and wants warm, energy lines</summary>
      <TickList v-model="pose.counterposes" legend="Counterposes" :options="counterChoices" />
      <TickList v-model="pose.warms" legend="Warms" :options="choicesOf(targets, targetNames)" />
      <TickList v-model="pose.wantsWarm" legend="Wants warm" :options="choicesOf(targets, targetNames)" />
      <LinesField v-model="pose.energyLines" label="Energy lines" note="one a line" />
    </details>
  </section>
</template>

<style scoped>
.label {
  display: block;
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
details {
  margin-top: 14px;
}
summary {
  cursor: pointer;
  font-weight: 650;
}
</style>
