<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
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
    <AddChoice
      label="Add a practice"
      :options="left"
      placeholder="Choose what they agreed to…"
      @add="setBy($event, 'their clinician')"
    />
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
.row {
  display: grid;
  grid-template-columns: 352px auto 1fr;
  align-items: end;
  justify-items: start;
  gap: 12px;
}
</style>
