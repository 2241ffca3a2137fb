<script setup lang="ts">
import type { RoomSide, Spot } from '#model/place'
import { sideWords } from '#words/room'
import SelectField from '#web/shared/ui/SelectField.vue'
import LengthField from './LengthField.vue'

/** Where something is at the sides of a room; at no side, nobody said. */
const props = defineProps<{ label: string; spot: Spot | undefined; halfMm: (side: RoomSide) => number }>()
const emit = defineEmits<{ change: [spot: Spot | undefined] }>()

const choices = [{ value: '' as const, words: 'not said' }, ...sideWords]
function pick(side: RoomSide | ''): void {
  emit('change', side === '' ? undefined : { side, atMm: Math.round(props.halfMm(side)) })
}
</script>

<template>
  <div class="spot">
    <SelectField :label="label" :value="spot?.side ?? ''" :options="choices" @change="pick" />
    <LengthField
      v-if="spot"
      :label="spot.side === 'front' || spot.side === 'back' ? 'From the left' : 'From the front'"
      unit="m"
      :mm="spot.atMm"
      @change="emit('change', { ...spot, atMm: $event })"
    />
  </div>
</template>

<style scoped>
.spot {
  display: flex;
  align-items: end;
  gap: 8px;
  margin-bottom: 6px;
}
.spot > * {
  flex: 1 1 0;
  min-width: 0;
}
</style>
