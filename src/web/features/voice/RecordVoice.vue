<script setup lang="ts">
import Button from 'primevue/button'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, onScopeDispose, ref, useTemplateRef } from 'vue'
import { voiceLimits } from '#model/limits'
import type { Session } from '#model/session'
import type { Voice } from '#model/voice'
import type { Timeline } from '#core/timeline'
import { formatMs } from '#core/units'
import { recordedOf } from '#words/own-voice'
import { counted } from '#words/text'
import { whyNot } from '#web/shared/api/client.ts'
import { exportSession } from '#web/shared/api/exchange.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { ports } from '#web/shared/ports.ts'
import { askBeforeLeaving } from '#web/shared/saving/ask-before-leaving.ts'
import { isCharacterKey, useLetterKeys } from '#web/shared/settings/letter-keys.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import { isLongSentence, sentencesOf, unsaidOf } from '#web/shared/voice/sentences.ts'
import { useVoicesStore } from '#web/shared/voice/voices-store.ts'
import SentenceCard from './SentenceCard.vue'
import { useRecorder } from './use-recorder.ts'

/** The sentences of a session in the teacher's own voice, recorded one after another. */
const props = defineProps<{ session: Session; timeline: Timeline }>()
const own = useOwnStore()
const voices = useVoicesStore()
const letterKeys = useLetterKeys()
const sessionId = props.session.id
void voices.open(sessionId)

const sentences = computed(() => sentencesOf(props.timeline, voices.voices, own.catalog.wordsAMinute))
const unsaid = computed(() => unsaidOf(sentences.value, voices.voices))
const told = computed(() =>
  recordedOf(sentences.value.filter(({ voice }) => voice).length, sentences.value.length, {
    ms: voices.voices.reduce((sum, { lengthMs }) => sum + lengthMs, 0),
    bytes: voices.voices.reduce((sum, { bytes }) => sum + bytes, 0),
    mostBytes: voiceLimits.ofSessionBytes,
  }),
)
/** Chosen by its words, since a list that was recorded into is another one. */
const chosenText = ref<string>()
const chosen = computed(
  () =>
    sentences.value.find(({ text }) => text === chosenText.value) ??
    sentences.value.find(({ voice }) => !voice) ??
    sentences.value[0],
)
const place = computed(() => sentences.value.findIndex(({ text }) => text === chosen.value?.text))

const recorder = useRecorder((said) => voices.keep({ sessionId, ...said }))
const isRecording = computed(() => recorder.state.value === 'recording')
const list = useTemplateRef<HTMLElement>('list')
function choose(at: number): void {
  const sentence = sentences.value[at]
  if (!sentence || recorder.state.value !== 'idle') return
  chosenText.value = sentence.text
  void nextTick(() => {
    list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })
  })
}
/** What is not recorded yet and comes after this one; else what comes first. */
function goOn(): void {
  const isLeft = (at: number): boolean => sentences.value[at]?.voice === undefined
  const all = sentences.value.map((_, at) => at)
  const next = all.find((at) => at > place.value && isLeft(at)) ?? all.find((at) => at !== place.value && isLeft(at))
  if (next !== undefined) choose(next)
}
async function recordOrStop(): Promise<void> {
  hush()
  if (!isRecording.value) {
    chosenText.value = chosen.value?.text
    if (chosen.value) await recorder.record(chosen.value.text)
    return
  }
  const isKept = await recorder.stop()
  if (isKept && voices.mend === '') goOn()
}

async function hear(voice: Voice): Promise<void> {
  if (isRecording.value) return
  const audio = ports().audio()
  await Promise.all([audio.resume(), voices.have([voice])])
  hush()
  isHeard = true
  audio.schedule({ kind: 'voice', voiceId: voice.id, lengthMs: voice.lengthMs }, audio.now() + 0.05)
}
/** The device is not woken where nothing was heard. */
let isHeard = false
function hush(): void {
  if (isHeard) ports().audio().cancel()
}
onScopeDispose(hush)

const said = ref('')
async function takeOthers(): Promise<void> {
  const lacking = sentences.value.filter(({ voice }) => !voice).map(({ text }) => text)
  const count = await voices.take(lacking)
  said.value =
    count > 0 ? `${counted(count, 'recording')} taken from other sessions.` : 'No other session has any of them.'
}
async function saveWithVoice(): Promise<void> {
  const reply = await exportSession(sessionId, { voice: true })
  said.value = reply.kind === 'ok' ? '' : `It was not saved. ${whyNot(reply)}`
  if (reply.kind === 'ok')
    download(JSON.stringify(reply.value), fileName(props.session.name, 'zovrin.json'), 'application/json')
}

useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const isElsewhere = event.target instanceof HTMLElement && event.target.closest('input, textarea, [role=dialog]')
  if (isElsewhere || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (step !== undefined) {
    event.preventDefault()
    choose(place.value + step)
  }
  if (!letterKeys.value || !isCharacterKey(event)) return
  if (event.key === 'r') void recordOrStop()
  if (event.key === 'l' && chosen.value?.voice) void hear(chosen.value.voice)
})
// A recording the server has not taken is lost with the window.
askBeforeLeaving(() => voices.isWaiting || recorder.state.value !== 'idle')
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Own voice</h1>
        <RouterLink :to="{ name: 'plan', params: { id: session.id } }">Back to the plan</RouterLink>
      </header>
      <p>
        What {{ session.name }} says, in your voice: heard in Lead where you turn it on before the class, and in its
        sound file.
      </p>
      <p v-if="sentences.length > 0" class="told">{{ told }}</p>
      <p v-if="sentences.length === 0">
        The session says nothing yet: give it cues, a script, or a talk with its words.
      </p>
      <template v-else>
        <div class="two">
          <ol ref="list" class="sentences" aria-label="Sentences">
            <li v-for="(sentence, at) in sentences" :key="sentence.text">
              <button
                type="button"
                :aria-current="sentence.text === chosen?.text ? 'true' : undefined"
                :disabled="recorder.state.value !== 'idle'"
                @click="choose(at)"
              >
                <span class="at">{{ formatMs(sentence.atMs) }}</span>
                <span class="words">{{ sentence.text }}</span>
                <span class="has" :class="{ long: isLongSentence(sentence) }">
                  <template v-if="sentence.voice">
                    <i class="pi" :class="isLongSentence(sentence) ? 'pi-exclamation-triangle' : 'pi-check'" />
                    {{ (sentence.voice.lengthMs / 1000).toFixed(1) }} s<span
                      v-if="isLongSentence(sentence)"
                      class="visually-hidden"
                      >, too long</span
                    >
                  </template>
                  <span v-else class="visually-hidden">not recorded</span>
                </span>
              </button>
            </li>
          </ol>
          <SentenceCard
            v-if="chosen"
            :sentence="chosen"
            :place="place + 1"
            :of="sentences.length"
            :state="recorder.state.value"
            :level="recorder.level.value"
            :length-ms="recorder.lengthMs.value"
            :has-letter-keys="letterKeys"
            @record="recordOrStop"
            @hear="chosen.voice && hear(chosen.voice)"
            @remove="chosen.voice && voices.remove(chosen.voice)"
            @step="choose(place + $event)"
          >
            <p v-if="recorder.mend.value || voices.mend" role="alert">{{ recorder.mend.value || voices.mend }}</p>
            <p v-for="one in voices.waiting" :key="one.text" class="waiting">
              Not kept yet: “{{ one.text }}”
              <Button severity="secondary" outlined label="Keep" @click="voices.keep(one)" />
            </p>
            <p v-if="voices.former" class="waiting">
              “{{ voices.former.text }}”: what was there before can be put back.
              <Button severity="secondary" outlined label="Put it back" @click="voices.keep(voices.former)" />
            </p>
          </SentenceCard>
        </div>
        <div class="more">
          <Button
            severity="secondary"
            outlined
            label="Take what other sessions have"
            :disabled="sentences.every(({ voice }) => voice)"
            @click="takeOthers"
          />
          <Button
            severity="secondary"
            outlined
            label="Save the session with its voice"
            :disabled="voices.voices.length === 0"
            @click="saveWithVoice"
          />
          <span role="status">{{ said }}</span>
        </div>
      </template>
      <section v-if="unsaid.length > 0" class="unsaid" aria-labelledby="unsaid">
        <h2 id="unsaid">No longer said</h2>
        <ul>
          <li v-for="voice in unsaid" :key="voice.id">
            <span>{{ voice.text }}</span>
            <Button
              severity="secondary"
              text
              label="Listen"
              :aria-label="`Listen to: ${voice.text}`"
              @click="hear(voice)"
            />
            <Button
              severity="secondary"
              text
              label="Remove"
              :aria-label="`Remove: ${voice.text}`"
              @click="voices.remove(voice)"
            />
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.page-sheet {
  max-width: 1160px;
}
.told {
  margin-top: 6px;
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 22px;
  align-items: start;
  margin-top: 14px;
}
.sentences {
  max-height: 60vh;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
  border: 1px solid var(--line);
  border-radius: 8px;
}
.sentences li + li {
  border-top: 1px solid var(--line-soft);
}
.sentences button {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: baseline;
  width: 100%;
  min-height: 44px;
  padding: 9px 12px;
  font: inherit;
  text-align: left;
  color: inherit;
  background: none;
  border: 0;
  cursor: pointer;
}
.sentences button:focus-visible {
  outline-offset: -3px;
}
.sentences button[aria-current] {
  background: var(--chosen-wash);
}
.at,
.has {
  font-variant-numeric: tabular-nums;
  color: #4b5854;
}
.words {
  overflow-wrap: anywhere;
}
.has {
  white-space: nowrap;
}
.long {
  font-weight: 650;
  color: var(--avoid);
}
.waiting {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
}
.more {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-top: 16px;
}
h2 {
  margin: 20px 0 4px;
  font-size: 18px;
}
.unsaid ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.unsaid li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 8px;
}
@media (max-width: 860px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .two > :last-child {
    order: -1;
  }
}
</style>
