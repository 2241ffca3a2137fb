<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import { breakLimits } from '#model/limits'
import type { BreakPart } from '#model/long-day'
import { formatDuration, formatMs, keysOf } from '#core/units'
import { eatenWords, hourWords } from '#words/long-days'
import DurationField from '#web/shared/ui/DurationField.vue'
import NameField from '#web/shared/ui/NameField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import { useLongDays, withHour } from './use-long-days.ts'

/** The part that is looked at: when it begins, and what a break is. */
const { laid, looked, sessions, chosenPart, changePart, removePart, movePart } = useLongDays()
const here = computed(() => laid.value.find(({ part }) => part.id === chosenPart.value))
const at = computed(() => laid.value.findIndex(({ part }) => part.id === chosenPart.value))
const session = computed(() => {
  const part = here.value?.part
  return part?.kind === 'session' ? sessions.value.get(part.sessionId) : undefined
})
const totalMs = computed(() => (session.value ? looked.value.get(session.value.id)?.timeline.totalMs : undefined))
const eaten = keysOf(eatenWords).map((value) => ({ value, words: eatenWords[value] }))
function setEaten(part: BreakPart, what: keyof typeof eatenWords): void {
  const { eaten: _, ...others } = part
  void changePart(what === 'nothing' ? others : { ...others, eaten: what })
}
function setHour(event: Event): void {
  const hour = textOf(event).slice(0, 5)
  if (here.value) void changePart(withHour(here.value.part, hour === '' ? undefined : hour))
}
</script>

<template>
  <section v-if="here" class="part-pane" aria-labelledby="part-title">
    <p class="soft">{{ hourWords(here.startS) }} to {{ hourWords(here.endS) }}</p>
    <h2 id="part-title">
      {{ here.part.kind === 'break' ? here.part.name : (session?.name ?? 'A session that is gone') }}
    </h2>
    <template v-if="here.part.kind === 'break'">
      <NameField
        label="Name"
        :name="here.part.name"
        @change="changePart({ ...here.part, name: $event } as BreakPart)"
      />
      <DurationField
        label="Lasts"
        :seconds="here.part.s"
        :limits="breakLimits"
        @change="changePart({ ...here.part, s: $event } as BreakPart)"
      />
      <SelectField
        label="Eaten in it"
        :value="here.part.eaten ?? 'nothing'"
        :options="eaten"
        @change="setEaten(here.part, $event)"
      />
    </template>
    <template v-else-if="session">
      <p class="soft">
        {{ totalMs === undefined ? '' : `${formatMs(totalMs)} of ` }}{{ formatDuration(session.lengthS) }}
      </p>
      <RouterLink :to="{ name: 'plan', params: { id: session.id } }">Open in Plan</RouterLink>
    </template>
    <div>
      <label for="part-hour">Begins at</label>
      <InputText
        id="part-hour"
        type="time"
        fluid
        aria-describedby="part-hour-about"
        :model-value="here.part.startsAt ?? ''"
        @change="setHour"
      />
      <p id="part-hour-about" class="soft">
        {{
          here.part.startsAt === undefined
            ? 'When what comes before it is over.'
            : 'Empty: when what is before it is over.'
        }}
      </p>
    </div>
    <div class="acts">
      <Button
        size="small"
        severity="secondary"
        outlined
        icon="pi pi-arrow-up"
        label="Earlier"
        :disabled="at === 0"
        @click="movePart(here.part.id, -1)"
      />
      <Button
        size="small"
        severity="secondary"
        outlined
        icon="pi pi-arrow-down"
        label="Later"
        :disabled="at === laid.length - 1"
        @click="movePart(here.part.id, 1)"
      />
      <Button
        size="small"
        text
        severity="secondary"
        icon="pi pi-trash"
        label="Take it out"
        @click="removePart(here.part.id)"
      />
    </div>
  </section>
  <p v-else-if="laid.length > 0" class="soft">Choose a part of the day to change it.</p>
</template>

<style scoped>
.part-pane {
  display: grid;
  gap: 8px;
}
h2,
p {
  margin: 0;
  overflow-wrap: anywhere;
}
.soft,
label {
  color: var(--ink-soft);
  font-size: 14px;
}
label {
  display: block;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
