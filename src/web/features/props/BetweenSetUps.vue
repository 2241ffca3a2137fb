<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, shallowRef, toRaw } from 'vue'
import type { Session } from '#model/session'
import type { OrderSuggestion } from '#core/fit'
import { applyEdit } from '#core/session'
import { compileTimeline } from '#core/timeline'
import { orderWords } from '#words/fits'
import { useFit } from '#web/shared/fit/use-fit.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usedIn } from './used.ts'
import { formatMs } from '#core/units'
import { actionWords, fetchedAgain, kindsWords, movedWords, onceIfWords } from '#words/handling'
import { counted } from '#words/text'
import { betweenSetUps, movedIn } from './between.ts'
import { useProps } from './use-props.ts'

/** What changes hands from set-up to set-up, with how long it takes; a row opens to the order it is done in. */
const { store, used, chosen, chosenKey, told } = useProps()
const own = useOwnStore()
const open = ref<string>()
const rows = computed(() =>
  store.document && store.timeline ? betweenSetUps(used.value, store.timeline, store.document.level) : [],
)
const again = computed(() => fetchedAgain(rows.value))

/** What another order would save is worked out when it is asked for, and belongs to the session as it was then. */
const order = useFit('order')
const asked = shallowRef<Session>()
const saves = computed(() => {
  const { value } = order.answer
  return value?.ok && asked.value === store.document ? value.value : undefined
})
const savesWords = computed(() => (saves.value ? [...orderWords(saves.value), ...onceIf(saves.value)] : []))
function askOrder(): void {
  if (!store.document) return
  asked.value = store.document
  order.ask({ session: toRaw(store.document) })
}
/** What is heavy and would be fetched less often, with what goes where for it. */
function onceIf({ edits }: OrderSuggestion): readonly string[] {
  const done = store.document && applyEdit(store.document, { type: 'several', edits })
  const compiled = done?.ok ? compileTimeline(done.value.session, own.catalog) : undefined
  if (!store.document || !done?.ok || !compiled?.ok) return []
  const then = betweenSetUps(usedIn(done.value.session, own.catalog), compiled.value, store.document.level)
  return onceIfWords(rows.value, then, movedIn(store.document, done.value.session, own.catalog))
}
function takeOrder(): void {
  if (saves.value && store.edit({ type: 'several', edits: saves.value.edits }, 'take another order'))
    told.value = 'Done: take another order'
}
const secondsText = (s: number): string => formatMs(Math.round(s) * 1000)
const whole = computed(() => {
  const sum = (of: 's' | 'trips' | 'lifts'): number => rows.value.reduce((total, row) => total + row[of], 0)
  return { s: sum('s'), trips: counted(sum('trips'), 'trip'), lifts: counted(sum('lifts'), 'part') }
})
</script>

<template>
  <section v-if="rows.length > 0" class="between scrolls" aria-labelledby="between-set-ups">
    <header>
      <h2 id="between-set-ups">Between set-ups</h2>
      <p>one person, by hand; estimates</p>
    </header>
    <table class="list">
      <thead>
        <tr>
          <th scope="col">From → to</th>
          <th scope="col">Put aside</th>
          <th scope="col">Bring</th>
          <th scope="col">Move or refold</th>
          <th scope="col" class="figure">Time</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in rows" :key="row.key">
          <tr :class="{ here: row.key === chosen?.key }">
            <th scope="row">
              <button
                v-if="row.actions.length > 0"
                type="button"
                :aria-expanded="open === row.key"
                @click="open = open === row.key ? undefined : row.key"
              >
                <i class="pi" :class="open === row.key ? 'pi-angle-down' : 'pi-angle-right'" aria-hidden="true" /><span
                  class="visually-hidden"
                  >Change: </span
                >{{ row.from ? `${row.from} → ${row.to}` : `The start → ${row.to}` }}
              </button>
              <span v-else class="none">{{ row.from ? `${row.from} → ${row.to}` : `The start → ${row.to}` }}</span>
            </th>
            <td>{{ kindsWords(row.actions, 'aside') }}</td>
            <td>{{ kindsWords(row.actions, 'brings') }}</td>
            <td>{{ movedWords(row.actions) }}</td>
            <td class="figure">{{ row.s === 0 ? '—' : secondsText(row.s) }}</td>
          </tr>
          <tr v-if="open === row.key" class="order">
            <td colspan="5">
              <ol>
                <li v-for="(action, index) in row.actions" :key="index">{{ actionWords(action) }}</li>
              </ol>
              <button type="button" @click="chosenKey = row.key">Look at {{ row.to }}</button>
            </td>
          </tr>
        </template>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">Whole session</th>
          <td colspan="3">{{ whole.trips }} to where the props lie, {{ whole.lifts }} of the body lifted</td>
          <td class="figure">{{ secondsText(whole.s) }}</td>
        </tr>
        <tr v-if="rows.length > 1">
          <td colspan="5" class="saves">
            <Button
              v-if="!saves"
              size="small"
              text
              severity="secondary"
              :loading="order.isSlow.value"
              label="What would another order save?"
              @click="askOrder"
            />
            <template v-else>
              <p v-for="words in savesWords" :key="words">{{ words }}</p>
              <Button
                v-if="saves.edits.length > 0"
                size="small"
                severity="secondary"
                outlined
                label="Take this order"
                @click="takeOrder"
              />
            </template>
            <p v-if="order.isBroken.value" role="alert">
              It could not be worked out here. Reload the page when Zovrin’s server answers.
            </p>
          </td>
        </tr>
        <tr v-for="words in again" :key="words">
          <td colspan="5">{{ words }}</td>
        </tr>
      </tfoot>
    </table>
  </section>
</template>

<style scoped>
.between {
  min-width: 0;
  padding: 8px 18px 10px;
  border-top: 1px solid var(--line);
  background: var(--sheet);
}
header {
  display: flex;
  align-items: baseline;
  gap: 14px;
  padding: 0;
}
h2 {
  font-size: 17px;
}
header p {
  font-size: 14px;
  color: var(--ink-soft);
}
.list {
  table-layout: fixed;
}
thead th:first-child {
  width: 27%;
}
thead th:nth-child(2),
thead th:nth-child(3) {
  width: 17%;
}
thead th:last-child {
  width: 64px;
}
.list th,
.list td {
  padding: 5px 16px 5px 0;
  vertical-align: top;
  white-space: normal;
  text-align: left;
}
.list .figure {
  padding-right: 0;
  text-align: right;
  font-weight: 650;
}
thead th {
  font-size: 14px;
}
tbody th {
  font-weight: 500;
}
th button {
  display: flex;
  gap: 4px;
  align-items: baseline;
  min-height: 24px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.none {
  padding-left: 18px;
}
.here th {
  font-weight: 650;
}
.order ol {
  margin-left: 22px;
  list-style: decimal;
}
.order button {
  margin: 4px 0 0 18px;
  padding: 4px 10px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
@media print {
  .between {
    max-height: none;
    overflow: visible;
  }
}
</style>
