<script setup lang="ts">
import MultiSelect from 'primevue/multiselect'
import { computed, useTemplateRef, watch } from 'vue'
import { answersBefore } from '#model/answers'
import { answersIn } from '#core/session'
import { stepChoices, stepWords } from '#words/ladder'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { coursePicture, typedCourseOf } from './ladder-course.ts'
import type { TypedCourse } from './ladder-course.ts'
import { useBreath } from './use-breath.ts'

/**
 * The ladder of weeks from a step on, if every practice is easy, and under it the lessons; the week one stands in is
 * marked.
 */
const props = defineProps<{ sessionId: string }>()
const own = useOwnStore()
const { document } = useBreath()
const typed = typedCourseOf(props.sessionId)
const set = (change: Partial<TypedCourse>): void => {
  typed.value = { ...typed.value, ...change }
}
const threePartBreath = computed(
  () => (document.value && answersIn(document.value, own.catalog)?.threePartBreath) ?? answersBefore.threePartBreath,
)
const picture = computed(() =>
  coursePicture(typed.value, own.catalog.techniques, {
    threePartBreath: threePartBreath.value,
    stage: document.value?.stage ?? 1,
  }),
)
const columns = computed(() => picture.value.columns)
const highest = computed(() =>
  Math.max(8, ...columns.value.map(({ counted }) => (counted ? counted.inhale + counted.exhale : 0))),
)
const here = computed(() => columns.value.find(({ week }) => week === typed.value.now))
const lessonHere = computed(() => {
  const { lesson } = here.value ?? {}
  const technique = own.catalog.techniques.get(lesson?.techniqueId ?? '')
  const words = technique?.lessons[(lesson?.lesson ?? 0) - 1]
  return technique && lesson && words
    ? `${technique.names.english}, lesson ${String(lesson.lesson)} of ${String(technique.lessons.length)}: ${words}`
    : undefined
})
const techniques = computed(() =>
  [...own.catalog.techniques.values()].map(({ id, names }) => ({ value: id, words: names.english })),
)
/** The week one stands in is in sight, however many there are. */
const weeks = useTemplateRef('weeks')
watch(
  [() => typed.value.now, columns, weeks],
  () => {
    const now = weeks.value?.querySelector<HTMLElement>('.here')
    if (weeks.value && now)
      weeks.value.scrollLeft = now.offsetLeft - weeks.value.offsetLeft - weeks.value.clientWidth / 2
  },
  { flush: 'post' },
)
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
    <p v-if="lessonHere" class="lesson">{{ lessonHere }}</p>
    <div class="asks">
      <SelectField
        class="two"
        label="Begins at step"
        :value="typed.startStep"
        :options="stepChoices"
        @change="set({ startStep: $event })"
      />
      <NumberField label="Weeks" :value="typed.weeks" :least="1" :most="104" @change="set({ weeks: $event })" />
      <NumberField
        label="Practices a week"
        :value="typed.perWeek"
        :least="0"
        :most="21"
        @change="set({ perWeek: $event })"
      />
      <NumberField label="Now in week" :value="typed.now" :least="1" :most="104" @change="set({ now: $event })" />
      <label class="field wide"
        >Lessons beside it, a lesson a week
        <MultiSelect
          :model-value="[...typed.learned]"
          fluid
          filter
          aria-label="Lessons beside it"
          placeholder="No technique to learn"
          :options="techniques"
          option-label="words"
          option-value="value"
          :show-toggle-all="false"
          @update:model-value="set({ learned: $event })"
      /></label>
      <NumberField
        label="Lessons from week"
        :value="typed.lessonsFrom"
        :least="1"
        :most="104"
        @change="set({ lessonsFrom: $event })"
      />
      <NumberField
        label="Even weeks before"
        :value="typed.evenWeeksBefore"
        :least="0"
        :most="104"
        @change="set({ evenWeeksBefore: $event })"
      />
    </div>
    <div ref="weeks" class="weeks" tabindex="0" role="group" aria-label="Week by week">
      <ol :style="{ gridTemplateColumns: `repeat(${columns.length}, minmax(58px, 92px))` }">
        <li
          v-for="{ week, step, name, counted, lesson } in columns"
          :key="week"
          :class="{ here: week === typed.now, ahead: week > typed.now }"
        >
          <span class="visually-hidden">Step {{ step }}: </span>
          <span class="ratio">{{ counted ? name : 'own' }}</span>
          <span class="bar" aria-hidden="true">
            <template v-if="counted">
              <i class="out" :style="{ height: percent(counted.exhale) }" /><i
                class="in"
                :style="{ height: percent(counted.inhale) }"
              />
            </template>
            <i v-else class="own" />
          </span>
          <span class="week">week {{ week }}</span>
          <span v-if="lesson" class="visually-hidden"
            >, {{ own.catalog.techniques.get(lesson.techniqueId)?.names.english }}, lesson {{ lesson.lesson }}</span
          >
        </li>
        <li
          v-for="band in picture.bands"
          :key="band.techniqueId"
          aria-hidden="true"
          class="band"
          :title="band.name"
          :style="{ gridColumn: `${band.from - (columns[0]?.week ?? 1) + 1} / span ${band.lessons}` }"
        >
          {{ band.name }}
        </li>
      </ol>
    </div>
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
header p,
.lesson {
  color: var(--ink-soft);
}
.asks {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 10px;
  align-items: end;
  margin: 8px 0 10px;
}
.field {
  display: grid;
  gap: 1px;
  font-size: 14px;
  color: var(--ink-soft);
}
.two {
  grid-column: span 2;
}
.wide {
  grid-column: span 3;
}
.weeks {
  overflow-x: auto;
  padding: 2px 2px 4px;
}
ol {
  display: grid;
  grid-template-rows: auto auto;
  column-gap: 4px;
}
li {
  grid-row: 1;
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
.band {
  grid-row: 2;
  display: block;
  margin-top: 5px;
  padding: 2px 6px;
  border: 0;
  border-left: 3px solid var(--breath);
  background: #efe6f4;
  text-align: left;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
