<script setup lang="ts">
import { useElementSize, useMediaQuery } from '@vueuse/core'
import Checkbox from 'primevue/checkbox'
import SelectButton from 'primevue/selectbutton'
import ToggleButton from 'primevue/togglebutton'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { standsFirmly } from '#core/comfort'
import { isPlaced } from '#core/props'
import { basePositionNames } from '#words/positions'
import FigureDrawing from '#web/shared/figures/FigureDrawing.vue'
import { heightsText } from '#words/heights'
import { captionWords } from '#words/measures'
import { useInstead } from '#web/shared/house/use-instead.ts'
import SessionAway from '#web/shared/session/SessionAway.vue'
import { useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import SidePane from '#web/shared/ui/SidePane.vue'
import ViewHead from '#web/shared/ui/ViewHead.vue'
import BetweenSetUps from './BetweenSetUps.vue'
import PartsPane from './PartsPane.vue'
import SavePicture from './SavePicture.vue'
import SetUpList from './SetUpList.vue'
import StepsRow from './StepsRow.vue'
import StatureField from './StatureField.vue'
import ThreeHeights from './ThreeHeights.vue'
import { keyOf } from './used.ts'
import { usePicture } from './use-picture.ts'
import { useProps } from './use-props.ts'

const route = useRoute()
const router = useRouter()
const {
  store,
  used,
  chosen,
  chosenKey,
  choose,
  usual,
  hasTheirs,
  items,
  setUp,
  figure,
  statureCm,
  lateInPregnancy,
  isTheirsLate,
  picture,
  looked,
  measures,
  findings,
  unit,
  loadPlaces,
  undo,
  redo,
} = useProps()
const { insteadIn } = useInstead(
  () => store.document && store.timeline && { document: store.document, timeline: store.timeline },
)
watch(
  () => String(route.params['id'] ?? ''),
  (id) => void store.open(id),
  { immediate: true },
)
onMounted(loadPlaces)
/** What another view asks to be looked at. */
watch(
  [() => route.hash, () => store.document?.id],
  ([hash, id]) => {
    if (hash === '' || id === undefined) return
    chosenKey.value = keyOf({ id }, { id: hash.slice(1) })
    void router.replace({ hash: '' })
  },
  { immediate: true },
)
useUndoKeys({ undo, redo })

const frame = useTemplateRef('frame')
const { view, views, side, sidesShown, seenFrom, drawing } = usePicture(useElementSize(frame))

/** Beside each other instead of one in full, on the screen. */
const isThree = ref(false)
function lookAt(cm: number): void {
  statureCm.value = cm
  isThree.value = false
}
/** Which side is meant, where the pose has two. */
const meant = computed(() => (sidesShown.value.length > 0 ? side.value : undefined))

const drawnFigure = () => frame.value?.querySelector('svg')
const savingTold = ref('')

const [asHere, asTheirs] = ['as here', 'as theirs']
const choices = computed(() => [
  ...(chosen.value?.isOwn ? [{ value: asHere, words: 'As in this session' }] : []),
  ...(hasTheirs.value ? [{ value: asTheirs, words: 'Theirs' }] : []),
  ...(chosen.value?.choices.map(({ id, name }) => ({ value: id, words: name })) ?? []),
])
function pick(id: string | null): void {
  if (id === asTheirs) usual()
  else if (id !== null && id !== asHere) choose(id)
}
const told = computed(() =>
  measures.value.filter(({ mark }) => mark === undefined).map((measure) => captionWords(measure, unit.value)),
)
/** How it stands; what was only listed is under nobody yet. */
const standing = computed(() => {
  if (!items.value.every(isPlaced)) return 'Not all of it has its place yet'
  return standsFirmly(findings.value) ? 'Stands firmly' : 'A stack wants a look'
})
const sub = computed(() =>
  [
    chosen.value?.base && basePositionNames[chosen.value.base],
    ...(chosen.value?.figure
      ? [
          seenFrom.value,
          looked.value ? `as for ${heightsText(looked.value, unit.value)}` : `person of ${String(statureCm.value)} cm`,
          lateInPregnancy.value ? 'late in pregnancy' : undefined,
        ]
      : []),
  ].filter((part) => part !== undefined),
)
const spoken = computed(() =>
  [
    `${chosen.value?.name ?? ''}, ${sub.value.join(' · ')}`,
    ...(drawing.value?.labels.map(({ text }) => text) ?? []),
  ].join('; '),
)

/** Below this width the right pane is a drawer [design]. */
const narrow = useMediaQuery('(max-width: 1179px)')
const drawerOpen = ref(false)
</script>

<template>
  <div v-if="store.document" class="props-view" :class="{ narrow }">
    <SetUpList />
    <section class="picture scrolls" :aria-label="chosen ? `The set-up of ${chosen.name}` : 'No set-up'">
      <ViewHead v-if="chosen" class="head" :title="chosen.name">
        <template #about
          ><p class="sub">
            <span v-for="part in sub" :key="part">{{ part }}</span>
          </p></template
        >
        <SelectButton
          v-model="view"
          class="views"
          :options="views"
          option-label="words"
          option-value="value"
          :allow-empty="false"
          size="small"
          aria-label="Seen from"
        />
      </ViewHead>
      <div v-if="chosen" class="choices">
        <SelectButton
          v-if="choices.length > 0"
          :model-value="chosen.isOwn ? asHere : chosen.isTheirs ? asTheirs : setUp?.id"
          :options="choices"
          option-label="words"
          option-value="value"
          :allow-empty="false"
          size="small"
          aria-label="Which set-up"
          @update:model-value="pick"
        />
        <SelectButton
          v-if="sidesShown.length > 0"
          v-model="side"
          :options="sidesShown"
          option-label="words"
          option-value="value"
          :allow-empty="false"
          size="small"
          aria-label="Which side"
        />
        <StepsRow />
        <p v-for="line in insteadIn(chosen.block.id)" :key="line" class="instead"><b>This class:</b> {{ line }}</p>
      </div>
      <div ref="frame" class="frame">
        <ThreeHeights v-if="drawing && isThree" class="on-screen" :view="view" :side="meant" @chosen="lookAt" />
        <FigureDrawing v-if="drawing" :class="{ 'on-paper': isThree }" :drawing="drawing" :words="spoken" />
        <p v-else-if="chosen && !figure" class="nothing">
          {{
            chosen.poseId
              ? 'This pose has no figure yet. A pose of your own takes the figure of the pose it was made from.'
              : 'Breath work and rests are not drawn: what they take is listed, fetched and counted.'
          }}
        </p>
        <p v-else-if="chosen && !picture" class="nothing">
          {{ findings.length > 0 ? 'This cannot be drawn as it stands: what is wrong stands at the right.' : '' }}
        </p>
        <p v-else-if="used.length === 0" class="nothing">
          Nothing lies here yet.
          <RouterLink :to="{ name: 'plan', params: { id: store.document.id } }">Add a pose in Plan</RouterLink>.
        </p>
      </div>
      <footer v-if="chosen && picture">
        <p v-if="told.length > 0" class="told" :class="{ 'on-paper': isThree }">
          <span v-for="one in told" :key="one.words"
            >{{ one.words }} <b>{{ one.value }}</b></span
          >
        </p>
        <p v-if="drawing && drawing.left.length > 0" class="told" :class="{ 'on-paper': isThree }">
          Also: {{ drawing.left.join(', ') }}
        </p>
        <p class="estimate">{{ standing }} · heights are estimates within 15 %, comfort decides</p>
        <div class="below">
          <StatureField v-model="statureCm" />
          <span class="late">
            <Checkbox v-model="lateInPregnancy" binary input-id="late-in-pregnancy" :disabled="isTheirsLate" />
            <label for="late-in-pregnancy">Late pregnancy</label>
          </span>
          <ToggleButton v-model="isThree" size="small" on-label="Three heights" off-label="Three heights" />
          <SavePicture
            v-if="drawing && !isThree"
            :name="chosen.name"
            :figure="drawnFigure"
            @told="savingTold = $event"
          />
        </div>
        <p v-if="savingTold" role="alert">{{ savingTold }}</p>
      </footer>
    </section>
    <BetweenSetUps class="under" />
    <SidePane v-model:open="drawerOpen" label="Under each part" opener="Under each part"
      ><PartsPane v-if="chosen"
    /></SidePane>
  </div>
  <SessionAway v-else />
</template>

<style scoped>
.props-view {
  position: relative;
  display: grid;
  grid-template-columns: 218px minmax(0, 1fr) 344px;
  grid-template-rows: minmax(0, 1fr) auto;
  height: 100%;
}
.under {
  grid-area: 2 / 1 / 3 / 3;
  max-height: 31vh;
}
/* The drawer's button stands over its end. */
.narrow .under {
  padding-bottom: 60px;
}
.props-view:not(.narrow) > :deep(.pane) {
  grid-area: 1 / 3 / 3 / 4;
}
.props-view.narrow {
  grid-template-columns: 200px minmax(0, 1fr);
}
.picture {
  display: flex;
  flex-direction: column;
  min-width: 0;
  background: var(--ground);
}
.head {
  padding: 12px 18px 0;
}
.sub span {
  display: inline-block;
}
.sub span:not(:last-child)::after {
  content: '\a0·\a0';
}
.views {
  flex: none;
}
.below {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: center;
  gap: 4px 14px;
}
.late {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 15px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  padding: 10px 18px 0;
}
.frame {
  flex: 1;
  min-height: 200px;
  overflow: hidden;
}
.nothing {
  display: grid;
  place-content: center;
  height: 100%;
  padding: 24px;
  text-align: center;
}
footer {
  display: grid;
  justify-items: center;
  gap: 6px;
  padding: 6px 18px 16px;
  text-align: center;
}
.told {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 2px 22px;
}
.estimate {
  font-size: 15px;
  color: #4b5854;
}
/* On a phone: the set-ups in a row, and the one that is looked at under them over the whole width. */
@media (max-width: 700px) {
  .props-view.narrow {
    display: block;
    overflow-y: auto;
  }
  .props-view :deep(.open-drawer) {
    position: sticky !important;
    left: 100%;
  }
  .props-view :deep(.pane.narrow) {
    position: fixed;
    inset: 56px 0 34px auto;
    max-width: 100%;
  }
  .frame {
    flex: none;
    height: 240px;
  }
  .under {
    max-height: none;
    overflow-x: auto;
  }
  .under :deep(.list) {
    min-width: 640px;
  }
  .head {
    flex-wrap: wrap;
  }
  .choices :deep(.p-selectbutton),
  .views {
    flex: initial;
    flex-wrap: wrap;
  }
  .props-view :deep(.side-list) {
    border: 0;
    border-bottom: 1px solid var(--line);
  }
  .props-view :deep(.side-list ul) {
    display: flex;
    overflow-x: auto;
  }
  .props-view :deep(.side-list li) {
    flex: 0 0 150px;
    border: 0;
    border-top: 1px solid var(--line);
    border-right: 1px solid var(--line);
  }
  .props-view :deep(.side-list button) {
    height: 100%;
  }
}
/* A sheet is for one height: that at which the set-up is looked at. */
@media screen {
  .on-paper {
    display: none;
  }
}
@media print {
  .props-view,
  .props-view.narrow {
    display: block;
    height: auto;
  }
  .picture,
  .frame {
    display: block;
    background: none;
    overflow: visible;
  }
  .under {
    max-height: none;
  }
  .on-screen,
  .views,
  .below,
  .choices,
  .props-view :deep(nav),
  .picture :deep(.stature) {
    display: none;
  }
}
</style>
