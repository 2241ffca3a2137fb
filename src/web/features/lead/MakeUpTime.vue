<script setup lang="ts">
import type { LedStart } from '#model/led-class'
import type { InTheWay, Way } from '#core/lead'
import { inTheWayWords, wayTitle, wayWords } from '#words/refit'

/** The ways to make up time, or to give what is over: one large, what each loses and when the class ends with it. */
defineProps<{
  led: LedStart
  ways: readonly Way[]
  suggested: Way | undefined
  hasMore: boolean
  /** Whether anything was re-fitted and has not begun. */
  isRefitted: boolean
  stands: readonly InTheWay[]
  /** When the room has to be left, where no later end can be said. */
  freeUntilMs: number | undefined
  isKnown: boolean
  clock: (runMs: number) => string
}>()
const emit = defineEmits<{ take: [at: number]; more: []; asPlanned: [] }>()
</script>

<template>
  <section class="ways" aria-label="Make up time">
    <p v-if="!isKnown" class="none">
      What could go cannot be worked out here: the shelf is not what it was when the class began. Stay, End and Back act
      as always.
    </p>
    <p v-else-if="ways.length === 0" class="none">The class ends when it is to.</p>
    <button
      v-for="(way, at) in ways"
      :key="way.way"
      type="button"
      tabindex="-1"
      class="way"
      :class="{ suggested: way === suggested }"
      @pointerdown.prevent
      @click="emit('take', at)"
    >
      <b
        ><kbd>{{ at + 1 }}</kbd> {{ wayTitle(way, led.blocks) }}</b
      >
      <span>{{ wayWords(way, led, clock) }}</span>
    </button>
    <div class="beside">
      <button v-if="hasMore" type="button" tabindex="-1" @pointerdown.prevent @click="emit('more')">More ways</button>
      <button v-if="isRefitted" type="button" tabindex="-1" @pointerdown.prevent @click="emit('asPlanned')">
        As planned
      </button>
    </div>
    <p v-if="ways.length > 0 && freeUntilMs !== undefined" class="stands">
      No later end: the room is free until {{ clock(freeUntilMs) }}.
    </p>
    <p v-if="stands.length > 0" class="stands">{{ inTheWayWords(stands, led.blocks) }}</p>
  </section>
</template>

<style scoped>
.ways {
  grid-row: 4;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  padding: 10px 28px;
  border-top: 1px solid var(--line);
}
button {
  min-height: 44px;
  padding: 8px 14px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 17px;
  text-align: left;
  cursor: pointer;
}
.way {
  flex: 1 1 240px;
  display: grid;
  align-content: start;
  gap: 4px;
  min-height: 92px;
}
.way b {
  font-size: 22px;
}
.way span {
  font-size: 20px;
  line-height: 1.25;
  color: var(--ink-soft);
}
.way.suggested {
  border: 2px solid var(--chosen);
}
kbd {
  font: inherit;
  font-weight: 500;
}
.beside {
  display: grid;
  gap: 8px;
  align-content: start;
}
.none,
.stands {
  flex: 1 1 100%;
  font-size: 20px;
}
@media (hover: none) {
  kbd {
    display: none;
  }
}
@media (max-width: 500px) {
  .ways {
    max-height: 46vh;
    padding: 8px 12px;
    overflow-y: auto;
  }
  .way {
    flex-basis: 100%;
    min-height: 0;
  }
}
</style>
