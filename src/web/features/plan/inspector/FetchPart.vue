<script setup lang="ts">
import type { Session } from '#model/session'
import { usePlan } from '../use-plan.ts'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import NumberField from '#web/shared/ui/NumberField.vue'
import Part from './Part.vue'

/** What each person fetches, and what the room takes for so many of them. */
const props = defineProps<{ session: Session }>()
const { timeline } = usePlan()
const { people, ofOne, ofAll } = useFetching(() =>
  timeline.value ? { id: props.session.id, timeline: timeline.value } : undefined,
)
</script>

<template>
  <Part v-if="ofOne.length > 0" title="To fetch">
    <p v-for="line in ofOne" :key="line">{{ line }}</p>
    <NumberField
      class="people"
      label="For how many people"
      :value="people"
      :least="1"
      :most="500"
      can-be-empty
      small
      @change="people = $event"
      @empty="people = undefined"
    />
    <template v-if="ofAll">
      <p v-for="line in ofAll.lines" :key="line">{{ line }}</p>
      <p class="note">{{ ofAll.words }}</p>
      <p v-for="line in ofAll.short" :key="line"><b>Short:</b> {{ line }}</p>
    </template>
  </Part>
</template>

<style scoped>
.people {
  margin: 8px 0;
}
.note {
  font-size: 15px;
  color: var(--ink-soft);
}
</style>
