<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import MultiSelect from 'primevue/multiselect'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import { notToday } from '#library/cautions/not-today'
import { counted, namesInWords } from '#words/text'
import { ports } from '#web/shared/ports.ts'
import { useWhoView } from './use-who-view.ts'

/** Who cannot practise today, asked before the class: it closes by itself, and what was marked goes with the day. */
const emit = defineEmits<{ close: [] }>()
const { planned, comers, keep, nameOf } = useWhoView()
const named = computed(() => comers.value.filter(({ isNamed }) => isNamed))
const marks = notToday.map(({ id, name }) => ({ value: id, words: name }))

/** Left alone for so long it closes: others may come to see it. */
const closesAfterMs = 30_000
let touchedMs = ports().steadyMs()
const leftS = ref(closesAfterMs / 1000)
const touch = (): void => {
  touchedMs = ports().steadyMs()
}
useEventListener(window, ['pointerdown', 'keydown'], touch)
useIntervalFn(() => {
  leftS.value = Math.max(0, Math.ceil((closesAfterMs - (ports().steadyMs() - touchedMs)) / 1000))
  if (leftS.value === 0) emit('close')
}, 500)

const marked = computed(() => planned.value?.people.filter(({ notToday: some = [] }) => some.length > 0) ?? [])
const followsWords = computed(() => {
  if (marked.value.length === 0) return ''
  const names = namesInWords(marked.value.map(({ personId }) => nameOf(personId)))
  return `No practice today for ${names}: nothing is counted for them, and nothing is said.`
})
const withAsked = (now: PlannedClass, told: 'nobody' | 'somebody'): PlannedClass => ({
  ...now,
  askedToday: { at: new Date(ports().epochMs()).toISOString(), told },
})
function mark(personId: string, some: readonly string[]): void {
  keep((now) =>
    withAsked(
      {
        ...now,
        people: now.people.map((one) => {
          if (one.personId !== personId) return one
          const { notToday: _former, ...rest } = one
          return some.length > 0 ? { ...rest, notToday: [...some] } : rest
        }),
      },
      'somebody',
    ),
  )
}
function nobody(): void {
  keep((now) => withAsked({ ...now, people: now.people.map(({ notToday: _gone, ...person }) => person) }, 'nobody'))
  emit('close')
}
</script>

<template>
  <Dialog visible modal header="Not today" :style="{ width: '640px' }" @update:visible="emit('close')">
    <p class="lead">Asked today, in private: fever, drink, low sugar, a wound, a sign of an emergency, sudden pain.</p>
    <ul>
      <li v-for="comer in named" :key="comer.id">
        <span>{{ nameOf(comer.id) }}</span>
        <MultiSelect
          :model-value="[...comer.notToday]"
          :options="marks"
          option-label="words"
          option-value="value"
          :show-toggle-all="false"
          placeholder="nothing told"
          :aria-label="`Not today, ${nameOf(comer.id)}`"
          @update:model-value="mark(comer.id, $event)"
        />
      </li>
    </ul>
    <p v-if="named.length === 0">Nobody comes by name.</p>
    <p v-if="followsWords" role="status">{{ followsWords }}</p>
    <template #footer>
      <small>Closes by itself in {{ counted(leftS, 'second') }}. Marks go with the day.</small>
      <Button label="Nobody told me anything" severity="secondary" outlined @click="nobody" />
      <Button label="Done" @click="emit('close')" />
    </template>
  </Dialog>
</template>

<style scoped>
.lead,
small {
  color: var(--ink-soft);
}
ul {
  margin: 10px 0;
}
li {
  display: grid;
  grid-template-columns: 1fr 240px;
  align-items: center;
  gap: 12px;
  min-height: 44px;
  border-top: 1px solid var(--line-soft);
}
small {
  margin-right: auto;
}
</style>
