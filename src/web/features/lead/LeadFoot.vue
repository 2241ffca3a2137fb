<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { LedPlan } from '#model/led-class'
import type { Command, LeadState, Stage } from '#core/lead'
import FootButton from './FootButton.vue'
import { footItems, forThumb } from './foot-items.ts'
import type { FootItem } from './foot-items.ts'
import type { Panel } from './use-refit.ts'
import type { Room } from './use-room.ts'

/**
 * What the teacher can tell the class now. The buttons keep no focus, so Space is always pause. For a thumb there are four
 * large places, and the rest behind *more*.
 */
const props = defineProps<{ plan: LedPlan; state: LeadState; stage: Exclude<Stage, { is: 'ended' }>; room: Room }>()
const emit = defineEmits<{ press: [command: Command]; show: [panel: Panel]; say: []; room: [] }>()

const isTouch = useMediaQuery('(pointer: coarse), (max-width: 500px)')
const items = computed(() => footItems(props.plan, props.state, props.stage, props.room))
const thumb = computed(() => forThumb(items.value))
const isMore = ref(false)

/** What tells the class comes first, what is shown beside it at the end of the line; the screens stand in the head. */
const commands = computed(() => items.value.filter(({ does }) => does.is === 'command'))
const beside = computed(() =>
  items.value.filter(({ does }) => does.is === 'say' || (does.is === 'panel' && does.panel !== 'devices')),
)

function press({ does }: FootItem): void {
  isMore.value = false
  if (does.is === 'command') emit('press', does.command)
  else if (does.is === 'panel') emit('show', does.panel)
  else if (does.is === 'say') emit('say')
  else emit('room')
}
</script>

<template>
  <footer v-if="isTouch" class="thumb">
    <div v-if="isMore" class="more" role="group" aria-label="More">
      <FootButton v-for="item in thumb.more" :key="item.key" :item="item" @press="press(item)" />
    </div>
    <FootButton v-for="item in thumb.near" :key="item.key" :item="item" @press="press(item)" />
    <button
      type="button"
      class="opener"
      tabindex="-1"
      :aria-expanded="isMore"
      @pointerdown.prevent
      @click="isMore = !isMore"
    >
      {{ isMore ? 'Less' : 'More' }}
    </button>
  </footer>
  <footer v-else>
    <FootButton v-for="item in commands" :key="item.key" :item="item" has-key @press="press(item)" />
    <i />
    <FootButton v-for="item in beside" :key="item.key" :item="item" has-key @press="press(item)" />
  </footer>
</template>

<style scoped>
footer {
  grid-row: 5;
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  padding: 12px 20px;
  background: var(--sheet);
}
i {
  flex: 1;
}
.thumb {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr)) 58px;
  padding: 8px 12px;
}
.opener {
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: var(--ink-soft);
  font-size: 17px;
}
.thumb > button {
  min-height: 72px;
  min-width: 0;
  padding: 0 4px;
  text-wrap: balance;
}
.more {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 8px;
}
@media (max-height: 480px) {
  footer {
    gap: 5px;
    padding: 4px 12px;
  }
  .thumb > button {
    min-height: 44px;
  }
}
</style>
