<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { teacherPrompt } from '#words/advice'
import { dayText } from '#words/dates'
import { conditionChoices } from '#words/people'
import TickConditions from './TickConditions.vue'
import ToldCondition from './ToldCondition.vue'
import AddChoice from '#web/shared/ui/AddChoice.vue'
import { usePeople } from './use-people.ts'

/** What somebody told in private, condition by condition; the words to ask with stand above. */
const { chosen, addCondition, change, today } = usePeople()
const left = computed(() =>
  conditionChoices.filter(({ value }) => !chosen.value?.conditions.some((told) => told.id === value)),
)
const isOld = computed(() => chosen.value?.askedOn !== today())
/** All of it was asked, or asked again, and is as it stands here. */
function askedToday(): void {
  const conditions = (chosen.value?.conditions ?? []).map((told) => ({ ...told, askedOn: today() }))
  change({ conditions, askedOn: today() })
}
const askedWords = computed(() => {
  const { askedOn, conditions = [] } = chosen.value ?? {}
  if (askedOn !== undefined) return `Asked in private on ${dayText(askedOn)}.`
  return conditions.length === 0 ? 'Not asked yet, as far as is noted.' : ''
})
</script>

<template>
  <section v-if="chosen" class="told" aria-labelledby="told-title">
    <header>
      <h2 id="told-title">What they told</h2>
      <Button
        v-if="isOld"
        size="small"
        text
        severity="secondary"
        :label="chosen.conditions.length > 0 ? 'Asked today, all as it stands' : 'Asked today, nothing told'"
        @click="askedToday"
      />
    </header>
    <p class="ask">“{{ teacherPrompt }}”</p>
    <ToldCondition v-for="told in chosen.conditions" :key="told.id" :told="told" />
    <p v-if="chosen.conditions.length === 0" class="none">Nothing told.</p>
    <p v-if="askedWords" class="none">{{ askedWords }}</p>
    <AddChoice label="Add what they tell" :options="left" placeholder="Choose a condition…" @add="addCondition" />
    <TickConditions />
  </section>
</template>

<style scoped>
.told {
  display: grid;
  gap: 10px;
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
}
h2 {
  font-size: 18px;
}
.ask,
.none {
  color: var(--ink-soft);
}
</style>
