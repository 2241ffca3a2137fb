<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { askAgain, lacksAtHome, thingsOf } from '#core/class'
import type { Taking } from '#core/class'
import { blockName } from '#words/blocks'
import { askAgainWords, gateWords, toldShort } from '#words/people'
import { countedProp } from '#words/props'
import { counted, namesInWords } from '#words/text'
import { dayOf } from '#words/class-days'
import { useClass } from '#web/shared/house/use-class.ts'
import { useNames } from '#web/shared/people/names.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { ports } from '#web/shared/ports.ts'
import TakingLines from './TakingLines.vue'
import { useWhoView } from './use-who-view.ts'

/** One person through the whole class: what they do, their own way through it, and one nest for much of it. */
const { session, person, rows, nameOf, takeNest, planned } = useWhoView()
const { covered } = useNames()
const own = useOwnStore()
const told = computed(() => (person.value ? toldShort(person.value.comer.person.conditions) : ''))
const gate = computed(() => (person.value ? gateWords(person.value.gated) : ''))
const old = computed(() =>
  person.value?.comer.isNamed
    ? askAgainWords(askAgain(person.value.comer.person, planned.value?.day ?? dayOf(ports().epochMs())))
    : '',
)
const nameIn = (blockId: string): string => {
  const row = rows.value.find(({ block }) => block.id === blockId)
  return row ? blockName(row) : ''
}
const lines = computed(() => (person.value?.takings ?? []).map((taking) => ({ name: nameIn(taking.blockId), taking })))
const poseName = (poseId: string): string => own.catalog.poses.get(poseId)?.names.english ?? ''
const takingsOf = (blockIds: readonly string[]): readonly Taking[] =>
  person.value?.takings.filter(({ blockId }) => blockIds.includes(blockId)) ?? []
/** At home: what they lack of their own things. */
const { groups } = useClass(
  () => session.document && session.timeline && { document: session.document, timeline: session.timeline },
)
const lacks = computed(() => {
  const comer = person.value?.comer
  if (!comer?.isNamed || (session.document?.setting ?? 'room') === 'room') return ''
  if (!comer.person.things) return 'What they have at home is not noted.'
  const [theirs] = lacksAtHome(groups.value, thingsOf([comer.id], [comer.person]))
  const missing = (theirs?.lacks ?? []).map(({ kind, wanted, here }) => countedProp(kind, wanted - here))
  return missing.length === 0 ? 'Has all of it at home.' : `Lacks at home: ${namesInWords(missing)}.`
})
const way = computed(() => {
  const { gettingsUp = 0, placeChanges = 0 } = person.value?.way ?? {}
  const up = gettingsUp === 0 ? 'Never gets up' : `Gets up ${counted(gettingsUp, 'time')}`
  return `${up}, ${placeChanges === 0 ? 'never changes place' : `changes place ${counted(placeChanges, 'time')}`}.`
})
</script>

<template>
  <template v-if="person">
    <p class="eyebrow">Through the class</p>
    <h2>{{ nameOf(person.comer.id) }}</h2>
    <p v-if="told && !covered">{{ told }}</p>
    <p v-if="gate" class="gate">{{ gate }}</p>
    <p v-if="old">{{ old }}</p>
    <p class="note">{{ way }}</p>
    <TakingLines :lines="lines" />
    <p v-if="lacks" class="note">{{ lacks }}</p>
    <section v-if="person.nests.length > 0" class="part">
      <h3>One nest</h3>
      <p class="note">One place and one set-up for several of them.</p>
      <div v-for="nest in person.nests" :key="nest.poseId" class="nest">
        <span
          ><b>{{ poseName(nest.poseId) }}</b> for {{ nest.blockIds.map(nameIn).join(', ') }}</span
        >
        <Button
          size="small"
          severity="secondary"
          outlined
          label="Take"
          :aria-label="`Take ${poseName(nest.poseId)} for all of them`"
          @click="takeNest(nest.poseId, takingsOf(nest.blockIds))"
        />
      </div>
    </section>
  </template>
</template>

<style scoped>
.gate {
  font-weight: 650;
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.part {
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
.nest {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  margin-top: 6px;
}
</style>
