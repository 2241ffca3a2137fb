<script setup lang="ts">
import Button from 'primevue/button'
import type { LearnedTime } from '#core/journal'
import { learnedFigure, learnedFigures } from '#words/learned-times'
import { levelChoices } from '#words/practices'
import { capital } from '#words/text'
import NumberField from '#web/shared/ui/NumberField.vue'
import SettingsRefused from '#web/shared/settings/SettingsRefused.vue'
import { useTimes } from './use-times.ts'

/** How long things take in this teacher's classes: as is usual, as was recorded, as it is planned with. */
const { rows, state, before, set, unset, forget, undo } = useTimes()

const levelWords = Object.fromEntries(levelChoices.map(({ value, words }) => [value, words]))
/** The newest records, newest last. */
const mostShown = 6
const newest = ({ key, seenS }: LearnedTime): string => {
  if (seenS.length === 0) return ''
  const shown = learnedFigures(key, seenS.slice(-mostShown))
  return seenS.length > mostShown ? `… ${shown}` : shown
}
const unitOf = ({ key }: LearnedTime): string =>
  key === 'changeover' ? 'hundredths' : key === 'pace' ? 'seconds a hundred words' : 'seconds'
const sourceWords = { set: 'set by you', learned: 'learned', default: 'usual' } as const
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Your times</h1>
        <RouterLink :to="{ name: 'journal' }">Back to the journal</RouterLink>
      </header>
      <p class="about">
        What you ended yourself, or said to be settled, is a record of how long it takes. Three records teach; plans,
        fits and the chooser go by what is used here. What ran out by the clock teaches nothing.
      </p>
      <SettingsRefused />
      <p v-if="before" class="undo" role="status">
        {{ before.words }}
        <Button size="small" text severity="secondary" icon="pi pi-undo" label="Undo" @click="undo" />
      </p>
      <p v-if="rows.length === 0 && state === 'away'" role="status">
        Zovrin’s server does not answer, so your records cannot be read. Start it, then reload this page.
      </p>
      <p v-else-if="rows.length === 0 && state === 'ready'">
        Nothing was recorded yet. In Lead, press <kbd>Enter</kbd> when everybody is settled, or end a set-up yourself:
        it is written down here.
      </p>
      <table v-else-if="rows.length > 0" class="list">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Level</th>
            <th scope="col" class="figure">Usual</th>
            <th scope="col">Your classes</th>
            <th scope="col" class="figure">Planned with</th>
            <th scope="col">Set it</th>
            <th scope="col"><span class="visually-hidden">Records</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="time in rows" :key="time.id">
            <th scope="row">{{ capital(time.words) }}</th>
            <td>{{ levelWords[time.level] }}</td>
            <td class="figure">{{ learnedFigure(time.key, time.defaultS) }}</td>
            <td>
              {{ newest(time) }} <small v-if="time.seenS.length > 0">({{ time.seenS.length }})</small>
            </td>
            <td class="figure">
              <b>{{ learnedFigure(time.key, time.usedS) }}</b>
              <small class="from">{{ sourceWords[time.from] }}</small>
            </td>
            <td class="set">
              <NumberField
                small
                can-be-empty
                hide-label
                :label="`${time.words}, ${levelWords[time.level] ?? ''}: your own figure in ${unitOf(time)}`"
                :hint="String(time.learnedS)"
                :value="time.setS"
                :least="0"
                :most="3600"
                @change="set(time, $event)"
                @empty="time.setS === undefined || unset(time)"
              />
            </td>
            <td>
              <Button
                v-if="time.seenS.length > 0"
                size="small"
                text
                severity="secondary"
                label="Forget"
                :aria-label="`Forget the records: ${time.words}, ${levelWords[time.level] ?? ''}`"
                @click="forget(time)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.about {
  max-width: 72ch;
  margin: 8px 0 14px;
  color: var(--ink-soft);
}
.undo {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 10px;
}
td,
th[scope='row'] {
  vertical-align: top;
}
small {
  color: var(--ink-soft);
}
.from {
  display: block;
}
.set {
  min-width: 108px;
}
th[scope='row'] {
  width: 32%;
}
</style>
