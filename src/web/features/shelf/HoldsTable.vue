<script setup lang="ts">
import { levels } from '#model/common'
import type { Level } from '#model/common'
import type { Pose } from '#model/pose'
import { holdLimits } from '#model/limits'
import DurationField from '#web/shared/ui/DurationField.vue'
import { levelChoices } from '#words/practices'

/** Usual holds by practice and level: shortest, usual, longest. */
defineProps<{ refusals: ReadonlyMap<string, string> }>()
const holds = defineModel<Pose['holds']>({ required: true })
const ends = [
  ['fromS', 'shortest'],
  ['usualS', 'usual'],
  ['toS', 'longest'],
] as const
const practices = ['restorative', 'yin'] as const

function set(practice: 'restorative' | 'yin', level: Level, end: 'fromS' | 'usualS' | 'toS', seconds: number): void {
  const of = holds.value[practice]
  holds.value = { ...holds.value, [practice]: { ...of, [level]: { ...of[level], [end]: seconds } } }
}
</script>

<template>
  <div class="scrolls">
    <table>
      <thead>
        <tr>
          <th />
          <th v-for="choice in levelChoices" :key="choice.value" scope="col">
            {{ choice.words }} <small>shortest, usual, longest</small>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="practice in practices" :key="practice">
          <th scope="row">{{ practice }}</th>
          <td v-for="level in levels" :key="level">
            <div class="three">
              <DurationField
                v-for="[end, words] in ends"
                :key="end"
                hide-label
                :label="`${practice}, ${level}, ${words}`"
                :seconds="holds[practice][level][end]"
                :limits="holdLimits"
                @change="set(practice, level, end, $event)"
              />
            </div>
            <p v-if="refusals.get(`holds.${practice}.${level}`)" class="refusal">
              {{ refusals.get(`holds.${practice}.${level}`) }}
            </p>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scrolls {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 500;
  text-align: left;
  color: var(--ink-soft);
  padding-right: 8px;
}
td {
  padding: 3px 8px 3px 0;
  vertical-align: top;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(58px, 1fr));
  gap: 4px;
}
small {
  font-size: 13px;
}
.refusal {
  color: var(--avoid);
  font-size: 14px;
}
</style>
