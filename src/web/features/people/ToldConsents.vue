<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { textLimits } from '#model/limits'
import { practiceChoices } from '#words/people'
import { dayText } from '#words/dates'
import LineField from '#web/shared/ui/LineField.vue'
import AddChoice from '#web/shared/ui/AddChoice.vue'
import { usePeople } from './use-people.ts'

/** The practices their clinician agreed to: only these soften what is to be left out, and never by themselves. */
const { chosen, change, today } = usePeople()
const consents = computed(() => chosen.value?.consents ?? [])
const nameOf = (practice: string): string => practiceChoices.find(({ value }) => value === practice)?.words ?? practice
const left = computed(() => practiceChoices.filter(({ value }) => !consents.value.some((one) => one.for === value)))
/** A practice of which it is not said yet who agreed to it: until then nothing is softened. */
const asked = ref<string>()
/** Said once: the field goes with it, and tells what stood in it again as it is left. */
function saidBy(by: string): void {
  if (asked.value === undefined) return
  const practice = asked.value
  asked.value = undefined
  setBy(practice, by)
}
function setBy(practice: string, by: string): void {
  // There is no consent of nobody.
  const others = consents.value.filter((one) => one.for !== practice)
  change({ consents: by === '' ? others : [...others, { for: practice, by, on: today() }] })
}
</script>

<template>
  <section v-if="chosen" class="consents" aria-labelledby="consents-title">
    <h2 id="consents-title">What their clinician agreed to</h2>
    <div v-for="consent in consents" :key="consent.for" class="row">
      <LineField
        :label="`${nameOf(consent.for)}, by`"
        :text="consent.by"
        :most="textLimits.name"
        @change="setBy(consent.for, $event)"
      />
      <span>{{ dayText(consent.on) }}</span>
      <Button
        text
        size="small"
        severity="secondary"
        icon="pi pi-times"
        :aria-label="`Take away the consent for ${nameOf(consent.for)}`"
        @click="setBy(consent.for, '')"
      />
    </div>
    <LineField
      v-if="asked !== undefined"
      class="asked"
      :label="`${nameOf(asked)}: who agreed to it`"
      text=""
      :most="textLimits.name"
      hint="doctor, midwife …"
      @change="saidBy"
    />
    <AddChoice label="Add a practice" :options="left" placeholder="Choose what they agreed to…" @add="asked = $event" />
  </section>
</template>

<style scoped>
.consents {
  display: grid;
  gap: 8px;
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
h2 {
  font-size: 18px;
}
.asked {
  max-width: 352px;
}
.row {
  display: grid;
  grid-template-columns: 352px auto 1fr;
  align-items: end;
  justify-items: start;
  gap: 12px;
}
</style>
