<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, useId } from 'vue'
import { teacherPrompt } from '#words/advice'
import { conditionChoices } from '#words/people'
import ToldCondition from './ToldCondition.vue'
import { usePeople } from './use-people.ts'

/** What somebody told in private, condition by condition; the words to ask with stand above. */
const { chosen, addCondition, change, today } = usePeople()
const id = useId()
const left = computed(() =>
  conditionChoices.filter(({ value }) => !chosen.value?.conditions.some((told) => told.id === value)),
)
const isOld = computed(() => chosen.value?.conditions.some(({ askedOn }) => askedOn !== today()) ?? false)
/** All of it was asked again and is as it was. */
function askedToday(): void {
  change({ conditions: (chosen.value?.conditions ?? []).map((told) => ({ ...told, askedOn: today() })) })
}
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
        label="Asked today, all as before"
        @click="askedToday"
      />
    </header>
    <p class="ask">“{{ teacherPrompt }}”</p>
    <ToldCondition v-for="told in chosen.conditions" :key="told.id" :told="told" />
    <p v-if="chosen.conditions.length === 0" class="none">Nothing told, or nothing asked.</p>
    <div class="add">
      <label :id="id">Add what they tell</label>
      <Select
        fluid
        filter
        auto-filter-focus
        reset-filter-on-hide
        :aria-labelledby="id"
        :model-value="null"
        :options="left"
        option-label="words"
        option-value="value"
        placeholder="Choose a condition…"
        @update:model-value="addCondition"
      />
    </div>
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
.none,
label {
  color: var(--ink-soft);
}
label {
  display: block;
  font-size: 14px;
}
.add {
  max-width: 352px;
}
</style>
