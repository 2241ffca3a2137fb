<script setup lang="ts">
import { keysOf } from '#core/units'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import type { Answers, Question } from '#model/answers'
import type { Session } from '#model/session'
import { answersIn } from '#core/session'
import { answerWords } from '#words/answers'
import RemovedNote from '#web/shared/own/RemovedNote.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import type { OwnOutcome } from '#web/shared/own/own-store.ts'
import { usePlan } from '../use-plan.ts'
import SelectField from '#web/shared/ui/SelectField.vue'

/** The school of the session, its answers, what this session answers otherwise, and schools of one's own. */
const props = defineProps<{ session: Session }>()
const { store } = usePlan()
const own = useOwnStore()
const name = ref('')
const naming = ref(false)
const refused = ref('')

const schools = computed(() => [...own.shelf.schools.values()].map(({ id, name: words }) => ({ value: id, words })))
const school = computed(() => own.catalog.schools.get(props.session.schoolId))
const isOwn = computed(() => own.find('school', props.session.schoolId) !== undefined)
const differing = computed(() => Object.keys(props.session.answers ?? {}).length)
const merged = computed(() => answersIn(props.session, own.catalog) ?? ({ ...props.session.answers } as Answers))
const rows = computed(() =>
  keysOf(answerWords).map((question) => ({
    question,
    asks: answerWords[question].asks,
    value: String(merged.value[question]),
    isSet: props.session.answers?.[question] !== undefined,
    options: Object.entries(answerWords[question].answers).map(([value, words]) => ({ value, words })),
  })),
)

const set = (details: Partial<Pick<Session, 'schoolId' | 'answers'>>, words: string) => {
  store.edit({ type: 'details', details }, words)
}
function answer(question: Question, value: string): void {
  const { [question]: _, ...rest } = props.session.answers ?? {}
  const typed = /^\d+$/.test(value) ? Number(value) : value
  const asSchool = String(school.value?.answers[question]) === value
  set(
    { answers: asSchool ? rest : { ...rest, [question]: typed } },
    `answer ${answerWords[question].asks.toLowerCase()}`,
  )
}

function tell(outcome: OwnOutcome): boolean {
  refused.value =
    outcome.kind === 'refused'
      ? outcome.problem.detail
      : outcome.kind === 'away'
        ? 'Zovrin’s server does not answer: nothing was changed. Start it and try again.'
        : ''
  return outcome.kind === 'done'
}
/** The school must be there before a session names it. */
async function keepAsNew(): Promise<void> {
  if (name.value.trim() === '') {
    refused.value = 'Give the school a name.'
    return
  }
  const id = nanoid()
  if (!tell(await own.put('school', { id, name: name.value.trim(), answers: merged.value }))) return
  set({ schoolId: id, answers: {} }, 'take a school of your own')
  naming.value = false
  name.value = ''
}
async function keepInSchool(): Promise<void> {
  const thing = own.find('school', props.session.schoolId)
  if (thing?.kind !== 'school') return
  if (tell(await own.put('school', { ...thing.document, answers: merged.value })))
    set({ answers: {} }, 'put the answers into the school')
}
const remove = async (id: string) => tell(await own.remove('school', id))
const ownSchools = computed(() =>
  own.things.flatMap((thing) => (thing.kind === 'school' && !thing.hidden ? [thing.document] : [])),
)
</script>

<template>
  <RemovedNote v-if="own.removed?.kind === 'school'" />
  <SelectField
    label="School"
    :value="session.schoolId"
    :options="schools"
    @change="set({ schoolId: $event }, 'change the school')"
  />
  <p v-if="school?.about" class="note">{{ school.about }}</p>
  <details>
    <summary>
      Answers<span v-if="differing > 0"> · {{ differing }} set for this session</span>
    </summary>
    <div v-for="row in rows" :key="row.question" class="answer">
      <span :id="`answer-${row.question}`">{{ row.asks }}<small v-if="row.isSet"> set here</small></span>
      <Select
        :aria-labelledby="`answer-${row.question}`"
        fluid
        size="small"
        :model-value="row.value"
        :options="row.options"
        option-label="words"
        option-value="value"
        @update:model-value="answer(row.question, $event)"
      />
    </div>
    <div class="acts">
      <Button
        v-if="isOwn && differing > 0"
        size="small"
        severity="secondary"
        outlined
        :label="`Put into ${school?.name}`"
        @click="keepInSchool"
      />
      <Button
        v-if="!naming"
        size="small"
        severity="secondary"
        outlined
        label="Keep as a school of your own"
        @click="naming = true"
      />
    </div>
    <form v-if="naming" @submit.prevent="keepAsNew">
      <label for="school-name">Name of the school</label>
      <InputText id="school-name" v-model="name" fluid maxlength="120" />
      <div class="acts">
        <Button type="submit" size="small" label="Keep it" />
        <Button size="small" text severity="secondary" label="Cancel" @click="naming = false" />
      </div>
    </form>
    <ul v-if="ownSchools.length > 0">
      <li v-for="one in ownSchools" :key="one.id">
        {{ one.name }}
        <Button
          size="small"
          text
          severity="secondary"
          label="Delete"
          :aria-label="`Delete ${one.name}`"
          @click="remove(one.id)"
        />
      </li>
    </ul>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
  </details>
</template>

<style scoped>
.select-field {
  margin-top: 8px;
}
label,
.answer span {
  display: block;
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
.note {
  font-size: 14px;
  color: var(--ink-soft);
}
details {
  margin-top: 8px;
}
summary {
  cursor: pointer;
  font-weight: 650;
}
small {
  font-weight: 650;
  color: var(--ink);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
}
.refused {
  color: var(--avoid);
}
</style>
