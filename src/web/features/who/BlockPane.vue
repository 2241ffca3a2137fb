<script setup lang="ts">
import { computed } from 'vue'
import { isAsPlanned } from '#core/class'
import { blockName } from '#words/blocks'
import { blockLength, offerToAll, takingLine } from '#words/forms'
import { counted } from '#words/text'
import CautionMark from '#web/shared/cautions/CautionMark.vue'
import { useWhoView } from './use-who-view.ts'

/** One block through all people: what is said to everybody, and what some take. */
const { block, takingsIn, nameOf, look } = useWhoView()
const takings = computed(() => (block.value ? takingsIn(block.value.block.id) : []))
const others = computed(() => takings.value.filter((taking) => !isAsPlanned(taking)))
const offer = computed(() => offerToAll(takings.value))
const newcomers = computed(() => takings.value.filter(({ isNew }) => isNew).length)
</script>

<template>
  <template v-if="block">
    <p class="eyebrow">{{ blockLength(block) }}</p>
    <h2>{{ blockName(block) }}</h2>
    <p v-if="offer">“{{ offer }}”</p>
    <p v-else class="note">Everybody does it as planned: nothing is said besides.</p>
    <p v-if="newcomers > 0" class="note">
      {{ counted(newcomers, 'person', 'people') }} new to it: shown first, half times.
    </p>
    <ul>
      <li v-for="taking in others" :key="taking.personId">
        <button type="button" @click="look(taking.personId, block.block.id)">
          <b>{{ nameOf(taking.personId) }}</b><span>
            <CautionMark v-if="taking.planned.verdict.grade" :grade="taking.planned.verdict.grade" />
            {{ takingLine(taking) }}</span
          >
        </button>
      </li>
    </ul>
    <p class="note">{{ counted(takings.length - others.length, 'person', 'people') }} as planned.</p>
  </template>
</template>

<style scoped>
.note {
  margin-top: 6px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
ul {
  margin-top: 8px;
}
li {
  border-top: 1px solid var(--line-soft);
}
li button {
  display: grid;
  width: 100%;
  padding: 5px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
li button:hover {
  background: var(--line-soft);
}
</style>
