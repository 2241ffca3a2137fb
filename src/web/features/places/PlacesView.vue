<script setup lang="ts">
import Button from 'primevue/button'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { counted } from '#words/text'
import SideList from '#web/shared/ui/SideList.vue'
import SidePane from '#web/shared/ui/SidePane.vue'
import UndoButton from '#web/shared/ui/UndoButton.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import AskName from '#web/shared/ui/AskName.vue'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import CupboardFile from './CupboardFile.vue'
import CupboardTable from './CupboardTable.vue'
import PlacePanel from './PlacePanel.vue'
import { usePlaces } from './use-places.ts'

/** The places with their cupboards and rooms. */
const { store, chosen, choose, add } = usePlaces()
const session = useSessionStore()
onMounted(store.load)
useUndoKeys({ undo: () => void store.undo(), redo: () => undefined })

const things = computed(() =>
  store.places.map(({ id, name, rooms, usual }) => ({
    key: id,
    name,
    about: [counted(rooms.length, 'room'), ...(usual ? ['the usual place'] : [])].join(' · '),
  })),
)
const isAdding = ref(false)
async function addNamed(name: string): Promise<void> {
  await add(name)
  isAdding.value = false
}
const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
</script>

<template>
  <div class="places-view" :class="{ narrow }">
    <SideList title="Places" label="Places" :things="things" :current="chosen?.id" @choose="choose">
      <div class="add">
        <Button
          v-if="!isAdding"
          size="small"
          text
          severity="secondary"
          icon="pi pi-plus"
          label="Add a place"
          @click="isAdding = true"
        />
        <AskName
          v-else
          label="Name of the new place"
          verb="Add"
          :taken="store.places.map(({ name }) => name)"
          taken-words="There is a place of that name: give it another."
          :problem="store.problem"
          @named="addNamed"
          @leave="isAdding = false"
        />
      </div>
    </SideList>
    <section class="cupboard scrolls" aria-labelledby="cupboard-title">
      <ViewHead title-id="cupboard-title" :title="chosen ? `The cupboard of ${chosen.name}` : 'The cupboard'">
        <template #about>
          <p v-if="session.document" class="sub">
            <RouterLink :to="{ name: 'needs', params: { id: session.document.id } }"
              >What {{ session.document.name }} needs of it</RouterLink
            >
          </p>
          <p class="sub">Figures, heights and what a class takes go by this; sizes left empty are the usual ones.</p>
        </template>
        <UndoButton :steps="store.steps.length" words="Undo the last change" @undo="store.undo()" />
      </ViewHead>
      <p v-if="store.problem && !isAdding" class="problem" role="alert">{{ store.problem }}</p>
      <template v-if="chosen">
        <CupboardTable :key="chosen.id" />
        <CupboardFile />
      </template>
      <p v-else class="none">No place yet. Add one at the left: a room and its cupboard.</p>
    </section>
    <SidePane v-model:open="drawerOpen" label="The place" opener="The place"><PlacePanel v-if="chosen" /></SidePane>
  </div>
</template>

<style scoped>
.places-view {
  position: relative;
  display: grid;
  grid-template-columns: 218px minmax(0, 1fr) 344px;
  height: 100%;
}
.places-view.narrow {
  grid-template-columns: 200px minmax(0, 1fr);
}
.add {
  padding: 10px 12px;
}
.cupboard {
  display: grid;
  align-content: start;
  gap: 12px;
  padding: 12px 22px 40px;
  background: var(--sheet);
}
.none {
  color: var(--ink-soft);
}
.problem {
  color: var(--avoid);
}
</style>
