<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, ref, useId } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import { byFile, useHandOver } from './use-hand-over.ts'
import HandedOver from './HandedOver.vue'
import NameTyped from '#web/shared/people/NameTyped.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

/** Somebody else leads this class for its day: to whom it goes, a colleague or by a file, and the way back. */
const props = defineProps<{ planned: PlannedClass }>()
const [wordsId, nameId, fromId] = [useId(), useId(), useId()]
const hand = useHandOver(() => props.planned)
const { state, choices, to, from, mend, isAsked, isAlone } = hand
const [words, name] = [ref(''), ref('')]
const isByFile = computed(() => to.value === byFile)

async function handOver(): Promise<void> {
  const said = words.value.trim()
  if (await hand.over({ name: name.value.trim(), words: said === '' ? undefined : said })) words.value = ''
}
</script>

<template>
  <HandedOver
    v-if="planned.handedTo || planned.handedFrom"
    :planned="planned"
    :disabled="isAsked"
    @again="hand.again({ name: planned.handedTo?.name ?? '', words: planned.handedTo?.words })"
    @take-back="hand.takeBack"
    @record="hand.takeRecord"
  />
  <template v-else-if="!planned.ledClassId">
    <form v-if="state === 'open'" class="handed" @submit.prevent="handOver">
      <SelectField
        v-if="choices.length > 1"
        label="Who leads it"
        :value="to"
        :options="choices"
        @change="to = $event"
      />
      <template v-if="isByFile">
        <div>
          <label :for="nameId">Who leads it, by name</label>
          <InputText :id="nameId" v-model="name" fluid required maxlength="120" />
        </div>
        <div v-if="isAlone">
          <label :for="fromId">Your name</label>
          <InputText :id="fromId" v-model="from" fluid required maxlength="120" />
        </div>
      </template>
      <div>
        <label :for="wordsId">What they should know</label>
        <Textarea :id="wordsId" v-model="words" fluid rows="2" auto-resize maxlength="2000" />
        <NameTyped :text="words" @change="words = $event" />
      </div>
      <p v-if="isByFile" class="soft">
        The file has the plan, the sheet, the place, the set-ups, and what each who comes takes; not why, and nobody’s
        name: they are counted. They bring it in under Sessions, and send you the record as a file.
      </p>
      <p v-else class="soft">
        They get the plan, the sheet, the set-ups, and what each who comes takes, chosen or suggested; not why. The
        record comes back to both of you.
      </p>
      <Button type="submit" size="small" :label="isByFile ? 'Save the file' : 'Hand it over'" :disabled="isAsked" />
      <Button size="small" text severity="secondary" label="Not now" @click="hand.close" />
    </form>
    <Button
      v-else
      size="small"
      text
      severity="secondary"
      icon="pi pi-arrow-right-arrow-left"
      label="Hand it over to a colleague…"
      @click="hand.ask"
    />
  </template>
  <p v-if="mend" role="alert" class="mend">{{ mend }}</p>
</template>

<style scoped>
.handed {
  display: grid;
  gap: 8px;
  justify-items: start;
  width: 100%;
}
.handed > * {
  max-width: 100%;
}
.handed > :not(button) {
  width: 100%;
}
.soft,
label {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.mend {
  color: var(--avoid);
}
</style>
