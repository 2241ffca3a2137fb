<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import type { Room, RoomSide } from '#model/place'
import NameField from '#web/shared/ui/NameField.vue'
import { sideWords } from '#words/room'
import SelectField from '#web/shared/ui/SelectField.vue'
import LengthField from './LengthField.vue'
import SpotField from './SpotField.vue'
import { usePlaces } from './use-places.ts'

/** A room as it was measured, with the lengths of wall that are free for people. */
const props = defineProps<{ room: Room; isOnly: boolean }>()
const sides = [{ value: '' as const, words: 'not said' }, ...sideWords]
const halfMm = (side: RoomSide): number =>
  (side === 'front' || side === 'back' ? props.room.widthMm : props.room.lengthMm) / 2
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
      <li v-for="wall in room.walls" :key="wall.id" class="wall">
        <div class="row">
          <NameField
            class="name"
            label="Wall"
            :name="wall.name"
            @change="setWall(room.id, wall.id, { name: $event })"
          />
          <Button
            text
            size="small"
            severity="secondary"
            icon="pi pi-times"
            :aria-label="`Take ${wall.name} away`"
            title="Take this wall away"
            @click="removeWall(room.id, wall.id)"
          />
        </div>
        <div class="row">
          <LengthField
            label="Free"
            unit="m"
            :mm="wall.freeMm"
            @change="setWall(room.id, wall.id, { freeMm: $event })"
          />
          <SelectField
            label="Side"
            :value="wall.side ?? ''"
            :options="sides"
            @change="setWall(room.id, wall.id, { side: $event || undefined })"
          />
        </div>
      </li>
    </ul>
    <p v-if="room.walls.length === 0" class="none">No wall is free for people here.</p>
    <Button size="small" text severity="secondary" icon="pi pi-plus" label="A free wall" @click="addWall(room.id)" />
    <SpotField label="Door" :spot="room.door" :half-mm="halfMm" @change="setRoom(room.id, { door: $event })" />
    <SpotField
      label="Cupboard"
      :spot="room.cupboard"
      :half-mm="halfMm"
      @change="setRoom(room.id, { cupboard: $event })"
    />
    <label class="tick" :for="`sockets-${room.id}`">
      <Checkbox
        :model-value="room.noSockets ?? false"
        :input-id="`sockets-${room.id}`"
        binary
        @update:model-value="setRoom(room.id, { noSockets: $event ? true : undefined })"
      />No socket there
    </label>
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
.tick {
  display: flex;
  align-items: center;
  gap: 8px;
}
.none {
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
