<script setup lang="ts">
import Button from 'primevue/button'
import type { Room } from '#model/place'
import NameField from '#web/shared/ui/NameField.vue'
import LengthField from './LengthField.vue'
import { usePlaces } from './use-places.ts'

/** A room as it was measured, with the lengths of wall that are free for people. */
defineProps<{ room: Room; isOnly: boolean }>()
const { setRoom, removeRoom, addWall, setWall, removeWall } = usePlaces()
</script>

<template>
  <section class="room" :aria-label="room.name">
    <div class="row">
      <NameField class="name" label="Room" :name="room.name" @change="setRoom(room.id, { name: $event })" />
      <Button
        v-if="!isOnly"
        text
        size="small"
        severity="secondary"
        icon="pi pi-times"
        :aria-label="`Take ${room.name} away`"
        title="Take this room away"
        @click="removeRoom(room.id)"
      />
    </div>
    <div class="row">
      <LengthField label="Long" unit="m" :mm="room.lengthMm" @change="setRoom(room.id, { lengthMm: $event })" />
      <LengthField label="Wide" unit="m" :mm="room.widthMm" @change="setRoom(room.id, { widthMm: $event })" />
    </div>
    <ul>
      <li v-for="wall in room.walls" :key="wall.id" class="row">
        <NameField class="name" label="Wall" :name="wall.name" @change="setWall(room.id, wall.id, { name: $event })" />
        <LengthField label="Free" unit="m" :mm="wall.freeMm" @change="setWall(room.id, wall.id, { freeMm: $event })" />
        <Button
          text
          size="small"
          severity="secondary"
          icon="pi pi-times"
          :aria-label="`Take ${wall.name} away`"
          title="Take this wall away"
          @click="removeWall(room.id, wall.id)"
        />
      </li>
    </ul>
    <p v-if="room.walls.length === 0" class="none">No wall is free for people here.</p>
    <Button size="small" text severity="secondary" icon="pi pi-plus" label="A free wall" @click="addWall(room.id)" />
  </section>
</template>

<style scoped>
.room {
  padding: 8px 0 6px;
  border-top: 1px solid var(--line);
}
.row {
  display: flex;
  align-items: end;
  gap: 8px;
  margin-bottom: 6px;
}
.row > :deep(*) {
  flex: 1 1 0;
  min-width: 0;
}
.row > .name {
  flex: 2 1 0;
}
.row > :deep(button) {
  flex: 0 0 32px;
}
.none {
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
