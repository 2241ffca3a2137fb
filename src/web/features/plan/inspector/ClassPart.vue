<script setup lang="ts">
import { computed } from 'vue'
import type { Session } from '#model/session'
import { usePlan } from '../use-plan.ts'
import { useHouse } from '#web/shared/house/use-house.ts'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import NumberField from '#web/shared/ui/NumberField.vue'
import Part from './Part.vue'
import RoomPart from './RoomPart.vue'

/** What each person fetches, and what the room takes for so many of them. */
const props = defineProps<{ session: Session }>()
const { timeline } = usePlan()
const { people, ofOne, ofAll } = useFetching(() =>
  timeline.value ? { id: props.session.id, timeline: timeline.value } : undefined,
)
/** The largest room of the place. */
const { place } = useHouse()
const room = computed(() =>
  place.value?.rooms.reduce((a, b) => (b.lengthMm * b.widthMm > a.lengthMm * a.widthMm ? b : a)),
)
</script>

<template>
  <Part v-if="timeline" title="The class">
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
      <RoomPart v-if="room && people && timeline" :room="room" :people="people" :timeline="timeline" />
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
