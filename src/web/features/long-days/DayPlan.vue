<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { nanoid } from 'nanoid'
import type { PlannedClass } from '#model/planned-class'
import { classWhen } from '#words/class-days'
import { hourWords } from '#words/long-days'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useLongDays } from './use-long-days.ts'

/** The sessions of the day as planned classes, with its place, people and hours. */
const { chosen, laid, sessions, plannedOf } = useLongDays()
const places = usePlacesStore()
const classes = usePlannedClassesStore()
const told = ref('')
const all = computed(() =>
  laid.value.flatMap(({ part, startS }) =>
    part.kind === 'session' && sessions.value.has(part.sessionId)
      ? [{ part, hour: hourWords(startS), planned: plannedOf(part) }]
      : [],
  ),
)
const open = computed(() => all.value.filter(({ planned }) => !planned))
/** Those that were planned for other hours, or another day, than the day has now. */
const apart = computed(() =>
  all.value.flatMap(({ hour, planned }) =>
    planned && !planned.ledClassId && (planned.startsAt !== hour || planned.day !== chosen.value?.day)
      ? [{ hour, planned }]
      : [],
  ),
)
const placeId = computed(
  () => chosen.value?.placeId ?? places.places.find(({ usual }) => usual)?.id ?? places.places[0]?.id,
)
const wants = computed(() =>
  chosen.value?.day === undefined
    ? 'Set the day below: then its sessions can be planned as classes.'
    : placeId.value === undefined
      ? 'A class is planned at a place: add one in Cupboard first.'
      : '',
)
/** Writes them one after another; the first that is refused is told. */
async function put(classesOfDay: readonly PlannedClass[]): Promise<void> {
  told.value = ''
  for (const planned of classesOfDay) {
    if (await classes.put(planned)) continue
    told.value = classes.problem
    return
  }
}
async function plan(): Promise<void> {
  const { value: longDay } = chosen
  const { value: where } = placeId
  if (longDay?.day === undefined || where === undefined) return
  const { day } = longDay
  await put(
    open.value.map(({ part, hour }) => ({
      ...{ id: nanoid(), sessionId: part.sessionId, placeId: where, day, startsAt: hour },
      longDay: { id: longDay.id, partId: part.id },
      ...(longDay.roomId === undefined ? {} : { roomId: longDay.roomId }),
      ...{ people: longDay.people.map((personId) => ({ personId })), guests: longDay.guests },
      ...{ forms: [], substitutes: [], setAside: [] },
    })),
  )
}
async function bring(): Promise<void> {
  const day = chosen.value?.day
  if (day !== undefined) await put(apart.value.map(({ hour, planned }) => ({ ...planned, day, startsAt: hour })))
}
</script>

<template>
  <section v-if="all.length > 0" aria-labelledby="day-plan">
    <h2 id="day-plan">Its classes</h2>
    <p v-if="wants" class="soft">{{ wants }}</p>
    <template v-else>
      <ul>
        <li v-for="{ part, hour, planned } in all" :key="part.id">
          <span class="figure">{{ hour }}</span>
          <span>{{ sessions.get(part.sessionId)?.name }}</span>
          <span class="ways">
            <RouterLink
              v-if="planned"
              :to="{ name: 'who', params: { id: part.sessionId } }"
              @click="classes.openWith(part.sessionId, planned.id)"
              >Who takes what</RouterLink
            >
            <RouterLink
              :to="{ name: 'lead', params: { id: part.sessionId } }"
              @click="planned && classes.openWith(part.sessionId, planned.id)"
              >Lead</RouterLink
            >
          </span>
        </li>
      </ul>
      <Button
        v-if="open.length > 0"
        size="small"
        severity="secondary"
        outlined
        :label="open.length === all.length ? 'Plan them for the day' : 'Plan the others too'"
        @click="plan"
      />
      <template v-if="apart.length > 0">
        <p>
          Planned for another time:
          {{ apart.map(({ planned }) => classWhen(planned)).join('; ') }}.
        </p>
        <Button size="small" severity="secondary" outlined label="Bring them to these hours" @click="bring" />
      </template>
    </template>
    <p v-if="told" role="alert">{{ told }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
ul {
  display: grid;
  gap: 6px;
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 8px;
  overflow-wrap: anywhere;
}
.ways {
  display: flex;
  grid-column: 2;
  gap: 12px;
}
p {
  margin: 0;
}
.soft {
  color: var(--ink-soft);
}
</style>
