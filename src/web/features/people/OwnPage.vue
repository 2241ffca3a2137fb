<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Textarea from 'primevue/textarea'
import { computed, toRef } from 'vue'
import { textLimits } from '#model/limits'
import type { Person } from '#model/person'
import { disclaimer, teacherPrompt } from '#words/advice'
import { askedOfThemselves, calledName, touchChoices } from '#words/people'
import LineField from '#web/shared/ui/LineField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import HeightField from './HeightField.vue'
import HowItIs from './HowItIs.vue'
import { personEdits } from './use-people.ts'

/** Somebody's page as they fill it in for themselves: nothing of it is needed, and it is kept as they go. */
const props = defineProps<{ person: Person }>()
const emit = defineEmits<{ done: [] }>()
const { change, addCondition, setCondition, removeCondition, today } = personEdits(toRef(props, 'person'))
const told = computed(() => new Map(props.person.conditions.map((one) => [one.id, [one]])))
function tick(id: string, isTold: boolean): void {
  if (isTold) addCondition(id)
  else removeCondition(id)
}
</script>

<template>
  <div class="form">
    <h1>About you, {{ calledName(person) }}</h1>
    <p>“{{ teacherPrompt }}”</p>
    <p class="note">
      All of it can be left out. It is kept as you go, on your teacher’s machine. You may read at any time what is
      written about you, and have it deleted.
    </p>
    <div class="row">
      <LineField
        label="What you wish to be called"
        :text="person.calledAs ?? ''"
        :most="textLimits.name"
        @change="change({ calledAs: $event || undefined })"
      />
      <HeightField label="Your height, cm" :mm="person.statureMm" @change="change({ statureMm: $event })" />
      <SelectField
        label="A blanket laid, or a hand"
        :value="person.touch ?? ''"
        :options="touchChoices"
        @change="change({ touch: $event || undefined })"
      />
      <LineField
        label="Whom to call in an emergency"
        :text="person.inCase ?? ''"
        :most="textLimits.line"
        @change="change({ inCase: $event || undefined })"
      />
    </div>
    <h2>Tick what you have, or had; leave out what you like</h2>
    <ul>
      <li v-for="{ id, name, asks } in askedOfThemselves" :key="id">
        <label>
          <Checkbox binary :model-value="told.has(id)" @update:model-value="tick(id, $event)" />
          <span
            ><b>{{ name }}</b
            ><small>{{ asks }}</small></span
          >
        </label>
        <div v-for="one in told.get(id) ?? []" :key="one.id" class="how" role="group" :aria-label="name">
          <HowItIs :told="one" @change="setCondition(one.id, { ...$event, askedOn: today() })" />
        </div>
      </li>
    </ul>
    <label for="own-note">Anything else, or any limit your doctor or midwife has set</label>
    <Textarea
      id="own-note"
      fluid
      rows="3"
      auto-resize
      :maxlength="textLimits.text"
      :model-value="person.note ?? ''"
      @change="change({ note: textOf($event).trim() || undefined })"
    />
    <p class="note">{{ disclaimer }}</p>
    <Button class="done" size="large" label="Done, give it back" @click="emit('done')" />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 14px;
  max-width: 760px;
  margin: 0 auto;
  padding: 28px 24px 60px;
  font-size: 17px;
}
h1 {
  font-size: 28px;
}
h2 {
  margin-top: 10px;
  font-size: 20px;
}
.note,
small {
  font-size: 15px;
  color: var(--ink-soft);
}
small {
  display: block;
}
.row,
.how {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
@media (max-width: 520px) {
  .row {
    grid-template-columns: 1fr;
  }
}
li {
  border-top: 1px solid var(--line-soft);
}
li label {
  display: flex;
  align-items: flex-start;
  gap: 12px;
  min-height: 44px;
  padding: 8px 0;
  cursor: pointer;
}
.how {
  padding: 0 0 10px 34px;
}
.done {
  justify-self: start;
}
</style>
