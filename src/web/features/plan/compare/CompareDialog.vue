<script setup lang="ts">
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { useWindowSize } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { Session } from '#model/session'
import { compareSessions } from '#core/session'
import type { Difference } from '#core/session'
import { compileTimeline } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { formatMs } from '#core/units'
import { listSessions, readSession } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { differenceWords } from '#words/differences'
import SmallSpine from '../fits/SmallSpine.vue'
import { usePlan } from '../use-plan.ts'
import { closeDialog, openDialog, showCompare } from '../dialogs.ts'

/** This session beside another: two spines at one scale, and what differs in words. */
const { document, timeline } = usePlan()
const own = useOwnStore()

const comparedId = computed(() => (openDialog.value?.is === 'compare' ? openDialog.value.with : ''))
const lines = shallowRef<readonly SessionLine[]>([])
const other = shallowRef<Session>()
const isAway = ref(false)
const choices = computed(() =>
  lines.value.filter(({ id }) => id !== document.value?.id).map(({ id, name }) => ({ id, name })),
)

onMounted(async () => {
  const reply = await listSessions()
  if (reply.kind === 'ok') lines.value = reply.value
  isAway.value = reply.kind === 'away'
})
watch(
  comparedId,
  async (id) => {
    other.value = undefined
    if (id === '') return
    const reply = await readSession(id)
    if (reply.kind === 'ok') other.value = reply.value
    isAway.value = reply.kind === 'away'
  },
  { immediate: true },
)

const otherTimeline = computed(() => {
  const compiled = other.value && compileTimeline(other.value, own.catalog)
  return compiled?.ok ? compiled.value : undefined
})
const differences = computed(() => (other.value && document.value ? compareSessions(other.value, document.value) : []))
/** By how much longer a block takes in this session than in the other. */
const longerBy = (id: string): number => {
  const lengthIn = (one: Timeline | undefined) => {
    const span = one?.blocks.find(({ block }) => block.block.id === id)
    return span ? span.endMs - span.startMs : 0
  }
  return lengthIn(timeline.value) - lengthIn(otherTimeline.value)
}
function groupOf(one: Difference): string {
  if (one.kind !== 'changed')
    return { added: 'Added', dropped: 'Dropped', moved: 'Moved', detail: 'The session' }[one.kind]
  const by = longerBy(one.after.id)
  return by > 0 ? 'Longer' : by < 0 ? 'Shorter' : 'Changed'
}
const groups = ['Added', 'Dropped', 'Moved', 'Longer', 'Shorter', 'Changed', 'The session']
const grouped = computed(() =>
  groups.flatMap((title) => {
    const of = differences.value.filter((one) => groupOf(one) === title).map((one) => differenceWords(one, own.catalog))
    return of.length === 0 ? [] : [{ title, lines: of }]
  }),
)
/** Blocks that stand only in the one, or differ, are outlined in both. */
const marked = computed(
  () =>
    new Set(
      differences.value.flatMap((one) =>
        one.kind === 'detail' ? [] : [one.kind === 'changed' ? one.after.id : one.block.id],
      ),
    ),
)

const { height } = useWindowSize()
const aroundPx = 260
const longestMs = computed(() => Math.max(timeline.value?.totalMs ?? 0, otherTimeline.value?.totalMs ?? 0, 60_000))
const pxPerMinute = computed(() =>
  Math.min(14, Math.max(3, (height.value * 0.9 - aroundPx) / (longestMs.value / 60_000))),
)
const columns = computed(() => ({ pxPerMinute: pxPerMinute.value, longestMs: longestMs.value, marked: marked.value }))
</script>

<template>
  <Dialog
    v-if="document && timeline"
    :visible="true"
    modal
    header="Compare two sessions"
    :style="{ width: 'min(1180px, 96vw)' }"
    @update:visible="closeDialog"
  >
    <div class="three">
      <section aria-label="The other session">
        <Select
          aria-label="The session to compare with"
          fluid
          :model-value="comparedId || null"
          :options="choices"
          option-label="name"
          option-value="id"
          placeholder="Choose a session"
          filter
          @update:model-value="showCompare"
        />
        <p class="sum">{{ otherTimeline ? formatMs(otherTimeline.totalMs) : '' }}</p>
        <SmallSpine v-if="other && otherTimeline" :session="other" :timeline="otherTimeline" v-bind="columns" />
      </section>
      <section aria-label="This session">
        <h2>{{ document.name }}</h2>
        <p class="sum">{{ formatMs(timeline.totalMs) }}</p>
        <SmallSpine :session="document" :timeline="timeline" v-bind="columns" />
      </section>
      <section class="words" aria-label="What differs" aria-live="polite">
        <template v-if="other">
          <div v-for="group in grouped" :key="group.title">
            <h3>{{ group.title }}</h3>
            <ul>
              <li v-for="(line, at) in group.lines" :key="at">{{ line }}</li>
            </ul>
          </div>
          <p v-if="grouped.length === 0">They do not differ.</p>
          <p class="note">
            Said of going from the other session to this one. A block is the same one only in versions and copies of a
            session; elsewhere all of it is dropped and added.
          </p>
        </template>
        <p v-else-if="isAway">Zovrin’s server does not answer: the other session cannot be read.</p>
        <p v-else>Choose a session on the left.</p>
      </section>
    </div>
  </Dialog>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 28px;
}
h2 {
  height: 36px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  line-height: 36px;
}
.sum {
  min-height: 28px;
  font-weight: 650;
}
.words {
  display: grid;
  gap: 10px;
  align-content: start;
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
@media (max-width: 900px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
