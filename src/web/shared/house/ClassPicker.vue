<script setup lang="ts">
import { nanoid } from 'nanoid'
import { computed } from 'vue'
import type { Session } from '#model/session'
import type { Timeline } from '#core/timeline'
import { classWhen, dayOf } from '#words/class-days'
import { handedWords } from '#words/teachers'
import { counted, joined } from '#words/text'
import { ports } from '#web/shared/ports.ts'
import NumberField from '#web/shared/ui/NumberField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { useClass } from './use-class.ts'

/** For which planned class the session is looked at, and for how many people; a new one is planned for today. */
const props = defineProps<{ session: Session; timeline: Timeline; withoutCount?: boolean }>()
const { planned, people, place, classes } = useClass(() => ({ document: props.session, timeline: props.timeline }))

const [none, another] = ['', '+'] as const
const choices = computed(() => {
  const toCome = classes.toComeOf(props.session.id)
  // One that is past stays as long as it is looked at.
  const all = planned.value && !toCome.includes(planned.value) ? [planned.value, ...toCome] : toCome
  return [
    ...all.map((one) => ({ value: one.id, words: joined([classWhen(one), handedWords(one)], ', ') })),
    { value: none, words: 'no planned class' },
    { value: another, words: 'Plan a class…' },
  ]
})
async function pick(id: string): Promise<void> {
  if (id !== another) {
    classes.openWith(props.session.id, id)
    return
  }
  const placeId = place.value?.id
  if (placeId === undefined) return
  const made = {
    ...{ id: nanoid(), sessionId: props.session.id, placeId, day: dayOf(ports().epochMs()) },
    ...{ people: [], guests: people.value ?? 0, forms: [], substitutes: [], setAside: [] },
  }
  if (await classes.put(made)) classes.openWith(props.session.id, made.id)
}
const named = computed(() => (planned.value ? planned.value.people.filter(({ away }) => !away).length : 0))
</script>

<template>
  <div class="picker">
    <SelectField v-if="place" label="For the class of" :value="planned?.id ?? none" :options="choices" @change="pick" />
    <NumberField
      v-if="!withoutCount"
      label="For how many people"
      :value="people"
      :least="named"
      :most="500"
      can-be-empty
      small
      @change="people = $event"
      @empty="people = undefined"
    />
    <p v-if="named > 0 && !withoutCount" class="note">{{ counted(named, 'person', 'people') }} of them by name.</p>
    <p v-if="classes.problem" class="problem" role="alert">{{ classes.problem }}</p>
  </div>
</template>

<style scoped>
.picker {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  margin: 8px 0;
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.problem {
  color: var(--avoid);
}
@media print {
  .picker {
    display: none;
  }
}
</style>
