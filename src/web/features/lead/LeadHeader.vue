<script setup lang="ts">
import { computed } from 'vue'
import { aheadFromMs, behindFrom, behindMs, peopleHere, promisedMs, toEndMs, wallTime } from '#core/lead'
import type { Conducted, OutboxState, Stage } from '#core/lead'
import { clockText } from '#words/dates'
import { behindWords } from '#words/refit'
import { recordWords } from '#words/saving'
import type { Room } from './use-room.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'

/** The class over its stage: its name, the time, when it ends, and what the screen itself has to say. */
const props = defineProps<{
  conducted: Conducted
  stage: Exclude<Stage, { is: 'ended' }>
  staysAwake: boolean
  saveState: OutboxState
  refusal: string
  dim: number
  room: Room
  /** How many times as fast as a clock: a rehearsal. */
  speed: number
}>()
const settings = useSettingsStore()
const emit = defineEmits<{ dim: []; room: []; screens: []; leave: []; cameLate: [] }>()

/** How many are here, with those who came after Start. */
const here = computed(() => peopleHere(props.conducted))
const record = computed(() => recordWords(props.saveState, props.refusal))
const clock = computed(() => clockText(wallTime(props.conducted, props.conducted.state.nowMs)))
const endsAt = computed(() => clockText(wallTime(props.conducted, props.stage.endsAtMs)))
const behind = computed(() => behindMs(props.conducted, props.stage.endsAtMs))
const told = computed(() =>
  behindWords(behind.value, behindFrom(props.conducted.start, settings.behindFromS), aheadFromMs),
)
/** The end that was said, by the machine's clock as it stands now. */
const said = computed(() => clockText(wallTime(props.conducted, toEndMs(props.conducted))))
const promised = computed(() => clockText(wallTime(props.conducted, promisedMs(props.conducted))))
const isSaidLater = computed(() => props.conducted.state.saidEndMs !== null)
</script>

<template>
  <header>
    <b>{{ conducted.start.document.name }}</b>
    <span v-if="speed !== 1" class="rehearsal">rehearsal ×{{ speed }}, nothing is recorded</span>
    <span>{{ clock }} · ends {{ endsAt }}</span>
    <span v-if="told" data-testid="behind">{{ told }}, {{ isSaidLater ? 'said' : 'promised' }} {{ said }}</span>
    <span v-else-if="isSaidLater">as said, promised {{ promised }}</span>
    <i />
    <span v-if="speed === 1" class="awake" :class="{ stays: staysAwake }">{{
      staysAwake ? 'screen stays on' : 'the screen may go dark: keep it awake by hand'
    }}</span>
    <span v-if="record !== ''" :role="saveState === 'refused' ? 'alert' : undefined">{{ record }}</span>
    <button
      type="button"
      tabindex="-1"
      title="Somebody came late: one more is here (N)"
      @pointerdown.prevent
      @click="emit('cameLate')"
    >
      {{ here }} here <b>+1</b>
    </button>
    <button
      class="room"
      type="button"
      tabindex="-1"
      title="The students’ screen and other devices (S)"
      @pointerdown.prevent
      @click="emit('screens')"
    >
      screens
    </button>
    <button
      class="room"
      type="button"
      tabindex="-1"
      title="A light or a dark screen (L)"
      @pointerdown.prevent
      @click="emit('room')"
    >
      {{ room === 'dark' ? 'light' : 'dark' }}
    </button>
    <button class="dim" type="button" @pointerdown.prevent @click="emit('dim')">dim {{ dim + 1 }} of 4</button>
    <button type="button" @pointerdown.prevent @click="emit('leave')">Leave</button>
  </header>
</template>

<style scoped>
header {
  grid-area: 1 / 1;
  display: flex;
  align-items: center;
  gap: 4px 20px;
  min-height: 56px;
  padding: 0 28px;
  font-size: 17px;
  color: var(--ink-soft);
  flex-wrap: wrap;
}
b {
  color: var(--ink);
}
.rehearsal {
  padding: 0 8px;
  border-left: 5px solid var(--chosen);
  color: var(--ink);
}
i {
  flex: 1;
}
button {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid transparent;
  border-radius: 8px;
  background: none;
  color: var(--ink-soft);
  font-size: 17px;
  cursor: pointer;
}
@media (max-width: 800px) {
  header {
    gap: 2px 20px;
    padding-top: 8px;
  }
}
@media (max-width: 500px) {
  header {
    gap: 0 10px;
    padding: 8px 16px 2px;
    font-size: 15px;
  }
  button {
    padding: 0 4px;
    font-size: 15px;
  }
  /* The one is behind *more* in the foot, the other the phone’s own. */
  .room,
  .dim {
    display: none;
  }
  /* There only where something is to be done about it. */
  .awake.stays {
    display: none;
  }
}
@media (max-height: 480px) {
  header {
    gap: 4px 14px;
    min-height: 44px;
    padding: 0 16px;
    font-size: 15px;
    flex-wrap: nowrap;
    white-space: nowrap;
    overflow: hidden;
  }
  .awake {
    display: none;
  }
}
</style>
