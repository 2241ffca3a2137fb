<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Select from 'primevue/select'
import { nanoid } from 'nanoid'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import type { Fit } from '#core/fit'
import { compareSessions, withFields } from '#core/session'
import { sessionLimits } from '#model/limits'
import { formatDuration } from '#core/units'
import { whyNot } from '#web/shared/api/client.ts'
import { createSession, readSession } from '#web/shared/api/sessions.ts'
import { useFit } from '#web/shared/fit/use-fit.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { differenceWords } from '#words/differences'
import { markedName } from '#words/text'
import DurationField from '#web/shared/ui/DurationField.vue'
import { showCompare, showFits } from '../dialogs.ts'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

/** Versions of a session at another length, linked to it; a version says what it changed. */
const props = defineProps<{ session: Session }>()
const router = useRouter()
const own = useOwnStore()
const { store, timeline } = usePlan()
const wantedS = ref(props.session.lengthS > 1800 ? 1200 : 3600)
const problem = ref('')
const original = shallowRef<Session>()
const isGone = ref(false)

watch(
  () => props.session.versionOf?.sessionId,
  async (id) => {
    original.value = undefined
    isGone.value = false
    if (id === undefined) return
    const reply = await readSession(id)
    if (reply.kind === 'ok') original.value = reply.value
    isGone.value = reply.kind === 'problem'
  },
  { immediate: true },
)
const changes = computed(() =>
  original.value ? compareSessions(original.value, props.session).map((one) => differenceWords(one, own.catalog)) : [],
)

const ways = [
  { value: 'both', words: 'shorter holds, then fewer poses' },
  { value: 'holds', words: 'shorter holds alone' },
  { value: 'fewer', words: 'fewer poses alone' },
] as const
const way = ref<(typeof ways)[number]['value']>('both')
/** How much shorter the holds of a version get before poses are dropped. */
const leastShare = 0.8
const isShorter = computed(() => wantedS.value * 1000 < (timeline.value?.totalMs ?? 0))

const fits = { both: useFit('both'), holds: useFit('holds'), fewer: useFit('fewer') }
/** What the document comes to at its new length; nothing where the fits cannot be had. */
async function fitOf(session: Session): Promise<Fit | undefined> {
  // A longer version has nothing to drop: its spare time is used.
  const kind = isShorter.value ? way.value : 'holds'
  const answer = await fits[kind].once({ session, keepTargets: [], leastShare })
  return answer?.ok ? answer.value : undefined
}

/** A final rest that was set keeps its time, unless it may go by the length as one that was not. */
const isRestSet = computed(() => {
  const closing = props.session.blocks.at(-1)
  return closing?.kind === 'closing' && closing.finalRestS !== undefined
})
const restByLength = ref(false)
const withoutFinalRest = (block: Block): Block =>
  block.kind === 'closing' ? withFields(block, { finalRestS: undefined }) : block

async function make(): Promise<void> {
  const name = markedName(props.session.name, `, ${String(Math.round(wantedS.value / 60))} minutes`)
  // Blocks keep their ids, so that the two can be held against each other.
  await store.keepInHistory('version')
  const former = structuredClone(props.session)
  const copy: Session = {
    ...former,
    blocks: restByLength.value ? former.blocks.map(withoutFinalRest) : former.blocks,
    id: nanoid(),
    name,
    lengthS: wantedS.value,
    versionOf: { sessionId: props.session.id },
  }
  const fit = await fitOf(copy)
  const version = fit?.session ?? copy
  const reply = await createSession(version)
  if (reply.kind === 'ok') {
    await router.push({ name: 'plan', params: { id: version.id } })
    // Where it still is too long, what stands in the way is shown at once.
    if ((fit?.overMs ?? 0) > 0) showFits()
  } else
    problem.value = whyNot(reply, 'Zovrin’s server does not answer, so no version was made. Start it and try again.')
}
</script>

<template>
  <Part id="versions" tabindex="-1" title="Versions" note="of the same session at another length">
    <template v-if="original">
      <p data-testid="version-of">
        A version of <RouterLink :to="{ name: 'plan', params: { id: original.id } }">{{ original.name }}</RouterLink>,
        {{ formatDuration(original.lengthS) }}.
      </p>
      <Button size="small" text severity="secondary" label="See both side by side" @click="showCompare(original.id)" />
      <ul v-if="changes.length > 0" class="changes">
        <li v-for="text in changes" :key="text">{{ text }}</li>
      </ul>
    </template>
    <p v-else-if="isGone" class="note">The session it was made from has been deleted.</p>
    <div class="make">
      <DurationField
        label="Length of a new version"
        :seconds="wantedS"
        :limits="sessionLimits"
        @change="wantedS = $event"
      />
      <Button size="small" severity="secondary" outlined label="Make it" @click="make" />
    </div>
    <Select
      v-if="isShorter"
      class="way"
      aria-label="How the version gets shorter"
      fluid
      :model-value="way"
      :options="[...ways]"
      option-label="words"
      option-value="value"
      @update:model-value="way = $event"
    />
    <label v-if="isRestSet" class="rest">
      <Checkbox v-model="restByLength" binary />
      The final rest goes by the length, a tenth of it
    </label>
    <p class="note">
      {{
        isShorter
          ? 'It says what it changed; all of it can be undone there or fitted anew.'
          : 'The spare time goes to the final rest, the rests and the holds; the shelf has more to add.'
      }}
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </Part>
</template>

<style scoped>
.rest {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-top: 8px;
  font-size: 15px;
}
.changes {
  max-height: 180px;
  margin: 4px 0 8px;
  overflow-y: auto;
}
.changes li {
  padding: 1px 0;
}
.way {
  margin-top: 8px;
}
.make {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: end;
}
.note {
  margin-top: 4px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
.problem {
  color: var(--avoid);
}
</style>
