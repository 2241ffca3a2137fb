<script setup lang="ts">
import { computed } from 'vue'
import { isAsPlanned } from '#core/class'
import { blockName } from '#words/blocks'
import { blockLength, offerToAll } from '#words/forms'
import { counted, namesInWords } from '#words/text'
import ForHeights from '#web/shared/house/ForHeights.vue'
import { useHeights } from '#web/shared/house/use-heights.ts'
import TakingLines from './TakingLines.vue'
import { useWhoView } from './use-who-view.ts'

/** One block through all people: what is said to everybody, and what some take. */
const { block, takingsIn, nameOf, session } = useWhoView()
const takings = computed(() => (block.value ? takingsIn(block.value.block.id) : []))
const others = computed(() => takings.value.filter((taking) => !isAsPlanned(taking)))
const lines = computed(() => others.value.map((taking) => ({ name: nameOf(taking.personId), taking })))
const offer = computed(() => offerToAll(takings.value))
const newcomers = computed(() => takings.value.filter(({ isNew }) => isNew))
const { groupsIn, unknown, isTaken, take, back } = useHeights(
  () => session.document && session.timeline && { document: session.document, timeline: session.timeline },
)
const groups = computed(() => groupsIn(block.value?.block.id ?? ''))
const named = (ids: readonly string[]): string => namesInWords(ids.map(nameOf))
</script>

<template>
  <template v-if="block">
    <p class="eyebrow">{{ blockLength(block) }}</p>
    <h2>{{ blockName(block) }}</h2>
    <p v-if="offer">“{{ offer }}”</p>
    <p v-else class="note">Everybody does it as planned: nothing is said besides.</p>
    <p v-if="newcomers.length > 0" class="note">
      New to it: {{ named(newcomers.map(({ personId }) => personId)) }}. Shown to them first, half times.
    </p>
    <TakingLines :lines="lines" />
    <p class="note">{{ counted(takings.length - others.length, 'person', 'people') }} as planned.</p>
    <ForHeights :groups="groups" :unknown="unknown" :is-taken="isTaken" @take="take" @back="back">
      <template #default="{ group }"
        ><p class="note">{{ named(group.who) }}</p></template
      >
    </ForHeights>
  </template>
</template>

<style scoped>
.note {
  margin-top: 6px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
</style>
