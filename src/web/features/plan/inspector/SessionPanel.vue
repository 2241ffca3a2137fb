<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Textarea from 'primevue/textarea'
import { storeToRefs } from 'pinia'
import { computed, defineAsyncComponent } from 'vue'
import type { Session } from '#model/session'
import { sessionLimits } from '#model/limits'
import DurationField from '#web/shared/ui/DurationField.vue'
import { levelChoices, practiceChoices } from '#words/practices'
import { extentOf } from '#core/session'
import type { FieldsOf } from '#core/session'
import { extentChoices } from '#words/extents'
import { settingChoices, stageChoices } from '#words/stages'
import { openDialog, showCompare } from '../dialogs.ts'
import { usePlan } from '../use-plan.ts'
import AnswersPart from './AnswersPart.vue'
import ClassPart from './ClassPart.vue'
import Part from './Part.vue'
import VersionPart from './VersionPart.vue'
import WordingPart from './WordingPart.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import NextTimeField from '#web/shared/session/NextTimeField.vue'
import SettingsRefused from '#web/shared/settings/SettingsRefused.vue'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import NameField from '#web/shared/ui/NameField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

/** For houses with several teachers. */
const SessionRemarks = defineAsyncComponent(() => import('../remarks/SessionRemarks.vue'))

const props = defineProps<{ session: Session }>()
const who = useWhoStore()
const hasBreath = computed(() =>
  props.session.blocks.some((block) => block.kind === 'breath' || (block.kind === 'hold' && block.breathOver)),
)
const { store } = usePlan()
const { places } = storeToRefs(usePlacesStore())
const usualPlace = computed(() => places.value.find(({ usual }) => usual) ?? places.value[0])
/** A place that is gone is said to be: the session goes by the usual one then. */
const placeChoices = computed(() => [
  { value: '', words: usualPlace.value ? `the usual place, ${usualPlace.value.name}` : 'the usual place' },
  ...places.value.map(({ id, name }) => ({ value: id, words: name })),
  ...(props.session.placeId !== undefined && !places.value.some(({ id }) => id === props.session.placeId)
    ? [{ value: props.session.placeId, words: 'a place that is gone' }]
    : []),
])
const settings = useSettingsStore()

const set = (details: FieldsOf<Omit<Session, 'schema' | 'id' | 'blocks'>>, words: string) => {
  store.edit({ type: 'details', details: details as Partial<Session> }, words)
}
const print = () => {
  window.print()
}
</script>

<template>
  <p class="eyebrow">The session</p>
  <h1>{{ session.name }}</h1>
  <Part title="What it is">
    <NameField label="Name" :name="session.name" @change="set({ name: $event }, 'rename the session')" />
    <DurationField
      label="Length to fill"
      large
      :seconds="session.lengthS"
      :limits="sessionLimits"
      @change="set({ lengthS: $event }, 'change the length')"
    />
    <SelectField
      label="Practice"
      :value="session.practice"
      :options="practiceChoices"
      @change="set({ practice: $event }, 'change the practice')"
    />
    <SelectField
      label="Level of the class"
      :value="session.level"
      :options="levelChoices"
      @change="set({ level: $event }, 'change the level')"
    />
    <SelectField
      label="Held"
      :value="session.setting ?? 'room'"
      :options="settingChoices"
      @change="set({ setting: $event }, 'change where it is held')"
    />
    <SelectField
      v-if="places.length > 1 || session.placeId !== undefined"
      label="Place"
      :value="session.placeId ?? ''"
      :options="placeChoices"
      @change="set({ placeId: $event === '' ? undefined : $event }, 'change the place')"
    />
    <SelectField
      label="Set up with"
      :value="extentOf(session)"
      :options="extentChoices"
      @change="set({ extent: $event }, 'change what it is set up with')"
    />
    <template v-if="hasBreath">
      <SelectField
        label="Stage of breath work"
        :value="session.stage ?? 2"
        :options="stageChoices(session.stage, settings.sixthStage)"
        @change="set({ stage: $event }, 'change the stage of breath work')"
      />
      <label v-if="(session.stage ?? 2) >= 5" class="tick" for="sixth-stage">
        <Checkbox v-model="settings.sixthStage" input-id="sixth-stage" binary />Offer stage 6: led with at most four
        people, each marked for it
      </label>
      <SettingsRefused />
    </template>
    <AnswersPart :session="session" />
    <WordingPart :session="session" />
    <label for="session-purpose">Purpose</label>
    <Textarea
      id="session-purpose"
      fluid
      rows="3"
      maxlength="20000"
      :model-value="session.purpose ?? ''"
      @change="set({ purpose: textOf($event) }, 'change the purpose')"
    />
    <NextTimeField :key="session.id" :session-id="session.id" />
  </Part>
  <ClassPart :session="session" />
  <SessionRemarks v-if="who.kind !== 'alone'" />
  <VersionPart :key="session.id" :session="session" />
  <div class="acts">
    <Button size="small" severity="secondary" outlined label="Balance" @click="openDialog = { is: 'balance' }" />
    <Button size="small" severity="secondary" outlined label="Compare with another" @click="showCompare('')" />
    <Button size="small" severity="secondary" outlined icon="pi pi-print" label="Print the sheet" @click="print" />
  </div>
</template>

<style scoped>
.select-field {
  margin-top: 8px;
}
.eyebrow {
  font-size: 14px;
  color: var(--ink-soft);
}
label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
  margin-top: 8px;
}

.tick {
  display: flex;
  gap: 8px;
  align-items: center;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 16px;
}
h1 {
  overflow-wrap: anywhere;
}
</style>
