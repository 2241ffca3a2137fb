<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { ref } from 'vue'
import { basePositions } from '#model/common'
import { families } from '#model/family'
import { directions, placesInSession, targets } from '#model/pose'
import type { OwnPose } from '#model/pose'
import { basePositionNames } from '#words/positions'
import { directionNames } from '#words/directions'
import { familyNames } from '#words/families'
import { placeNames } from '#words/places-in-session'
import { levelChoices } from '#words/practices'
import { targetNames } from '#words/targets'
import NumberField from '#web/shared/ui/NumberField.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import FormField from './FormField.vue'
import { choicesOf } from './choices-of.ts'
import TickList from './TickList.vue'

/** What a pose of one's own is called, its shape, and the families its cautions come from. */
defineProps<{ refusal: (path: string) => string | undefined }>()
const pose = defineModel<OwnPose>({ required: true })
const others = ref(pose.value.names.others.join(', '))

const bases = choicesOf(basePositions, basePositionNames)
const practices = [
  { value: 'restorative' as const, words: 'restorative' },
  { value: 'yin' as const, words: 'yin' },
]
const sidesChoices = [
  { value: false, words: 'both at once' },
  { value: true, words: 'each side' },
]
function setSided(sided: boolean): void {
  if (sided) pose.value.sides = { left: '', right: '' }
  else delete pose.value.sides
}
function setOthers(): void {
  pose.value.names.others = others.value
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '')
}
function setSanskrit(typed: string): void {
  if (typed.trim() === '') delete pose.value.names.sanskrit
  else pose.value.names.sanskrit = typed.trim()
}
</script>

<template>
  <section>
    <h2>Names</h2>
    <div class="three">
      <FormField label="English name" for="pose-name" needed :refusal="refusal('names.english')">
        <InputText id="pose-name" v-model="pose.names.english" fluid maxlength="120" />
      </FormField>
      <FormField label="Sanskrit, if in use" for="pose-sanskrit" :refusal="refusal('names.sanskrit')">
        <InputText
          id="pose-sanskrit"
          fluid
          maxlength="120"
          lang="sa-Latn"
          :model-value="pose.names.sanskrit ?? ''"
          @change="setSanskrit(textOf($event))"
        />
      </FormField>
      <FormField label="Other names, with commas between" for="pose-others" :refusal="refusal('names.others')">
        <InputText id="pose-others" v-model="others" fluid maxlength="600" @change="setOthers" />
      </FormField>
    </div>

    <h2>Shape</h2>
    <div class="three">
      <FormField label="Entered from" for="pose-enter">
        <Select
          v-model="pose.base.enter"
          input-id="pose-enter"
          aria-labelledby="pose-enter-label"
          fluid
          :options="bases"
          option-label="words"
          option-value="value"
        />
      </FormField>
      <FormField label="Comes out into" for="pose-leave">
        <Select
          v-model="pose.base.leave"
          input-id="pose-leave"
          aria-labelledby="pose-leave-label"
          fluid
          :options="bases"
          option-label="words"
          option-value="value"
        />
      </FormField>
      <FormField label="Sides" for="pose-sided">
        <Select
          input-id="pose-sided"
          aria-labelledby="pose-sided-label"
          fluid
          :model-value="pose.sides !== undefined"
          :options="sidesChoices"
          option-label="words"
          option-value="value"
          @update:model-value="setSided"
        />
      </FormField>
    </div>
    <div v-if="pose.sides" class="two">
      <FormField label="Left, in the body’s terms" for="pose-left" needed :refusal="refusal('sides.left')">
        <InputText
          id="pose-left"
          v-model="pose.sides.left"
          fluid
          maxlength="300"
          placeholder="left knee bent, right leg long"
        />
      </FormField>
      <FormField label="Right, in the body’s terms" for="pose-right" needed :refusal="refusal('sides.right')">
        <InputText
          id="pose-right"
          v-model="pose.sides.right"
          fluid
          maxlength="300"
          placeholder="right knee bent, left leg long"
        />
      </FormField>
    </div>
    <TickList
      v-model="pose.targets"
      legend="Felt in"
      needed
      :options="choicesOf(targets, targetNames)"
      :refusal="refusal('targets')"
    />
    <TickList
      v-model="pose.directions"
      legend="Direction"
      needed
      :options="choicesOf(directions, directionNames)"
      :refusal="refusal('directions')"
    />
    <TickList
      v-model="pose.places"
      legend="Place in a session"
      needed
      :options="choicesOf(placesInSession, placeNames)"
      :refusal="refusal('places')"
    />
    <TickList v-model="pose.practices" legend="Practice" needed :options="practices" :refusal="refusal('practices')" />
    <div class="three felt">
      <NumberField
        label="Felt at least, of 10"
        :value="pose.sensation.from"
        :least="0"
        :most="10"
        @change="pose.sensation.from = $event"
      />
      <div>
        <NumberField
          label="Felt at most, of 10"
          :value="pose.sensation.to"
          :least="0"
          :most="10"
          @change="pose.sensation.to = $event"
        />
        <p v-if="refusal('sensation')" class="refusal">{{ refusal('sensation') }}</p>
      </div>
      <FormField label="From which level on" for="pose-level">
        <Select
          v-model="pose.fromLevel"
          input-id="pose-level"
          aria-labelledby="pose-level-label"
          fluid
          :options="levelChoices"
          option-label="words"
          option-value="value"
        />
      </FormField>
    </div>

    <h2>Cautions</h2>
    <p class="note">Tick every family the shape belongs to: its cautions and its first ceilings come from there.</p>
    <TickList
      v-model="pose.families"
      legend="Families of shapes"
      needed
      :options="choicesOf(families, familyNames)"
      :refusal="refusal('families')"
    />
  </section>
</template>

<style scoped>
.felt {
  margin-top: 8px;
}
.felt :deep(label) {
  margin-top: 0;
}
</style>
