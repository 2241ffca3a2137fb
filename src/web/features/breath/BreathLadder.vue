<script setup lang="ts">
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import { ladder, ladderSteps } from '#core/breath'
import { stepChoices, stepName, stepWords } from '#words/ladder'
import NumberField from '#web/shared/ui/NumberField.vue'

/** The ladder of weeks from a step on, if every practice is easy; the week one stands in is marked. */
const startStep = ref(6)
const weeks = ref(8)
const perWeek = ref(3)
const evenBefore = ref(0)
const now = ref(1)

const made = computed(() =>
  ladder({
    startStep: startStep.value,
    weeks: weeks.value,
    perWeek: perWeek.value,
    evenWeeksBefore: evenBefore.value,
  }),
)
const highest = computed(() => Math.max(8, ...columns.value.map(({ inhale, exhale }) => inhale + exhale)))
const columns = computed(() =>
  (made.value.ok ? made.value.value : []).map(({ week, step }) => {
    const pattern = ladderSteps[step]?.pattern
    const [inhale, exhale] = pattern ? [pattern.in + pattern.full, pattern.out + pattern.empty] : [0, 0]
    return { week, step, name: stepName(step), inhale, exhale, isCounted: pattern !== undefined }
  }),
)
const here = computed(() => columns.value.find(({ week }) => week === now.value))
const percent = (halves: number): string => `${(halves / highest.value) * 100}%`
</script>

<template>
  <section class="ladder" aria-label="The ladder of weeks">
    <header>
      <h2>The ladder of weeks</h2>
      <p v-if="here">
        Week {{ here.week }}: step {{ here.step }}, {{ stepWords(here.step) }}, if every practice so far was easy
      </p>
    </header>
    <div class="asks">
      <Select
        v-model="startStep"
        fluid
        aria-label="Begins at step"
        :options="stepChoices"
        option-label="words"
        option-value="value"
      />
      <NumberField label="Weeks" :value="weeks" :least="1" :most="104" @change="weeks = $event" />
      <NumberField label="Practices a week" :value="perWeek" :least="0" :most="21" @change="perWeek = $event" />
      <NumberField label="Even weeks before" :value="evenBefore" :least="0" :most="104" @change="evenBefore = $event" />
      <NumberField label="Now in week" :value="now" :least="1" :most="104" @change="now = $event" />
    </div>
    <ol class="weeks">
      <li
        v-for="{ week, step, name, inhale, exhale, isCounted } in columns"
        :key="week"
        :class="{ here: week === now, ahead: week > now }"
      >
        <span class="visually-hidden">Step {{ step }}: </span>
        <span class="ratio">{{ isCounted ? name : 'own' }}</span>
        <span class="bar" aria-hidden="true">
          <template v-if="isCounted">
            <i class="out" :style="{ height: percent(exhale) }" /><i class="in" :style="{ height: percent(inhale) }" />
          </template>
          <i v-else class="own" />
        </span>
        <span class="week">week {{ week }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.ladder {
  margin: 8px -20px -18px;
  padding: 12px 20px 16px;
  border-top: 1px solid var(--line);
  background: var(--sheet);
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
}
h2 {
  font-size: 17px;
}
header p {
  color: var(--ink-soft);
}
.asks {
  display: grid;
  grid-template-columns: minmax(0, 2fr) repeat(4, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
  margin: 8px 0 10px;
}
.weeks {
  display: flex;
  gap: 4px;
  overflow-x: auto;
  padding-bottom: 4px;
}
li {
  flex: 1 0 58px;
  max-width: 92px;
  display: grid;
  grid-template-rows: auto 84px auto;
  gap: 3px;
  padding: 4px 4px 2px;
  font-size: 14px;
  text-align: center;
  border-left: 2px solid transparent;
}
.here {
  border-left-color: var(--ink);
  font-weight: 650;
}
.ratio,
.week {
  white-space: nowrap;
}
.bar {
  display: flex;
  flex-direction: column;
  justify-content: end;
}
.out {
  background: var(--breath);
}
.in {
  background: #c5b1d6;
  border-top: 1px solid var(--sheet);
}
.ahead .out {
  background: #a58fb8;
}
.ahead .in {
  background: #e2d8ea;
}
.own {
  height: 16px;
  border: 2px dashed var(--breath);
  border-radius: 3px;
}
</style>
