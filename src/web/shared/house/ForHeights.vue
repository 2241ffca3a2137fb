<script setup lang="ts">
import Button from 'primevue/button'
import type { ForHeight } from '#core/class'
import { forHeightWords, heightsText } from '#words/heights'
import { counted } from '#words/text'
import { useHouse } from './use-house.ts'

/** One set-up for the heights of those who come: as it lies for some, changed for others, taken or not; never who. */
defineProps<{
  groups: readonly ForHeight[]
  /** How many come of whom no height is noted. */
  unknown: number
  isTaken: (group: ForHeight) => boolean
  /** Whether one can be looked at in a picture here, and which is. */
  looked?: ForHeight | undefined
  canLook?: boolean
}>()
const emit = defineEmits<{ take: [group: ForHeight]; back: [group: ForHeight]; look: [group: ForHeight | undefined] }>()
const { unit, kinds } = useHouse()
</script>

<template>
  <section v-if="groups.length > 0" class="heights" aria-labelledby="for-heights">
    <h3 id="for-heights">For those who come</h3>
    <ul>
      <li v-for="group in groups" :key="`${group.leastCm} ${group.mostCm} ${group.who[0]}`">
        <p>{{ forHeightWords(group, unit, kinds) }}</p>
        <slot :group="group" />
        <span class="acts">
          <Button
            v-if="group.mends.length > 0 && !isTaken(group)"
            size="small"
            severity="secondary"
            outlined
            label="Take it for them"
            :aria-label="`Take it for ${heightsText(group, unit)}`"
            @click="emit('take', group)"
          />
          <template v-else-if="group.mends.length > 0">
            <b>Taken for this class</b>
            <Button
              size="small"
              text
              severity="secondary"
              label="As it lies"
              :aria-label="`As it lies for ${heightsText(group, unit)}`"
              @click="emit('back', group)"
            />
          </template>
          <Button
            v-if="canLook"
            size="small"
            text
            severity="secondary"
            :label="looked === group ? 'Back to the plan' : 'Look'"
            :aria-pressed="looked === group"
            :aria-label="looked === group ? undefined : `Look at it for ${heightsText(group, unit)}`"
            @click="emit('look', looked === group ? undefined : group)"
          />
        </span>
      </li>
    </ul>
    <p v-if="unknown > 0" class="note">
      {{ counted(unknown, 'person', 'people') }} without a height noted: as it lies.
    </p>
  </section>
</template>

<style scoped>
.heights {
  margin-top: 10px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
h3 {
  font-size: 16px;
}
li {
  padding: 4px 0;
  line-height: 1.3;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}
b,
.note {
  font-size: 14.5px;
}
.note {
  color: var(--ink-soft);
}
</style>
