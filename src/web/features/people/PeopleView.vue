<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { useMediaQuery } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { calledName } from '#words/people'
import { counted } from '#words/text'
import { askAgain } from '#core/class'
import { foldMarks } from '#core/units'
import CoverNames from '#web/shared/people/CoverNames.vue'
import { useNames } from '#web/shared/people/names.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import AskName from '#web/shared/ui/AskName.vue'
import SideList from '#web/shared/ui/SideList.vue'
import SidePane from '#web/shared/ui/SidePane.vue'
import UndoButton from '#web/shared/ui/UndoButton.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import HandOver from './HandOver.vue'
import IntakeSheet from './IntakeSheet.vue'
import ClassesToCome from './ClassesToCome.vue'
import PeopleFile from './PeopleFile.vue'
import PersonForm from './PersonForm.vue'
import PersonPane from './PersonPane.vue'
import { usePeople } from './use-people.ts'

/** Who comes: a list to find somebody in, and their page. */
const { store, chosen, choose, add, today } = usePeople()
const { covered, called } = useNames()
useUndoKeys({ undo: () => void store.undo(), redo: () => undefined })
onMounted(() => {
  void store.load()
  void usePlannedClassesStore().load()
})

const wanted = ref('')
const things = computed(() =>
  store.people.flatMap((person, at) => {
    const isMeant = foldMarks(`${person.name} ${calledName(person)}`).includes(foldMarks(wanted.value.trim()))
    const old = askAgain(person, today()).length
    const about = old > 0 ? 'ask again' : (person.level ?? '')
    return isMeant || covered.value ? [{ key: person.id, name: called(person, at), about }] : []
  }),
)
const place = computed(() => store.people.findIndex(({ id }) => id === chosen.value?.id))
const print = (): void => {
  window.print()
}
const [isAdding, isHanding] = [ref(false), ref(false)]
async function addNamed(name: string): Promise<void> {
  isAdding.value = false
  wanted.value = ''
  await add(name)
}
/** On paper the form stands alone, and is set out only for that. */
const printing = useMediaQuery('print')
const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
</script>

<template>
  <div class="people-view" :class="{ narrow }">
    <IntakeSheet v-if="printing" />
    <SideList title="People" label="People" :things="things" :current="chosen?.id" @choose="choose">
      <template #top>
        <div class="find">
          <InputText
            v-model="wanted"
            fluid
            size="small"
            type="search"
            placeholder="Find somebody"
            aria-label="Find somebody by name"
            :disabled="covered"
          />
        </div>
        <div class="add">
          <Button
            v-if="!isAdding"
            size="small"
            text
            severity="secondary"
            icon="pi pi-plus"
            label="Add somebody"
            @click="isAdding = true"
          />
          <AskName
            v-else
            label="Their name"
            verb="Add"
            :taken="[]"
            taken-words=""
            @named="addNamed"
            @leave="isAdding = false"
          />
          <PeopleFile v-if="!covered" />
          <CoverNames />
          <Button
            size="small"
            text
            severity="secondary"
            icon="pi pi-print"
            label="A form on paper"
            title="Print a form that somebody fills in for themselves"
            @click="print"
          />
        </div>
      </template>
      <p v-if="store.people.length > 0 && things.length === 0" class="none">Nobody of that name.</p>
    </SideList>
    <section class="page-of scrolls" aria-labelledby="person-title">
      <ViewHead title-id="person-title" :title="chosen ? called(chosen, place) : 'People'">
        <template #about>
          <p v-if="!chosen" class="sub">
            {{
              store.people.length === 0
                ? 'Nobody yet. Add somebody at the left: a name is enough, all else can be left unsaid.'
                : `${counted(store.people.length, 'person', 'people')}. Choose one at the left to see their page.`
            }}
          </p>
        </template>
        <span class="acts">
          <Button
            v-if="chosen && !covered"
            size="small"
            severity="secondary"
            outlined
            icon="pi pi-tablet"
            label="Hand it over…"
            title="They fill in their own page on this device; a code brings you back"
            @click="isHanding = true"
          />
          <UndoButton v-if="chosen" :steps="store.steps.length" words="Undo the last change" @undo="store.undo()" />
        </span>
      </ViewHead>
      <p v-if="store.problem" class="problem" role="alert">
        {{ store.problem }}
        <Button
          v-if="store.unsaved.size > 0"
          size="small"
          severity="secondary"
          outlined
          label="Try again"
          @click="store.tryAgain()"
        />
      </p>
      <p v-if="chosen && covered">Covered. Press H, or “Show names” at the left.</p>
      <PersonForm v-else-if="chosen" :key="chosen.id" />
      <ClassesToCome v-else />
    </section>
    <HandOver v-if="isHanding && chosen" :person-id="chosen.id" @close="isHanding = false" />
    <SidePane v-model:open="drawerOpen" label="What follows" opener="What follows"
      ><PersonPane v-if="chosen && !covered" :key="chosen.id"
    /></SidePane>
  </div>
</template>

<style scoped>
.people-view {
  position: relative;
  display: grid;
  grid-template-columns: 218px minmax(0, 1fr) 344px;
  height: 100%;
}
.people-view.narrow {
  grid-template-columns: 200px minmax(0, 1fr);
}
.find {
  padding: 0 14px 10px;
}
.add {
  display: grid;
  justify-items: start;
  gap: 4px;
  padding: 0 12px 8px;
}
.none {
  padding: 10px 16px;
  color: var(--ink-soft);
}
.page-of {
  display: grid;
  align-content: start;
  gap: 12px;
  padding: 12px 22px 40px;
  background: var(--sheet);
}
.acts {
  display: flex;
  align-items: center;
  gap: 8px;
  white-space: nowrap;
}
.problem {
  color: var(--avoid);
}
/* On paper there is nobody: the form alone. */
@media print {
  .people-view,
  .people-view.narrow {
    display: block;
    height: auto;
  }
  .people-view > :deep(*:not(.intake)) {
    display: none !important;
  }
}
</style>
