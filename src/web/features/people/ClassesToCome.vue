<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { comingTo } from '#core/class'
import { classWhen, dayOf } from '#words/class-days'
import { counted } from '#words/text'
import { listSessions } from '#web/shared/api/sessions.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { ports } from '#web/shared/ports.ts'

/** The classes to come by day, each opened for who comes. */
const classes = usePlannedClassesStore()
const names = shallowRef<ReadonlyMap<string, string>>(new Map())
onMounted(async () => {
  const reply = await listSessions()
  if (reply.kind === 'ok') names.value = new Map(reply.value.map(({ id, name }) => [id, name]))
})
const toCome = computed(() => {
  const today = dayOf(ports().epochMs())
  return classes.planned
    .filter(({ day, ledClassId }) => day >= today && !ledClassId)
    .map((one) => ({ ...one, coming: comingTo(one).length }))
})
const views = [
  { name: 'who', words: 'Who takes what' },
  { name: 'plan', words: 'Plan' },
  { name: 'props', words: 'Set-ups' },
  { name: 'lead', words: 'Lead' },
] as const
</script>

<template>
  <section aria-labelledby="to-come">
    <h2 id="to-come">Classes to come</h2>
    <p v-if="toCome.length === 0" class="none">None is planned. Open a session and plan one in “Who takes what”.</p>
    <table v-else class="list">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Session</th>
          <th scope="col" class="figure">People</th>
          <th scope="col">Opened for it</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in toCome" :key="one.id">
          <th scope="row">{{ classWhen(one) }}</th>
          <td>{{ names.get(one.sessionId) ?? '' }}</td>
          <td class="figure">{{ counted(one.coming, 'person', 'people') }}</td>
          <td class="views">
            <RouterLink
              v-for="view in views"
              :key="view.name"
              :to="{ name: view.name, params: { id: one.sessionId } }"
              @click="classes.openWith(one.sessionId, one.id)"
              >{{ view.words }}</RouterLink
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
h2 {
  font-size: 18px;
}
.none {
  color: var(--ink-soft);
}
.views {
  display: flex;
  gap: 14px;
}
</style>
