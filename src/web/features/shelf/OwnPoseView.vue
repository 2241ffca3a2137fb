<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { basePositions } from '#model/common'
import { families } from '#model/family'
import { directions, placesInSession, targets } from '#model/pose'
import type { OwnPose } from '#model/pose'
import type { Problem } from '#model/problem'
import { keepRoll, sayRoll, poseIn } from '#core/session'
import { betweenLimits } from '#model/limits'
import { basePositionNames } from '#words/positions'
import { familyNames } from '#words/families'
import { directionNames } from '#words/directions'
import { placeNames } from '#words/places-in-session'
import { targetNames } from '#words/targets'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import DurationField from '#web/shared/ui/DurationField.vue'
import { levelChoices } from '#words/practices'
import CueEditor from '#web/shared/ui/CueEditor.vue'
import HoldsTable from './HoldsTable.vue'
import LinesField from './LinesField.vue'
import { copyOf, dropDraft, emptyPose, keepDraft, keptDraft } from './own-pose-draft.ts'
import PropRows from './PropRows.vue'
import TickList from './TickList.vue'
import { textOf } from '#web/shared/ui/text-of.ts'
import NumberField from '#web/shared/ui/NumberField.vue'

const route = useRoute()
const router = useRouter()
const own = useOwnStore()

const draft = ref<OwnPose>()
const wasKept = ref(false)
const problem = ref<Problem>()
const away = ref(false)
const others = ref('')

/** The draft of a new pose is kept apart from that of a pose being edited. */
const draftKey =
  typeof route.params['id'] === 'string' ? route.params['id'] : `new ${String(route.query['from'] ?? '')}`
const isNew = computed(() => route.name === 'own-pose-new')

onMounted(async () => {
  await own.load()
  const kept = keptDraft(draftKey)
  wasKept.value = kept !== undefined
  begin(kept ?? fresh())
})

/** What the page starts from: the pose edited, a copy of another, or an empty one. */
function fresh(): OwnPose | undefined {
  const { id } = route.params
  if (typeof id === 'string') {
    const thing = own.find('pose', id)
    return thing?.kind === 'pose' ? structuredClone(thing.document) : undefined
  }
  const from = typeof route.query['from'] === 'string' ? poseIn(own.catalog, route.query['from']) : undefined
  return from ? copyOf(from) : emptyPose()
}

function begin(pose: OwnPose | undefined): void {
  draft.value = pose
  others.value = pose?.names.others.join(', ') ?? ''
}
function discard(): void {
  dropDraft(draftKey)
  wasKept.value = false
  begin(fresh())
}
watch(
  draft,
  (now, before) => {
    if (now && before) keepDraft(draftKey, now)
  },
  { deep: true },
)

const refusals = computed(
  () => new Map((problem.value?.refusals ?? []).map(({ path, sentence }) => [path.replace(/\[.*$/, ''), sentence])),
)
const refusal = (path: string) => refusals.value.get(path)

const choices = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => ({ value, words: names[value] }))
const bases = choices(basePositions, basePositionNames)
const practices = [
  { value: 'restorative' as const, words: 'restorative' },
  { value: 'yin' as const, words: 'yin' },
]
const turns = [
  { value: 'never', words: 'The head is not turned' },
  { value: 'half time', words: 'Turned, and the other way from half time' },
]
const counterChoices = computed(() =>
  [...own.shelf.ownPoses.values(), ...own.shelf.poses.values()]
    .filter(({ id }) => id !== draft.value?.id)
    .map(({ id, names }) => ({ value: id, words: names.english }))
    .sort((a, b) => a.words.localeCompare(b.words)),
)

/** In an each-side pose words are written for the left side and kept for both. */
const sided = computed(() => draft.value?.sides !== undefined)

function setSided(sided: boolean): void {
  const pose = draft.value
  if (!pose) return
  if (sided) pose.sides = { left: '', right: '' }
  else delete pose.sides
}
function setOthers(): void {
  if (draft.value)
    draft.value.names.others = others.value
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== '')
}
function setSanskrit(typed: string): void {
  const names = draft.value?.names
  if (!names) return
  if (typed.trim() === '') delete names.sanskrit
  else names.sanskrit = typed.trim()
}

async function save(): Promise<void> {
  if (!draft.value) return
  problem.value = undefined
  away.value = false
  const outcome = await own.put('pose', draft.value)
  if (outcome.kind === 'done') {
    dropDraft(draftKey)
    await router.push({ name: 'shelf-page', params: { id: draft.value.id } })
  } else if (outcome.kind === 'refused') problem.value = outcome.problem
  else away.value = true
  if (outcome.kind !== 'done') document.querySelector('.own-pose')?.scrollTo({ top: 0 })
}
const mends = computed(
  () => problem.value?.refusals?.map(({ sentence }) => sentence) ?? (problem.value ? [problem.value.detail] : []),
)
</script>

