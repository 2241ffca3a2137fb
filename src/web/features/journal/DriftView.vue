<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { DriftPart } from '#model/class-drift'
import { mostClassesInShort } from '#model/limits'
import type { PartDrift } from '#core/journal'
import { formatDuration } from '#core/units'
import { dayText } from '#words/dates'
import {
  alwaysWords,
  behindSentence,
  driftPartNames,
  growingSentence,
  partsSentence,
  quietSentence,
  sidesSentence,
  signed,
  timesPlanned,
} from '#words/drift'
import { capital, counted } from '#words/text'
import DriftChart from './DriftChart.vue'
import { useDrift } from './use-drift.ts'

/** What drifts over the classes that were found in the journal: plan and class beside each other, and the step that mends it. */
const { classes, state, wish, drift, told, look, mend } = useDrift()

const names = computed(() => [...new Set(classes.value.map(({ name }) => name))])
const newest = computed(() => classes.value.at(0))
const which = computed(() => {
  const [last, oldest] = [newest.value, classes.value.at(-1)]
  if (!last || !oldest) return ''
  const of = names.value.length > 3 ? `${String(names.value.length)} sessions` : names.value.join(', ')
  const from = dayText(oldest.startedAt)
  const days = last === oldest ? from : `${from} to ${dayText(last.startedAt)}`
  const isMost = classes.value.length === mostClassesInShort
  return `${isMost ? 'the newest ' : ''}${counted(classes.value.length, 'class', 'classes')} of ${of}, ${days}`
})
/** A class in the middle: what all took, by how many there are. */
const each = (s: number): number => Math.round(s / Math.max(1, drift.value.classes))
/** What a plan learns by itself, once it is recorded. */
const learned: ReadonlySet<DriftPart> = new Set(['setUp', 'comingOut'])
const mended: ReadonlySet<DriftPart> = new Set(['talk', 'change', 'rest'])
const mostOf = ({ most }: PartDrift) => most.at(0)

