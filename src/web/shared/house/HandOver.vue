<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, ref, useId } from 'vue'
import type { PlannedClass } from '#model/planned-class'
import { handedForms } from '#words/forms'
import { handedWords } from '#words/teachers'
import { capital } from '#words/text'
import { useColleagues } from '#web/shared/teachers/use-colleagues.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import { useWho } from '#web/shared/people/use-who.ts'
import { ports } from '#web/shared/ports.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import NameTyped from '#web/shared/people/NameTyped.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { usePlannedClassesStore } from './planned-classes-store.ts'

/** Somebody else leads this class for its day: to whom it goes, and the way back. */
const props = defineProps<{ planned: PlannedClass }>()
const who = useWhoStore()
const classes = usePlannedClassesStore()
const wordsId = useId()

const session = useSessionStore()
/** What each takes goes along as it stands here: a colleague could not work it out, who is not told why. */
const { through } = useWho(() =>
  session.document && session.timeline ? { document: session.document, timeline: session.timeline } : undefined,
)
const { colleagues, choices, to, mend: notAsked, ask, close } = useColleagues()
const [words, mend] = [ref(''), ref('')]
const isAsked = ref(false)
const told = computed(() => props.planned.handedTo?.words ?? props.planned.handedFrom?.words)

async function acted(act: Promise<string>): Promise<void> {
  isAsked.value = true
  mend.value = await act
  isAsked.value = false
  if (mend.value !== '') return
  close()
  words.value = ''
}
function handOver(): void {
  const said = words.value.trim()
  const forms = handedForms(through.value, new Date(ports().epochMs()).toISOString())
  void acted(classes.handOver(props.planned.id, { to: to.value, forms, ...(said === '' ? {} : { words: said }) }))
}
</script>

<template>
  <section v-if="planned.handedTo || planned.handedFrom" class="handed" aria-label="Handed over">
    <p>
      <b>{{ capital(handedWords(planned)) }}.</b>
      <RouterLink
        v-if="planned.handedTo?.record"
        :to="{ name: 'led-class', params: { id: planned.handedTo.record.id } }"
      >
        The record
      </RouterLink>
    </p>
    <p v-if="told" class="told">“{{ told }}”</p>
    <p v-if="planned.handedTo && !planned.handedTo.record" class="soft">
      They have plan, sheet, set-ups, forms and words as they were then. The record comes back here.
    </p>
    <Button
      v-if="planned.handedTo && !planned.handedTo.record"
      size="small"
      text
      severity="secondary"
      icon="pi pi-undo"
      label="Take it back"
      :disabled="isAsked"
      @click="acted(classes.takeBack(planned.id))"
    />
  </section>
  <template v-else-if="who.kind !== 'alone' && !planned.ledClassId">
    <form v-if="colleagues" class="handed" @submit.prevent="handOver">
      <p v-if="colleagues.length === 0">There is nobody else to hand it to yet.</p>
      <template v-else>
        <SelectField label="Who leads it" :value="to" :options="choices" @change="to = $event" />
        <div>
          <label :for="wordsId">What they should know</label>
          <Textarea :id="wordsId" v-model="words" fluid rows="2" auto-resize maxlength="2000" />
          <NameTyped :text="words" @change="words = $event" />
        </div>
        <p class="soft">
          They get the plan, the sheet, the set-ups, and what each who comes takes, chosen or suggested; not why. The
          record comes back to both of you.
        </p>
        <Button type="submit" size="small" label="Hand it over" :disabled="isAsked" />
      </template>
      <Button size="small" text severity="secondary" label="Not now" @click="close" />
    </form>
    <Button
      v-else
      size="small"
      text
      severity="secondary"
      icon="pi pi-arrow-right-arrow-left"
      label="Hand it over to a colleague…"
      @click="ask"
    />
  </template>
  <p v-if="mend || notAsked" role="alert" class="mend">{{ mend || notAsked }}</p>
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
.told {
  white-space: pre-line;
  overflow-wrap: anywhere;
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
