<script setup lang="ts">
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed } from 'vue'
import type { Session } from '#model/session'
import type { Fit } from '#core/fit'
import type { Result } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { costWords, inTheWayWords } from '#words/fits'
import SmallSpine from './SmallSpine.vue'

/** One way to fit: what it is called, what it comes to as a small spine, what it costs, and taking it. */
const props = defineProps<{
  title: string
  session: Session
  answer: Result<Fit> | undefined
  isSlow: boolean
  isBroken: boolean
  pxPerMinute: number
  longestMs: number
}>()
const emit = defineEmits<{ take: [fit: Fit]; cancel: [] }>()
const own = useOwnStore()

const fit = computed(() => (props.answer?.ok ? props.answer.value : undefined))
const timeline = computed(() => {
  const compiled = fit.value && compileTimeline(fit.value.session, own.catalog)
  return compiled?.ok ? compiled.value : undefined
})
const words = computed(() => (fit.value ? costWords(props.session, fit.value, own.catalog) : []))
const inTheWay = computed(() => (fit.value ? inTheWayWords(props.session, fit.value, own.catalog) : []))
const inTheWayTitle = computed(() =>
  fit.value?.inTheWay[0]?.of === 'block' ? 'What must stay:' : 'In the way, each at the least it can be:',
)
const changesNothing = computed(() => fit.value?.edits.length === 0)
</script>

<template>
  <section class="column" :aria-label="title">
    <header>
      <h2>{{ title }}</h2>
      <Button
        v-if="fit && !changesNothing"
        size="small"
        label="Take this"
        :aria-label="`Take this: ${title}`"
        @click="emit('take', fit)"
      />
    </header>
    <div class="about"><slot /></div>
    <ul class="words" aria-live="polite">
      <li v-for="line in words" :key="line">{{ line }}</li>
      <li v-if="changesNothing && fit?.overMs === 0">nothing to change</li>
    </ul>
    <div>
      <p v-if="inTheWay.length > 0" class="way">
        <b>{{ inTheWayTitle }}</b> {{ inTheWay.join('; ') }}.
      </p>
      <div v-if="isSlow" class="slow">
        <ProgressBar mode="indeterminate" aria-label="Working it out" />
        <Button size="small" text severity="secondary" label="Give up" @click="emit('cancel')" />
      </div>
      <p v-if="isBroken" role="alert">The fits could not be loaded. Reload the page when Zovrin’s server answers.</p>
    </div>
    <SmallSpine
      v-if="fit && timeline"
      :session="fit.session"
      :timeline="timeline"
      :px-per-minute="pxPerMinute"
      :longest-ms="longestMs"
    />
  </section>
</template>

<style scoped>
/* The rows are those of the columns beside it, so that the spines begin at one height. */
.column {
  display: grid;
  grid-row: span 5;
  grid-template-rows: subgrid;
  gap: 6px;
  min-width: 0;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 34px;
}
.words li {
  padding-left: 12px;
  text-indent: -12px;
  line-height: 1.25;
}
.words li::before {
  content: '· ';
}
.way {
  padding: 6px 10px;
  border: 1px solid var(--ink);
  border-left-width: 5px;
  border-radius: 4px;
  font-size: 15px;
}
.slow {
  display: grid;
  gap: 4px;
}
</style>
