<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { blockFacts } from '#core/breath'
import { factRows, sectionName } from '#words/sections'
import SessionAway from '#web/shared/session/SessionAway.vue'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import SidePane from '#web/shared/ui/SidePane.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import BreathBlocks from './BreathBlocks.vue'
import BreathLadder from './BreathLadder.vue'
import HearIt from './HearIt.vue'
import HowLed from './HowLed.vue'
import RoundDrawing from './RoundDrawing.vue'
import SectionForm from './SectionForm.vue'
import SectionStrip from './SectionStrip.vue'
import { useBreath } from './use-breath.ts'
import { withPart } from './round-edges.ts'
import type { EdgePart } from './round-edges.ts'
import { roundWords } from './round-words.ts'

/** Breath work: the session's blocks of it, the round as a measured line, and the block as a strip of its sections. */
const route = useRoute()
const { store, resolved, section, resolvedSection, told, put, undo, redo } = useBreath()
function drawPart(part: EdgePart, half: number): void {
  const next = section.value && resolvedSection.value && withPart(section.value, resolvedSection.value, part, half)
  if (next) put(next)
}
watch(
  () => String(route.params['id'] ?? ''),
  (id) => void store.open(id),
  { immediate: true },
)

const facts = computed(() => (resolved.value ? factRows(blockFacts(resolved.value.sections)) : []))
const title = computed(() => (resolvedSection.value ? sectionName(resolvedSection.value) : ''))
const sub = computed(() => (resolvedSection.value ? roundWords(resolvedSection.value) : ''))

useUndoKeys({ undo, redo })

const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
</script>

<template>
  <div v-if="store.document" class="breath-view" :class="{ narrow }">
    <BreathBlocks />
    <section class="middle scrolls" aria-label="The round and its block">
      <template v-if="resolved && resolvedSection">
        <ViewHead :title="title"
          ><template #about
            ><p class="sub">{{ sub }}</p></template
          ></ViewHead
        >
        <HearIt><RoundDrawing :section="resolvedSection" @change="drawPart" /></HearIt>
        <SectionForm />
        <SectionStrip />
        <dl class="facts">
          <div v-for="{ name, figure } in facts" :key="name">
            <dd>{{ figure }}</dd>
            <dt>{{ name.toLowerCase() }}</dt>
          </div>
        </dl>
        <BreathLadder :key="store.document.id" :session-id="store.document.id" />
      </template>
      <p v-else class="nothing">No breath work in this session yet. Choose a technique at the left to begin.</p>
      <p class="visually-hidden" aria-live="polite">{{ told }}</p>
    </section>
    <SidePane v-model:open="drawerOpen" label="How it is led" opener="How it is led"
      ><HowLed v-if="resolvedSection"
    /></SidePane>
  </div>
  <SessionAway v-else />
</template>

<style scoped>
.breath-view {
  position: relative;
  display: grid;
  grid-template-columns: 218px minmax(0, 1fr) 344px;
  height: 100%;
}
.breath-view.narrow {
  grid-template-columns: 200px minmax(0, 1fr);
}
.middle {
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-width: 0;
  padding: 14px 20px 18px;
  background: var(--ground);
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
}
.facts dd {
  font-size: 19px;
  font-weight: 650;
}
.facts dt {
  font-size: 14px;
  color: #4b5854;
}
.nothing {
  margin: auto;
  padding: 24px;
  text-align: center;
}
</style>
