<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { PropKind } from '#model/prop'
import { keysOf } from '#core/units'
import { propNames } from '#words/props'
import { capital } from '#words/text'
import AddChoice from '#web/shared/ui/AddChoice.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import { usePeople } from './use-people.ts'

/** What they have of their own at home: for a class where each has their own things, these are counted. */
const { chosen, change } = usePeople()
/** Places people go to are nothing to be counted. */
const places: ReadonlySet<PropKind> = new Set(['wall', 'door', 'sofa'])
const things = computed(() => chosen.value?.things ?? [])
const kinds = computed(() =>
  keysOf(propNames)
    .filter((kind) => !places.has(kind) && !things.value.some((thing) => thing.kind === kind))
    .map((value) => ({ value, words: propNames[value].many })),
)
function set(next: typeof things.value): void {
  change({ things: next.length > 0 ? next : undefined })
}
const add = (kind: string): void => {
  const known = keysOf(propNames).find((one) => one === kind)
  if (known) set([...things.value, { kind: known, count: 1 }])
}
const setCount = (kind: PropKind, count: number): void => {
  set(things.value.map((thing) => (thing.kind === kind ? { kind, count } : thing)))
}
const remove = (kind: PropKind): void => {
  set(things.value.filter((thing) => thing.kind !== kind))
}
</script>

<template>
  <section class="part" aria-labelledby="their-things">
    <h2 id="their-things">What they have at home</h2>
    <p v-if="things.length === 0" class="note">Not noted. It is what is counted in a class where each is at home.</p>
    <ul v-else>
      <li v-for="{ kind, count } in things" :key="kind">
        <span>{{ capital(propNames[kind].many) }}</span>
        <NumberField
          hide-label
          small
          :label="`How many ${propNames[kind].many}`"
          :value="count"
          :least="1"
          :most="99"
          @change="setCount(kind, $event)"
        />
        <Button
          text
          severity="secondary"
          size="small"
          icon="pi pi-times"
          :aria-label="`No ${propNames[kind].many}`"
          title="Take away"
          @click="remove(kind)"
        />
      </li>
    </ul>
    <AddChoice label="Add a thing" :options="kinds" placeholder="Choose a thing…" @add="add" />
  </section>
</template>

<style scoped>
.part {
  display: grid;
  gap: 10px;
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
h2 {
  font-size: 18px;
}
li {
  display: grid;
  grid-template-columns: 180px 90px auto;
  justify-content: start;
  align-items: center;
  gap: 10px;
  padding: 2px 0;
}
.note {
  color: var(--ink-soft);
}
</style>