/** So many poses are drawn; all stand in the table. */
const mostDrawn = 8
const sidesDrawn = computed(() => drift.value.sides.slice(0, mostDrawn))
const minutes = (s: number) => s / 60
const partBars = computed(() => ({
  names: drift.value.parts.map(({ part }) => driftPartNames[part]),
  of: [
    { name: 'planned', tone: 'between', minutes: drift.value.parts.map(({ plannedS }) => minutes(each(plannedS))) },
    { name: 'took', tone: 'both', minutes: drift.value.parts.map(({ tookS }) => minutes(each(tookS))) },
  ],
}))
const sideBars = computed(() => ({
  names: sidesDrawn.value.map(({ name }) => name),
  of: [
    { name: 'left', tone: 'left', minutes: sidesDrawn.value.map(({ leftS }) => minutes(leftS)) },
    { name: 'right', tone: 'right', minutes: sidesDrawn.value.map(({ rightS }) => minutes(rightS)) },
  ],
}))
/** Every other point. */
const lateRows = computed(() => drift.value.late.filter((_, at) => at % 2 === 0))
const lateLine = computed(() => drift.value.late.map(({ atS, lateS }) => ({ x: minutes(atS), y: minutes(lateS) })))
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header>
        <div>
          <p class="soft"><RouterLink :to="{ name: 'journal' }">Journal</RouterLink></p>
          <h1>What drifts</h1>
          <p v-if="which">{{ capital(which) }}</p>
        </div>
      </header>
      <p v-if="told" role="alert">{{ told }}</p>
      <p v-if="state === 'away'" role="status">
        Zovrin’s server does not answer, so the journal cannot be read. Start it, then reload this page.
      </p>
      <p v-else-if="state === 'ready' && classes.length === 0">
        {{
          Object.keys(wish).length > 0
            ? 'No class that came to its end fits what was asked in the journal.'
            : 'Once you have led a class to its end, it is laid beside its plan here.'
        }}
      </p>
      <template v-if="classes.length > 0">
        <section aria-labelledby="drift-parts">
          <h2 id="drift-parts">Planned and real</h2>
          <p class="says">{{ partsSentence(drift) }}</p>
          <div class="beside">
            <DriftChart label="What was planned and what it took, by part" :bars="partBars" />
            <div>
              <table class="list">
                <thead>
                  <tr>
                    <th scope="col">A class</th>
                    <th scope="col" class="figure">Planned</th>
                    <th scope="col" class="figure">Took</th>
                    <th scope="col" class="figure">×</th>
                    <th scope="col">Most of it</th>
                    <th scope="col"><span class="visually-hidden">To the plan</span></th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="one in drift.parts" :key="one.part">
                    <th scope="row">{{ driftPartNames[one.part] }}</th>
                    <td class="figure">{{ formatDuration(each(one.plannedS)) }}</td>
                    <td class="figure">{{ formatDuration(each(one.tookS)) }}</td>
                    <td class="figure">{{ timesPlanned(one) ?? '—' }}</td>
                    <td>
                      <template v-if="mostOf(one)"
                        >{{ mostOf(one)?.name }} <b>{{ signed(mostOf(one)?.moreS ?? 0) }}</b></template
                      >
                    </td>
                    <td>
                      <RouterLink v-if="learned.has(one.part) && mostOf(one)" :to="{ name: 'times' }"
                        >Your times</RouterLink
                      >
                      <Button
                        v-for="most in mended.has(one.part) ? one.most.slice(0, 1) : []"
                        :key="most.blockId"
                        size="small"
                        severity="secondary"
                        outlined
                        label="Plan as led"
                        :aria-label="`Plan ${most.name}, ${driftPartNames[one.part].toLowerCase()}, as it was led`"
                        @click="mend(most)"
                      />
                    </td>
                  </tr>
                </tbody>
              </table>
            </div>
          </div>
        </section>

        <section aria-labelledby="drift-behind">
          <h2 id="drift-behind">Falling behind</h2>
          <p class="says">{{ behindSentence(drift) }}</p>
          <div class="beside">
            <DriftChart label="How late classes are, by the minute of the plan" :line="lateLine" />
            <div>
              <table class="list late">
                <thead>
                  <tr>
                    <th scope="col" class="figure">Minute</th>
                    <th scope="col" class="figure">Late, in the middle</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="{ atS, lateS } in lateRows" :key="atS">
                    <th scope="row" class="figure">{{ minutes(atS) }}</th>
                    <td class="figure">{{ signed(lateS) }}</td>
                  </tr>
                </tbody>
              </table>
              <div class="steps">
                <Button
                  v-for="at in drift.behindAt.slice(0, 3)"
                  :key="`${at.sessionId} ${at.blockId}`"
                  size="small"
                  severity="secondary"
                  outlined
                  :label="`Open the plan at ${at.name}`"
                  @click="look(at)"
                />
              </div>
            </div>
          </div>
        </section>

        <section aria-labelledby="drift-growing">
          <h2 id="drift-growing">Holds that always grow or shrink</h2>
          <p class="says">{{ growingSentence(drift) }}</p>
          <table v-if="drift.growing.length > 0" class="list">
            <thead>
              <tr>
                <th scope="col">Hold</th>
                <th scope="col" class="figure">Classes</th>
                <th scope="col" class="figure">Planned</th>
                <th scope="col" class="figure">Held</th>
                <th scope="col">Always</th>
                <th scope="col"><span class="visually-hidden">To the plan</span></th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in drift.growing" :key="`${one.sessionId} ${one.blockId}`">
                <th scope="row">{{ one.name }}</th>
                <td class="figure">{{ one.classes }}</td>
                <td class="figure">{{ formatDuration(one.plannedS) }}</td>
                <td class="figure">{{ formatDuration(one.tookS) }}</td>
                <td>{{ alwaysWords(one) }}</td>
                <td>
                  <Button
                    size="small"
                    severity="secondary"
                    outlined
                    label="Plan it as it is held"
                    :aria-label="`Plan ${one.name} as it is held`"
                    @click="mend(one)"
                  />
                </td>
              </tr>
            </tbody>
          </table>
        </section>

        <section aria-labelledby="drift-sides">
          <h2 id="drift-sides">Left and right</h2>
          <p class="says">{{ sidesSentence(drift) }}</p>
          <div v-if="drift.sides.length > 0" class="beside">
            <DriftChart label="How long each side is held, by pose" :bars="sideBars" />
            <div>
              <table class="list">
                <thead>
                  <tr>
                    <th scope="col">Pose</th>
                    <th scope="col" class="figure">Classes</th>
                    <th scope="col" class="figure">Left</th>
                    <th scope="col" class="figure">Right</th>
                    <th scope="col" class="figure">Apart</th>
                    <th scope="col"><span class="visually-hidden">To the plan</span></th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="one in drift.sides" :key="one.poseId">
                    <th scope="row">{{ one.name }}</th>
                    <td class="figure">{{ one.classes }}</td>
                    <td class="figure">{{ formatDuration(one.leftS) }}</td>
                    <td class="figure">{{ formatDuration(one.rightS) }}</td>
                    <td class="figure">{{ signed(one.apartS) }}</td>
                    <td>
                      <Button
                        size="small"
                        text
                        severity="secondary"
                        label="Open"
                        :aria-label="`Open the plan at ${one.name}`"
                        @click="look(one)"
                      />
                    </td>
                  </tr>
                </tbody>
              </table>
            </div>
          </div>
        </section>

        <section aria-labelledby="drift-quiet">
          <h2 id="drift-quiet">Quiet</h2>
          <p class="says">{{ quietSentence(drift) }}</p>
          <RouterLink v-if="newest" :to="{ name: 'plan', params: { id: newest.sessionId } }"
            >Open the plan of {{ newest.name }}</RouterLink
          >
        </section>
      </template>
    </div>
  </div>
</template>

<style scoped>
.soft {
  font-size: 15px;
}
section {
  margin-top: 20px;
}
.says {
  margin-bottom: 8px;
  font-weight: 650;
}
.beside {
  display: grid;
  grid-template-columns: minmax(240px, 4fr) minmax(0, 7fr);
  gap: 20px;
  align-items: start;
}
/* On a phone a table is moved along for itself. */
.beside > * {
  min-width: 0;
  overflow-x: auto;
}
.list :is(th, td) {
  padding: 5px 7px;
}
/* A name is not broken to make room for figures. */
.list th[scope='row'] {
  overflow-wrap: normal;
}
.late {
  width: auto;
}
.steps {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
}
@media (max-width: 900px) {
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
