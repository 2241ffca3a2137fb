<script setup lang="ts">
import Button from 'primevue/button'
import { nanoid } from 'nanoid'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { PropKind } from '#model/prop'
import { elsewhere, firstTalk, floorWanted, lacksAtHome, leftOf, roomPlan } from '#core/class'
import { classWhen } from '#words/class-days'
import { blockName } from '#words/blocks'
import { propNames } from '#words/props'
import { homeWords, wallWords } from '#words/room'
import { capital, counted } from '#words/text'
import { useTurns } from '#web/shared/session/use-turns.ts'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import SessionAway from '#web/shared/session/SessionAway.vue'
import SidePane from '#web/shared/ui/SidePane.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import ClassPicker from '#web/shared/house/ClassPicker.vue'
import RoomFromAbove from '#web/shared/house/RoomFromAbove.vue'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import { useClass } from '#web/shared/house/use-class.ts'
import { readBesideAnew } from '#web/shared/house/use-beside.ts'
import { useClassFindings } from '#web/shared/house/use-class-findings.ts'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import ClassDetails from '#web/shared/house/ClassDetails.vue'
import DealPart from './DealPart.vue'
import LedgerTable from './LedgerTable.vue'
import { sayFetching } from './say-fetching.ts'
import { withoutWall } from './without-wall.ts'

/** What a class takes of the cupboard over its time, who gets what of too little, and how it lies in its room. */
const route = useRoute()
const store = useSessionStore()
const own = useOwnStore()
watch(
  () => String(route.params['id'] ?? ''),
  (id) => void store.open(id),
  { immediate: true },
)
onMounted(usePlacesStore().load)
const { told, undo, redo } = useTurns()
useUndoKeys({ undo, redo })

const compiled = computed(() =>
  store.document && store.timeline ? { document: store.document, timeline: store.timeline } : undefined,
)
const { planned, people, who, taken, forms, groups, atHome, place, room } = useClass(() => compiled.value)
const { ofEach, toSay, ofAll, rows, took } = useFetching(() => compiled.value)
readBesideAnew()
const { judged, beside } = useClassFindings(() => compiled.value)
/** Things are counted against a cupboard where they are the place's: at home each has their own. */
const isHere = computed(() => (store.document?.setting ?? 'room') === 'room')
const stock = computed(() => (isHere.value && place.value ? leftOf(place.value, beside.value) : undefined))
const isMissing = ({ kind, atOnce }: { readonly kind: PropKind; readonly atOnce: number }): boolean =>
  stock.value !== undefined && atOnce > (stock.value[kind] ?? 0)
/** At home what somebody lacks is lacked of their own things. */
const lacking = computed(() => (isHere.value ? [] : lacksAtHome(groups.value, atHome.value)))
const isShort = computed(() => lacking.value.length > 0 || rows.value.some(isMissing))
const chosen = ref<PropKind>()
const row = computed(
  () => rows.value.find(({ kind }) => kind === chosen.value) ?? rows.value.find(isMissing) ?? rows.value[0],
)

const nameOf = (blockId: string): string => {
  const block = store.timeline?.blocks.find((span) => span.block.block.id === blockId)?.block
  return block ? blockName(block) : ''
}
/** Where the chosen kind is in use, and how many. */
const uses = computed(() => {
  const most = new Map<string, number>()
  for (const { blockId, n } of row.value?.over ?? []) if (n > 0) most.set(blockId, Math.max(n, most.get(blockId) ?? 0))
  return [...most].map(([blockId, n]) => `${nameOf(blockId)}: ${String(n)}`)
})
const missing = computed(() => {
  const now = row.value
  if (!now || stock.value === undefined) return ''
  const short = now.atOnce - (stock.value[now.kind] ?? 0)
  return short > 0 ? `${String(short)} missing for ${counted(people.value ?? 0, 'person', 'people')}` : 'enough'
})
const wall = computed(() => {
  if (!room.value || !store.timeline || people.value === undefined) return []
  const wanted = floorWanted(store.timeline)
  return wallWords(people.value, roomPlan(room.value, people.value, wanted), wanted, {
    nameOf,
    elsewhereIn: (blockId) => elsewhere(blockId, forms.value.laid),
    withoutWall: (blockId) => (store.timeline ? withoutWall(store.timeline, blockId, own.catalog) : undefined),
  })
})
const sub = computed(() =>
  [
    place.value?.name,
    ...(planned.value ? [classWhen(planned.value)] : []),
    ...(people.value === undefined ? [] : [counted(people.value, 'person', 'people')]),
    'along the class, in use at once',
  ].join(' · '),
)

