<script setup lang="ts">
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { storeToRefs } from 'pinia'
import { computed, ref } from 'vue'
import type { Script } from '#model/script'
import { copyOfScript, withOneMore } from '#core/session'
import { paceLimits } from '#core/units'
import type { ResolvedClosing, ResolvedHold, ResolvedRest, ResolvedTalk } from '#core/session'
import { shippedScripts } from '#library/scripts'
import AddChoice from '#web/shared/ui/AddChoice.vue'
import NumberField from '#web/shared/ui/NumberField.vue'
import AskName from '#web/shared/ui/AskName.vue'
import RemovedNote from '#web/shared/own/RemovedNote.vue'
import { refusedWords, useOwnStore } from '#web/shared/own/own-store.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { scriptLackWords, scriptSaidWords } from '#words/scripts'
import Part from '../inspector/Part.vue'
import { usePlan } from '../use-plan.ts'
import ScriptParts from './ScriptParts.vue'

/** What is said sentence by sentence over a talk, a rest, the final rest, or each side of a hold. */
const props = defineProps<{ resolved: ResolvedTalk | ResolvedHold | ResolvedRest | ResolvedClosing }>()
const { timeline, setFields, nameOf, tell } = usePlan()
const own = useOwnStore()

const { speakingPace: pace } = storeToRefs(useSettingsStore())

const block = computed(() => props.resolved.block)
const script = computed(() => block.value.script)
const isSided = computed(() => props.resolved.kind === 'hold' && props.resolved.pose.sides !== undefined)
const said = computed(() => timeline.value?.scripts.find(({ blockId }) => blockId === block.value.id))
const words = computed(() =>
  said.value ? scriptSaidWords(said.value.script, said.value.spoken, said.value.endMs - said.value.startMs) : '',
)
const lack = computed(() => (said.value ? scriptLackWords(said.value.spoken) : ''))

function set(next: Script | undefined, what = 'change the script of'): void {
  setFields(props.resolved.block, { script: next }, `${what} ${nameOf(block.value.id)}`)
}

const mine = computed(() => own.scripts)
const written = 'written'
const choices = computed(() => [
  ...mine.value.map(({ id, name }) => ({ value: id, words: `${name} · yours` })),
  ...shippedScripts.map(({ id, name }) => ({ value: id, words: name })),
  { value: written, words: 'One that I write' },
])
function begin(id: string): void {
  const from = [...mine.value, ...shippedScripts].find((one) => one.id === id)
  set(from ? copyOfScript(from) : { sentences: [{ text: 'The first sentence' }] }, 'give a script to')
}

const isAsking = ref(false)
const problem = ref('')
async function keep(name: string): Promise<void> {
  if (!script.value) return
  const { from: _, ...kept } = script.value
  const outcome = await own.put('script', { id: nanoid(), name, ...kept })
  problem.value = refusedWords(outcome)
  if (outcome.kind !== 'done') return
  isAsking.value = false
  tell(`${name} kept among your scripts`)
}
async function forget(id: string): Promise<void> {
  problem.value = refusedWords(await own.remove('script', id))
}
</script>

<template>
  <Part title="Script" :note="script && isSided ? 'written for the left side, mirrored on the right' : ''">
    <template v-if="script">
      <p class="said" data-testid="script-said">{{ words }}</p>
      <p v-if="lack" class="lack" data-testid="script-lack">{{ lack }}</p>
      <NumberField
        class="pace"
        label="Words a minute"
        :value="pace"
        :least="paceLimits.least"
        :most="paceLimits.most"
        @change="pace = $event"
      />
      <ScriptParts :script="script" :sided="isSided" @change="set" />
      <div class="acts">
        <Button
          size="small"
          text
          severity="secondary"
          label="Add a sentence"
          @click="set(withOneMore(script, 'Another sentence'))"
        />
        <Button
          v-if="!isAsking"
          size="small"
          text
          severity="secondary"
          label="Keep it…"
          title="Among your scripts, for other sessions"
          @click="isAsking = true"
        />
        <Button
          size="small"
          text
          severity="secondary"
          label="Take it away"
          @click="set(undefined, 'take away the script of')"
        />
      </div>
      <AskName
        v-if="isAsking"
        label="Keep this script as"
        verb="Keep"
        :taken="mine.map(({ name }) => name)"
        taken-words="There is a script of that name: give it another."
        :problem="problem"
        @named="keep"
        @leave="isAsking = false"
      />
    </template>
    <template v-else>
      <AddChoice
        label="Said sentence by sentence, with its pauses"
        placeholder="Choose a script"
        :options="choices"
        @add="begin"
      />
      <ul v-if="mine.length > 0" aria-label="Your scripts" class="mine">
        <li v-for="{ id, name } in mine" :key="id">
          <span>{{ name }}</span>
          <Button
            text
            size="small"
            severity="secondary"
            icon="pi pi-times"
            :aria-label="`Delete ${name}`"
            @click="forget(id)"
          />
        </li>
      </ul>
      <RemovedNote v-if="own.removed?.kind === 'script'" />
      <p v-if="problem" class="lack" role="alert">{{ problem }}</p>
    </template>
  </Part>
</template>

<style scoped>
.said {
  color: var(--ink-soft);
}
.lack {
  margin-top: 4px;
  padding: 4px 9px;
  border-left: 4px solid var(--ink);
  font-size: 15px;
}
.pace {
  max-width: 124px;
  margin: 4px 0 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin-top: 6px;
}
.mine {
  margin-top: 6px;
}
.mine li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  border-top: 1px solid var(--line-soft);
}
</style>
