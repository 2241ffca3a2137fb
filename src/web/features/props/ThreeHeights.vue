<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Side } from '#model/common'
import type { FigureView } from '#model/figure'
import { lengthText } from '#words/lengths'
import FigureDrawing from '#web/shared/figures/FigureDrawing.vue'
import { useProps } from './use-props.ts'
import { useThreeHeights } from './use-three-heights.ts'

/** The set-up beside itself for somebody short, usual and tall, with what is changed for each; a press looks at that height. */
const props = defineProps<{ view: FigureView; side: Side | undefined }>()
const emit = defineEmits<{ chosen: [statureCm: number] }>()
const { unit } = useProps()
const row = useTemplateRef('row')
const { width, height } = useElementSize(row)
/** What is said under each, px. */
const wordsHeight = 76
const three = useThreeHeights({
  ...{ view: computed(() => props.view), side: computed(() => props.side), width },
  height: computed(() => Math.max(90, height.value - wordsHeight)),
})
</script>

<template>
  <ul ref="row" class="three" aria-label="At three heights">
    <li v-for="{ statureCm, words, drawing } in three" :key="statureCm">
      <button type="button" class="one" @click="emit('chosen', statureCm)">
        <FigureDrawing :drawing="drawing" words="" />
        <b>{{ lengthText(statureCm, unit) }}</b>
        <span>{{ words }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  height: 100%;
}
.one {
  display: grid;
  grid-template-rows: auto auto 1fr;
  justify-items: center;
  width: 100%;
  padding: 0 6px;
  border: none;
  background: none;
  color: inherit;
  font: inherit;
  line-height: 1.25;
  text-align: center;
  cursor: pointer;
}
.one:hover {
  background: var(--sheet);
}
span {
  font-size: 15px;
}
</style>
