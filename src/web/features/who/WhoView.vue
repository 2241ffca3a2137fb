<script setup lang="ts">
import Button from 'primevue/button'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { isAsPlanned } from '#core/class'
import { classWhen } from '#words/class-days'
import { counted } from '#words/text'
import ClassDetails from '#web/shared/house/ClassDetails.vue'
import { usePlacesStore } from '#web/shared/house/places-store.ts'
import ClassPicker from '#web/shared/house/ClassPicker.vue'
import CoverNames from '#web/shared/people/CoverNames.vue'
import SessionAway from '#web/shared/session/SessionAway.vue'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import SidePane from '#web/shared/ui/SidePane.vue'
import UndoButton from '#web/shared/ui/UndoButton.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import BlockPane from './BlockPane.vue'
import CellPane from './CellPane.vue'
import NotToday from './NotToday.vue'
import ThroughPane from './ThroughPane.vue'
import WhoComes from './WhoComes.vue'
import WhoTable from './WhoTable.vue'
import { useWhoView } from './use-who-view.ts'

/** What each who comes takes in the class the session is opened for. */
const route = useRoute()
const store = useSessionStore()
watch(
  () => String(route.params['id'] ?? ''),
  (id) => void store.open(id),
  { immediate: true },
)
const { planned, comers, columns, at, look, open, takeAll, people, classes } = useWhoView()
onMounted(() => {
  void usePlacesStore().load()
  void people.load()
  void classes.load()
})
// What is changed here is the class, and no word of the session.
useUndoKeys({ undo: () => void classes.undo(), redo: () => undefined })

const times = computed(() =>
  columns.value.reduce((sum, { takings }) => sum + takings.filter((one) => !isAsPlanned(one)).length, 0),
)
const sub = computed(() => {
  if (!planned.value) return ''
  const class_ = `${classWhen(planned.value)} · ${counted(comers.value.length, 'person', 'people')}`
  const some = columns.value.length
  if (some === 0) return `${class_} · everybody does all as planned`
  return `${class_} · ${counted(some, 'person takes', 'people take')} something else, ${counted(times.value, 'time')}`
})
/** Come to from Lead, it asks at once, and goes back there. */
const router = useRouter()
const isAsking = ref(route.query['ask'] === 'today')
function stopAsking(): void {
  isAsking.value = false
  if (route.query['ask'] === 'today') void router.push({ name: 'lead', params: { id: route.params['id'] } })
}
const isLooking = computed(() => at.value.personId !== undefined || at.value.blockId !== undefined)
const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
watch(at, () => {
  if (isLooking.value) drawerOpen.value = true
})
</script>

<template>
  <div v-if="store.document && store.timeline" class="who-view" :class="{ narrow }">
    <section class="main scrolls" aria-labelledby="who-title">
      <ViewHead title-id="who-title" title="Who takes what">
        <template #about
          ><p class="sub">{{ sub }}</p></template
        >
        <span class="acts">
          <UndoButton :steps="classes.steps.length" words="Undo the last change of the class" @undo="classes.undo()" />
          <CoverNames />
          <Button
            v-if="planned && comers.length > 0"
            size="small"
            severity="secondary"
            outlined
            label="Not today…"
            @click="isAsking = true"
          />
          <Button
            v-if="open.length > 0"
            size="small"
            :label="`Take what is suggested, ${counted(open.length, 'time')}`"
            @click="takeAll"
          />
        </span>
      </ViewHead>
      <p v-if="classes.problem" class="problem" role="alert">{{ classes.problem }}</p>
      <p v-if="!planned" class="none">
        No class is planned with this session yet. Plan one at the right, and say who comes.
      </p>
      <p v-else-if="comers.length === 0" class="none">Nobody is expected yet. Add who comes at the right.</p>
      <WhoTable v-else />
    </section>
    <SidePane v-model:open="drawerOpen" label="The class" opener="The class">
      <Button
        v-if="isLooking"
        size="small"
        text
        severity="secondary"
        icon="pi pi-arrow-left"
        label="Who comes"
        @click="look(undefined, undefined)"
      />
      <CellPane v-if="at.personId !== undefined && at.blockId !== undefined" />
      <ThroughPane v-else-if="at.personId !== undefined" />
      <BlockPane v-else-if="at.blockId !== undefined" />
      <template v-else>
        <p class="eyebrow">The class</p>
        <ClassPicker without-count :session="store.document" :timeline="store.timeline" />
        <ClassDetails :planned="planned" />
        <WhoComes />
      </template>
    </SidePane>
  </div>
  <SessionAway v-else />
  <NotToday v-if="isAsking && planned" @close="stopAsking" />
</template>

<style scoped>
.who-view {
  position: relative;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 344px;
  height: 100%;
}
.who-view.narrow {
  grid-template-columns: minmax(0, 1fr);
}
.main {
  display: grid;
  align-content: start;
  grid-auto-rows: max-content;
  gap: 14px;
  padding: 12px 22px 40px;
  background: var(--sheet);
}
.acts {
  display: flex;
  gap: 8px;
  flex: none;
}
.none {
  color: var(--ink-soft);
}
.problem {
  color: var(--avoid);
}
</style>