<template>
  <div class="page own-pose">
    <form v-if="draft" class="page-sheet" @submit.prevent="save">
      <h1>{{ isNew ? 'A pose of your own' : draft.names.english }}</h1>
      <p v-if="wasKept" class="kept">
        What you had typed and not saved is here again.
        <Button text size="small" severity="secondary" label="Start afresh" @click="discard" />
      </p>
      <div v-if="mends.length > 0 || away" class="refused" role="alert">
        <b>Not saved yet.</b>
        <span v-if="away">
          Zovrin’s server does not answer; what you typed is kept in this browser. Start the server, then save
          again.</span
        >
        <ul>
          <li v-for="mend in mends" :key="mend">{{ mend }}</li>
        </ul>
      </div>

      <h2>Names</h2>
      <div class="three">
        <div>
          <label for="pose-name">English name</label>
          <InputText
            id="pose-name"
            v-model="draft.names.english"
            fluid
            maxlength="120"
            :invalid="refusal('names.english') !== undefined"
          />
        </div>
        <div>
          <label for="pose-sanskrit">Sanskrit, if in use</label>
          <InputText
            id="pose-sanskrit"
            fluid
            maxlength="120"
            lang="sa-Latn"
            :model-value="draft.names.sanskrit ?? ''"
            @change="setSanskrit(textOf($event))"
          />
        </div>
        <div>
          <label for="pose-others">Other names, with commas between</label>
          <InputText id="pose-others" v-model="others" fluid maxlength="600" @change="setOthers" />
        </div>
      </div>

      <h2>Shape</h2>
      <div class="three">
        <div>
          <label id="pose-enter">Entered from</label>
          <Select
            v-model="draft.base.enter"
            aria-labelledby="pose-enter"
            fluid
            :options="bases"
            option-label="words"
            option-value="value"
          />
        </div>
        <div>
          <label id="pose-leave">Comes out into</label>
          <Select
            v-model="draft.base.leave"
            aria-labelledby="pose-leave"
            fluid
            :options="bases"
            option-label="words"
            option-value="value"
          />
        </div>
        <div>
          <label id="pose-sided">Sides</label>
          <Select
            aria-labelledby="pose-sided"
            fluid
            :model-value="draft.sides !== undefined"
            :options="[
              { value: false, words: 'both at once' },
              { value: true, words: 'each side' },
            ]"
            option-label="words"
            option-value="value"
            @update:model-value="setSided"
          />
        </div>
      </div>
      <div v-if="draft.sides" class="two">
        <div>
          <label for="pose-left">Left, in the body’s terms</label>
          <InputText
            id="pose-left"
            v-model="draft.sides.left"
            fluid
            maxlength="300"
            placeholder="left knee bent, right leg long"
          />
        </div>
        <div>
          <label for="pose-right">Right, in the body’s terms</label>
          <InputText
            id="pose-right"
            v-model="draft.sides.right"
            fluid
            maxlength="300"
            placeholder="right knee bent, left leg long"
            :invalid="refusal('sides.right') !== undefined"
          />
        </div>
      </div>
      <TickList
        v-model="draft.targets"
        legend="Felt in"
        :options="choices(targets, targetNames)"
        :refusal="refusal('targets')"
      />
      <TickList
        v-model="draft.directions"
        legend="Direction"
        :options="choices(directions, directionNames)"
        :refusal="refusal('directions')"
      />
      <TickList
        v-model="draft.places"
        legend="Place in a session"
        :options="choices(placesInSession, placeNames)"
        :refusal="refusal('places')"
      />
      <TickList v-model="draft.practices" legend="Practice" :options="practices" :refusal="refusal('practices')" />
      <div class="three">
        <NumberField
          label="Felt at least, of 10"
          :value="draft.sensation.from"
          :least="0"
          :most="10"
          @change="draft.sensation.from = $event"
        />
        <div>
          <NumberField
            label="at most, of 10"
            :value="draft.sensation.to"
            :least="0"
            :most="10"
            @change="draft.sensation.to = $event"
          />
          <p v-if="refusal('sensation')" class="refusal" role="alert">{{ refusal('sensation') }}</p>
        </div>
        <div>
          <label id="pose-level">Usually from</label>
          <Select
            v-model="draft.fromLevel"
            aria-labelledby="pose-level"
            fluid
            :options="levelChoices"
            option-label="words"
            option-value="value"
          />
        </div>
      </div>

      <h2>Cautions</h2>
      <p class="note">Tick every family the shape belongs to: its cautions and its first ceilings come from there.</p>
      <TickList
        v-model="draft.families"
        legend="Families"
        :options="choices(families, familyNames)"
        :refusal="refusal('families')"
      />

      <h2>Times</h2>
      <HoldsTable v-model="draft.holds" :refusals="refusals" />
      <div class="times">
        <DurationField
          label="Set-up, new"
          :seconds="draft.times.setUpS.new"
          :limits="betweenLimits"
          @change="draft.times.setUpS.new = $event"
        />
        <DurationField
          label="regular"
          :seconds="draft.times.setUpS.regular"
          :limits="betweenLimits"
          @change="draft.times.setUpS.regular = $event"
        />
        <DurationField
          label="experienced"
          :seconds="draft.times.setUpS.experienced"
          :limits="betweenLimits"
          @change="draft.times.setUpS.experienced = $event"
        />
        <DurationField
          label="Settle"
          :seconds="draft.times.settleS"
          :limits="betweenLimits"
          @change="draft.times.settleS = $event"
        />
        <DurationField
          label="Coming out"
          :seconds="draft.times.comingOutS"
          :limits="betweenLimits"
          @change="draft.times.comingOutS = $event"
        />
        <DurationField
          v-if="draft.sides"
          label="Between sides"
          :seconds="draft.times.betweenSidesS"
          :limits="betweenLimits"
          @change="draft.times.betweenSidesS = $event"
        />
        <DurationField
          label="After-rest, restorative"
          :seconds="draft.times.afterRestS.restorative"
          :limits="betweenLimits"
          @change="draft.times.afterRestS.restorative = $event"
        />
        <DurationField
          label="After-rest, yin"
          :seconds="draft.times.afterRestS.yin"
          :limits="betweenLimits"
          @change="draft.times.afterRestS.yin = $event"
        />
      </div>

      <h2>Words</h2>
      <p v-if="draft.sides" class="note">
        Write for the left side: left and right change over by themselves on the other. Press one of them below to keep
        it as it stands.
      </p>
      <span class="label">Cues</span>
      <CueEditor v-model="draft.cues" :sided="sided" />
      <LinesField
        v-model="draft.looksFor"
        label="What the teacher looks for"
        note="one a line"
        :sided="sided"
        :refusal="refusal('looksFor')"
      />
      <LinesField
        v-model="draft.mistakes"
        label="What goes wrong"
        note="one a line"
        :sided="sided"
        :refusal="refusal('mistakes')"
      />
      <LinesField
        v-model="draft.comingOut"
        label="Coming out"
        note="one step a line, in order"
        :sided="sided"
        :read="(step) => sayRoll(step, 'either')"
        :write="keepRoll"
        :refusal="refusal('comingOut')"
      />
      <div class="two">
        <div>
          <label for="pose-head">Where the head rests</label>
          <InputText
            id="pose-head"
            v-model="draft.head.rests"
            fluid
            maxlength="300"
            :invalid="refusal('head.rests') !== undefined"
          />
        </div>
        <div>
          <label id="pose-turned">Whether it is turned</label>
          <Select
            v-model="draft.head.turned"
            aria-labelledby="pose-turned"
            fluid
            :options="turns"
            option-label="words"
            option-value="value"
          />
        </div>
      </div>

      <h2>Props and neighbours</h2>
      <span class="label">Props, per person</span>
      <PropRows v-model="draft.props" />
      <label for="pose-without">Its form without them</label>
      <InputText
        id="pose-without"
        v-model="draft.withoutProps"
        fluid
        maxlength="300"
        :invalid="refusal('withoutProps') !== undefined"
      />
      <details>
        <summary>Counterposes, what it warms and wants warm, energy lines</summary>
        <TickList v-model="draft.counterposes" legend="Counterposes" :options="counterChoices" />
        <TickList v-model="draft.warms" legend="Warms" :options="choices(targets, targetNames)" />
        <TickList v-model="draft.wantsWarm" legend="Wants warm" :options="choices(targets, targetNames)" />
        <LinesField v-model="draft.energyLines" label="Energy lines" note="one a line" />
      </details>

      <div class="acts">
        <Button type="submit" label="Save" />
        <Button severity="secondary" outlined label="Back to the shelf" @click="router.push({ name: 'shelf' })" />
        <span class="note">What you type is kept in this browser until it is saved.</span>
      </div>
    </form>
    <div v-else class="page-sheet">
      <p>There is no pose of your own here. <RouterLink :to="{ name: 'shelf' }">See all of the shelf</RouterLink>.</p>
    </div>
  </div>
</template>

<style scoped>
h2 {
  margin: 22px 0 4px;
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
label,
.label {
  display: block;
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
.two,
.three,
.times {
  display: grid;
  gap: 0 14px;
}
.two {
  grid-template-columns: 1fr 1fr;
}
.three {
  grid-template-columns: repeat(3, 1fr);
}
.times {
  grid-template-columns: repeat(4, 1fr);
  gap: 8px 14px;
  margin-top: 10px;
}
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.kept,
.refused {
  margin-top: 10px;
  padding: 8px 12px;
  border-left: 5px solid var(--ink);
  background: var(--line-soft);
}
.refused {
  border-color: var(--avoid);
  background: var(--avoid-wash);
}
.refusal {
  color: var(--avoid);
  font-size: 14px;
}
details {
  margin-top: 14px;
}
summary {
  cursor: pointer;
  font-weight: 650;
}
.acts {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 22px;
}
</style>
