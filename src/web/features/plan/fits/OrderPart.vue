<script setup lang="ts">
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed } from 'vue'
import type { Session } from '#model/session'
import type { OrderSuggestion } from '#core/fit'
import type { Result } from '#core/result'
import { applyEdit, compareSessions } from '#core/session'
import { compileTimeline } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { blockName } from '#words/blocks'
import { orderWords } from '#words/fits'
import SmallSpine from './SmallSpine.vue'

/** An order that moves less: as it is and as it could be, and what that saves. Never taken unasked. */
const props = defineProps<{
  session: Session
  timeline: Timeline
  answer: Result<OrderSuggestion> | undefined
  isSlow: boolean
  isBroken: boolean
  pxPerMinute: number
  longestMs: number
}>()
const emit = defineEmits<{ take: [order: OrderSuggestion]; cancel: [] }>()
const own = useOwnStore()

const suggestion = computed(() => (props.answer?.ok ? props.answer.value : undefined))
const reordered = computed(() => {
  const done = suggestion.value && applyEdit(props.session, { type: 'several', edits: suggestion.value.edits })
  const compiled = done?.ok ? compileTimeline(done.value.session, own.catalog) : undefined
  return done?.ok && compiled?.ok ? { session: done.value.session, timeline: compiled.value } : undefined
})
const moved = computed(
  () =>
    new Set(
      reordered.value
        ? compareSessions(props.session, reordered.value.session).flatMap((one) =>
            one.kind === 'moved' ? [one.block.id] : [],
          )
        : [],
    ),
)
const words = computed(() => (suggestion.value ? orderWords(suggestion.value) : []))
/** Where each goes: after what stands before it then. */
const movedWords = computed(() =>
  (reordered.value?.timeline.blocks ?? []).flatMap(({ block }, at, blocks) => {
    if (!moved.value.has(block.block.id)) return []
    const before = blocks[at - 1]
    return [`${blockName(block)} goes ${before ? `after ${blockName(before.block)}` : 'to the start'}.`]
  }),
)
const isBetter = computed(() => (suggestion.value?.edits.length ?? 0) > 0)
</script>

<template>
  <div class="order">
    <div class="says">
      <ul aria-live="polite">
        <li v-for="line in words" :key="line">{{ line }}</li>
        <li v-for="line in movedWords" :key="line">{{ line }}</li>
      </ul>
      <p class="note">
        Kept in any order: talk, breath and rests at their places, the opening first, warm before deep, a counterpose
        after what it counters, the closing last. What changes hands is counted as Set-ups has it.
      </p>
      <div v-if="isSlow" class="slow">
        <ProgressBar mode="indeterminate" aria-label="Working it out" />
        <Button size="small" text severity="secondary" label="Give up" @click="emit('cancel')" />
      </div>
      <p v-if="isBroken" role="alert">
        The order could not be worked out here. Reload the page when Zovrin’s server answers.
      </p>
      <Button v-if="suggestion && isBetter" label="Take this order" @click="emit('take', suggestion)" />
    </div>
    <section aria-label="As it is">
      <h2>As it is</h2>
      <SmallSpine
        :session="session"
        :timeline="timeline"
        :px-per-minute="pxPerMinute"
        :longest-ms="longestMs"
        :marked="moved"
      />
    </section>
    <section v-if="reordered && isBetter" aria-label="As it could be">
      <h2>As it could be</h2>
      <SmallSpine
        :session="reordered.session"
        :timeline="reordered.timeline"
        :px-per-minute="pxPerMinute"
        :longest-ms="longestMs"
        :marked="moved"
      />
    </section>
  </div>
</template>

<style scoped>
.order {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 24px;
}
.says {
  display: grid;
  gap: 10px;
  align-content: start;
  justify-items: start;
}
.slow {
  display: grid;
  gap: 4px;
  width: 100%;
}
h2 {
  min-height: 34px;
}
.note {
  font-size: 15px;
  color: var(--ink-soft);
}
</style>
