<script setup lang="ts">
import type { Session } from '#model/session'
import { usePlan } from '../use-plan.ts'
import ClassPicker from '#web/shared/house/ClassPicker.vue'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import Part from './Part.vue'

/** What each person fetches, and what all take who come. */
const props = defineProps<{ session: Session }>()
const { timeline } = usePlan()
const { ofEach, ofAll } = useFetching(() =>
  timeline.value ? { document: props.session, timeline: timeline.value } : undefined,
)
</script>

<template>
  <Part v-if="timeline" title="The class">
    <ClassPicker :session="session" :timeline="timeline" />
    <p class="note">Each fetches</p>
    <p v-for="line in ofEach" :key="line">{{ line }}</p>
    <template v-if="ofAll">
      <p class="note">All together</p>
      <p v-for="line in ofAll.lines" :key="line">{{ line }}</p>
      <p class="note">{{ ofAll.words }}</p>
      <p v-for="line in ofAll.instead" :key="line">{{ line }}</p>
      <p v-for="line in ofAll.short" :key="line"><b>Short:</b> {{ line }}</p>
    </template>
    <RouterLink :to="{ name: 'needs', params: { id: session.id } }"
      >What it needs over its time, and the room</RouterLink
    >
  </Part>
</template>

<style scoped>
.note {
  margin-top: 4px;
  font-size: 15px;
  color: var(--ink-soft);
}
a {
  display: inline-block;
  margin-top: 8px;
}
</style>
