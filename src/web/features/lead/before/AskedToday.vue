<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { dayOf } from '#words/class-days'
import { touchWords } from '#words/people'
import { counted } from '#words/text'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import { ports } from '#web/shared/ports.ts'

/**
 * Whether anybody said today that they cannot practise: here only that nobody or somebody did, in numbers. Who and what is
 * marked where it stands who takes what [settled B14].
 */
const props = defineProps<{ sessionId: string }>()
const classes = usePlannedClassesStore()
const people = usePeopleStore()
const planned = computed(() => {
  const open = classes.openFor(props.sessionId)
  return open?.day === dayOf(ports().epochMs()) && open.people.length > 0 ? open : undefined
})
const marked = computed(() => planned.value?.people.filter(({ notToday }) => notToday !== undefined).length ?? 0)
const said = computed(() => {
  if (marked.value > 0) return `${counted(marked.value, 'person', 'people')} marked: no practice today.`
  return planned.value?.askedToday ? 'Asked today: nobody told anything.' : 'Ask everybody: is anything new today?'
})
const touch = computed(() => {
  const coming = planned.value?.people.filter(({ away }) => !away) ?? []
  return touchWords(coming.flatMap(({ personId }) => people.people.find(({ id }) => id === personId) ?? []))
})
function nobody(): void {
  if (!planned.value) return
  const people = planned.value.people.map(({ notToday: _gone, ...person }) => person)
  const at = new Date(ports().epochMs()).toISOString()
  void classes.put({ ...planned.value, people, askedToday: { at, told: 'nobody' } })
}
</script>

<template>
  <section v-if="planned" class="today" aria-label="Not today">
    <p>{{ said }}</p>
    <p v-if="touch" class="touch">{{ touch }}</p>
    <div class="acts">
      <Button severity="secondary" outlined label="Nobody told me anything" @click="nobody" />
      <RouterLink :to="{ name: 'who', params: { id: sessionId }, query: { ask: 'today' } }">Somebody did</RouterLink>
    </div>
  </section>
</template>

<style scoped>
.today {
  display: grid;
  gap: 8px;
  font-size: 20px;
}
.touch {
  color: var(--ink-soft);
}
.acts {
  display: flex;
  align-items: center;
  gap: 18px;
  flex-wrap: wrap;
}
.acts :deep(.p-button),
a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