/** What is to be fetched is said in the first talk, as one step of the session. */
const unsaid = computed(() =>
  judged.value.find(({ finding, aside }) => finding.code === 'FETCH_NOT_SAID' && aside === undefined),
)
function say(): void {
  if (!store.timeline) return
  const edit = sayFetching(firstTalk(store.timeline, groups.value), {
    lines: toSay.value,
    s: took.value.s,
    newId: nanoid,
  })
  if (store.edit(edit, 'say what is fetched')) told.value = 'The first talk says what is fetched'
}
const print = () => {
  window.print()
}
const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
</script>

<template>
  <div v-if="store.document && store.timeline" class="needs-view" :class="{ narrow }">
    <section class="main scrolls" aria-labelledby="needs-title">
      <ViewHead title-id="needs-title" :title="`What ${store.document.name} needs of the cupboard`">
        <template #about
          ><p class="sub">{{ sub }}</p></template
        >
        <Button size="small" severity="secondary" outlined icon="pi pi-print" label="Print" @click="print" />
      </ViewHead>
      <p class="visually-hidden" aria-live="polite">{{ told }}</p>
      <p v-if="!people" class="none">For how many people? Say it at the right, or plan a class.</p>
      <template v-else>
        <p v-if="!isHere" class="none">
          Held where each has their own things. {{ homeWords(people, atHome.length, lacking.length) }}
        </p>
        <LedgerTable
          :model-value="row?.kind"
          @update:model-value="chosen = $event"
          :rows="rows"
          :stock="stock"
          :timeline="store.timeline"
        />
        <section v-if="room && isHere" aria-labelledby="room-title">
          <h2 id="room-title">The room, to scale</h2>
          <RoomFromAbove :room="room" :people="people" :timeline="store.timeline">
            <p v-for="line in wall" :key="line">{{ line }}</p>
          </RoomFromAbove>
        </section>
      </template>
    </section>
    <SidePane v-model:open="drawerOpen" label="The class" opener="The class">
      <p class="eyebrow">The class</p>
      <ClassPicker :session="store.document" :timeline="store.timeline" />
      <ClassDetails :planned="planned" />
      <template v-if="people && row">
        <section class="part">
          <h3>{{ capital(propNames[row.kind].many) }}: {{ missing || row.atOnce }}</h3>
          <p v-for="line in uses" :key="line">{{ line }}</p>
          <p v-for="one in beside" :key="one.name" class="note">
            {{ one.name }} at {{ one.startsAt }} has {{ one.has.get(row.kind) ?? 0 }} of them.
          </p>
        </section>
        <DealPart
          v-if="stock || atHome.length > 0"
          :session="store.document"
          :planned="planned"
          :taken="taken"
          :who="who"
          :stock="stock ?? {}"
          :at-home="isHere ? undefined : atHome"
          :is-short="isShort"
          :name-of="nameOf"
        />
        <section class="part">
          <h3>Each person fetches</h3>
          <p v-for="line in ofEach" :key="line">{{ line }}</p>
          <p class="note">{{ ofAll?.words }}</p>
          <Button
            v-if="unsaid"
            size="small"
            severity="secondary"
            outlined
            label="Say it in the first talk"
            @click="say"
          />
        </section>
      </template>
    </SidePane>
  </div>
  <SessionAway v-else />
</template>

<style scoped>
.needs-view {
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 344px;
  height: 100%;
}
.needs-view.narrow {
  grid-template-columns: minmax(0, 1fr);
}
.main {
  display: grid;
  align-content: start;
  gap: 14px;
  padding: 12px 22px 40px;
  background: var(--sheet);
}
.none,
.note {
  color: var(--ink-soft);
}
.part {
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line-soft);
}
.note {
  font-size: 15px;
}
@media print {
  .needs-view,
  .needs-view.narrow {
    display: block;
    height: auto;
  }
  .main {
    overflow: visible;
    padding: 0;
  }
}
</style>
