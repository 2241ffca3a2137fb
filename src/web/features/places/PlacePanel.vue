<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import Textarea from 'primevue/textarea'
import { useId } from 'vue'
import { typedLines } from '#core/session'
import type { LengthUnit } from '#words/lengths'
import NameField from '#web/shared/ui/NameField.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import RoomPart from './RoomPart.vue'
import { usePlaces } from './use-places.ts'

/** The place itself: its name and unit, how many can stand at its cupboard, and its rooms. */
const { store, chosen, change, addRoom } = usePlaces()
const id = useId()
const units: { value: LengthUnit; words: string }[] = [
  { value: 'cm', words: 'centimetres' },
  { value: 'in', words: 'inches' },
]
/** A line of words each, as many as the card has room for. */
function setEmergency(typed: string): void {
  const lines = typedLines(typed).slice(0, 10)
  change({ emergency: lines.length === 0 ? undefined : lines })
}
/** Every zone there is by its name; most places need none but the machine's. */
const zones = [
  { value: '', words: 'as on this computer' },
  ...Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, words: zone.replaceAll('_', ' ') })),
]
async function remove(): Promise<void> {
  if (chosen.value) await store.remove(chosen.value.id)
}
</script>

<template>
  <template v-if="chosen">
    <NameField label="Name of the place" :name="chosen.name" @change="change({ name: $event })" />
    <div class="field">
      <span :id="`${id}-unit`" class="label">Lengths in</span>
      <SelectButton
        :model-value="chosen.lengthUnit"
        :options="units"
        option-label="words"
        option-value="value"
        :allow-empty="false"
        size="small"
        :aria-labelledby="`${id}-unit`"
        @update:model-value="change({ lengthUnit: $event })"
      />
    </div>
    <label class="switch">
      <Checkbox
        binary
        :model-value="chosen.usual ?? false"
        :disabled="chosen.usual ?? false"
        @update:model-value="change({ usual: $event ? true : undefined })"
      />
      <span>The usual place <small>where a session names none</small></span>
    </label>
    <NumberField
      label="How many can stand at the cupboard"
      :value="chosen.atCupboard ?? 3"
      :least="1"
      :most="50"
      small
      @change="change({ atCupboard: $event })"
    />
    <div class="field">
      <label :for="`${id}-until`" class="label">Free until</label>
      <InputText
        :id="`${id}-until`"
        type="time"
        size="small"
        :model-value="chosen.freeUntil ?? ''"
        :aria-describedby="`${id}-until-why`"
        @change="change({ freeUntil: textOf($event).slice(0, 5) || undefined })"
      />
      <small :id="`${id}-until-why`">A class that runs late is not offered a later end.</small>
    </div>
    <SelectField
      class="field"
      label="Time zone"
      is-searched
      :value="chosen.timeZone ?? ''"
      :options="zones"
      @change="change({ timeZone: $event || undefined })"
    />
    <div class="field">
      <label :for="`${id}-emergency`" class="label">In an emergency, line by line</label>
      <Textarea
        :id="`${id}-emergency`"
        fluid
        auto-resize
        rows="3"
        maxlength="2000"
        placeholder="the number to call; the address and which door; where the first-aid box is"
        :model-value="(chosen.emergency ?? []).join('\n')"
        :aria-describedby="`${id}-emergency-why`"
        @change="setEmergency(textOf($event))"
      />
      <small :id="`${id}-emergency-why`">Stands on the card of stop signs in Lead.</small>
    </div>
    <h2>Rooms</h2>
    <RoomPart v-for="room in chosen.rooms" :key="room.id" :room="room" :is-only="chosen.rooms.length === 1" />
    <Button size="small" text severity="secondary" icon="pi pi-plus" label="Add a room" @click="addRoom" />
    <div class="away">
      <Button size="small" severity="secondary" outlined :label="`Delete ${chosen.name}`" @click="remove" />
    </div>
  </template>
</template>

<style scoped>
.field,
.switch,
.number-field {
  margin-top: 12px;
}
.label {
  display: block;
  margin-bottom: 3px;
  font-size: 14px;
  color: var(--ink-soft);
}
.switch {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 12px;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
h2 {
  margin: 18px 0 4px;
  font-size: 18px;
}
.away {
  margin-top: 22px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
</style>
