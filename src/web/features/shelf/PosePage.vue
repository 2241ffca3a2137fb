<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { levels } from '#model/common'
import type { Pose } from '#model/pose'
import { factsOf } from '#model/problem'
import { cautionProps } from '#core/cautions'
import { firstCeilingS, formOf, mirrorText, poseIn, sayRoll, setUpsFor, wordingOf } from '#core/session'
import { formatDuration } from '#core/units'
import { basePositionNames } from '#words/positions'
import { familyNames } from '#words/families'
import { directionNames } from '#words/directions'
import { placeNames } from '#words/places-in-session'
import { countedProp } from '#words/props'
import { targetNames } from '#words/targets'
import CautionList from '#web/shared/cautions/CautionList.vue'
import { levelChoices } from '#words/practices'
import { momentWords, soundWords } from '#words/cues'
import OwnVariants from './OwnVariants.vue'
import PageHead from './PageHead.vue'
import PosePictures from './PosePictures.vue'
import { useShelf } from './use-shelf.ts'
import './page.css'

const props = defineProps<{ pose: Pose }>()
const router = useRouter()
const { own, session } = useShelf()
const refused = ref('')
/** Where it is used, to be changed there first. */
const usedIn = ref<readonly { readonly id: string; readonly name: string }[]>([])

const levelWords = { new: 'everyone', regular: 'regular people and up', experienced: 'experienced people' } as const
const isOwn = computed(() => own.find('pose', props.pose.id) !== undefined)
const side = computed(() => (props.pose.sides ? 'left' : 'both'))
const say = (text: string) => mirrorText(text, side.value)
const named = <T extends string>(values: readonly T[], names: Readonly<Record<T, string>>) =>
  values.map((value) => names[value]).join(', ')

const line = computed(() => {
  const { base, sides, practices, sensation } = props.pose
  const leave = base.leave === base.enter ? '' : `, left ${basePositionNames[base.leave]}`
  return [
    `${basePositionNames[base.enter]}${leave}`,
    sides ? 'each side' : 'both sides at once',
    practices.join(' and '),
    `felt ${String(sensation.from)}–${String(sensation.to)} of 10`,
  ].join(' · ')
})
const holds = computed(() =>
  (['restorative', 'yin'] as const).map((practice) => ({
    practice,
    cells: levels.map((level) => {
      const { fromS, usualS, toS } = props.pose.holds[practice][level]
      return {
        level,
        range: `${formatDuration(fromS)}–${formatDuration(toS)}`,
        usual: formatDuration(usualS),
        past: toS > firstCeilingS(own.catalog.ceilings, props.pose, level),
      }
    }),
  })),
)
const ceilings = computed(() =>
  levels.map((level) => formatDuration(firstCeilingS(own.catalog.ceilings, props.pose, level))),
)
const times = computed(() => {
  const { setUpS, settleS, comingOutS, betweenSidesS, afterRestS, changeS = 0 } = props.pose.times
  return [
    ...(changeS > 0 ? [['Change into it', formatDuration(changeS)]] : []),
    ['Set-up, new · regular · experienced', levels.map((level) => formatDuration(setUpS[level])).join(' · ')],
    ['Settle', formatDuration(settleS)],
    ['Coming out', formatDuration(comingOutS)],
    ...(props.pose.sides ? [['Between sides', formatDuration(betweenSidesS)]] : []),
    ['Rest after, restorative · yin', `${formatDuration(afterRestS.restorative)} · ${formatDuration(afterRestS.yin)}`],
  ] as const
})
const cues = computed(() =>
  [...props.pose.cues, ...(props.pose.yinCues ?? [])].map((cue) => ({
    id: cue.id,
    when: `${props.pose.yinCues?.includes(cue) ? 'in yin, ' : ''}${momentWords(cue.at)}`,
    text: [say(cue.text ?? ''), soundWords(cue.sound)].filter(Boolean).join(', '),
  })),
)
const counters = computed(() => props.pose.counterposes.flatMap((id) => poseIn(own.catalog, id) ?? []))
/** Of every set-up there is for it; without any, what the pose takes. */
const propsInUse = computed(() => {
  const items = setUpsFor(own.catalog, props.pose.id).flatMap((setUp) => setUp.items)
  return (items.length > 0 ? items : props.pose.props).map(({ kind }) => kind)
})
const practised = computed(() => ({
  families: props.pose.families,
  props: cautionProps(propsInUse.value),
}))
const school = computed(() => own.catalog.schools.get(session.document?.schoolId ?? 'mixed'))
const answers = computed(() => (school.value ? { ...school.value.answers, ...session.document?.answers } : undefined))
const comingOut = computed(() =>
  answers.value
    ? formOf(props.pose, undefined, answers.value, wordingOf(session.document?.wording).roll).pose.comingOut
    : props.pose.comingOut.map((step) => sayRoll(step, 'either')),
)
const withLines = ref(answers.value?.energyLines === 'on')

async function remove(): Promise<void> {
  const outcome = await own.remove('pose', props.pose.id)
  usedIn.value = (outcome.kind === 'refused' ? factsOf(outcome.problem, 'IN_USE')?.sessions : undefined) ?? []
  if (outcome.kind === 'done') await router.push({ name: 'shelf' })
  else
    refused.value =
      outcome.kind === 'refused'
        ? outcome.problem.detail
        : 'Zovrin’s server does not answer: nothing was removed. Start it and try again.'
}
</script>

<template>
  <article class="shelf-page">
    <PageHead :names="pose.names" :line="line" :thing="{ kind: 'hold', id: pose.id }">
      <Button
        v-if="isOwn"
        severity="secondary"
        outlined
        label="Edit"
        @click="router.push({ name: 'own-pose-edit', params: { id: pose.id } })"
      />
      <Button
        severity="secondary"
        outlined
        label="Copy as your own"
        @click="router.push({ name: 'own-pose-new', query: { from: pose.id } })"
      />
      <Button v-if="isOwn" severity="secondary" outlined label="Delete" @click="remove" />
    </PageHead>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <p v-if="usedIn.length > 0" class="used">
      Open
      <template v-for="({ id, name }, index) in usedIn" :key="id"
        >{{ index > 0 ? ', ' : '' }}<RouterLink :to="{ name: 'plan', params: { id } }">{{ name }}</RouterLink></template
      >
    </p>
    <PosePictures :pose="pose" />
    <CautionList full :practised="practised" />
    <div class="columns">
      <div class="column">
        <section>
          <h2>What it does</h2>
          <dl class="pairs">
            <div>
              <dt>Felt in</dt>
              <dd>{{ named(pose.targets, targetNames) }}</dd>
            </div>
            <div>
              <dt>Direction</dt>
              <dd>{{ named(pose.directions, directionNames) }}</dd>
            </div>
            <div>
              <dt>Place in a session</dt>
              <dd>{{ named(pose.places, placeNames) }}</dd>
            </div>
            <div v-if="pose.warms.length > 0">
              <dt>Warms</dt>
              <dd>{{ named(pose.warms, targetNames) }}</dd>
            </div>
            <div v-if="pose.wantsWarm.length > 0">
              <dt>Wants warm</dt>
              <dd>{{ named(pose.wantsWarm, targetNames) }}</dd>
            </div>
            <div>
              <dt>Usual for</dt>
              <dd>{{ levelWords[pose.fromLevel] }}</dd>
            </div>
            <div>
              <dt>Cautions of</dt>
              <dd>{{ named(pose.families, familyNames) }}</dd>
            </div>
          </dl>
          <template v-if="pose.sides">
            <p class="soft">Left: {{ pose.sides.left }}.</p>
            <p class="soft">Right: {{ pose.sides.right }}.</p>
          </template>
        </section>
        <section>
          <h2>Usual hold <small>shortest–longest, and where a new block starts</small></h2>
          <table class="holds">
            <thead>
              <tr>
                <th />
                <th v-for="choice in levelChoices" :key="choice.value" scope="col">{{ choice.words }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="{ practice, cells } in holds" :key="practice">
                <th scope="row">{{ practice }}</th>
                <td v-for="cell in cells" :key="cell.level">
                  {{ cell.range }} <small>{{ cell.usual }}</small><small v-if="cell.past" class="past">
                    past the first ceiling</small
                  >
                </td>
              </tr>
              <tr>
                <th scope="row">first ceiling</th>
                <td v-for="(ceiling, index) in ceilings" :key="index">{{ ceiling }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section>
          <h2>Forms</h2>
          <OwnVariants :pose="pose" />
        </section>
        <section>
          <h2>Props <small>per person; Set-ups shows each with its folds and heights</small></h2>
          <ul v-if="pose.props.length > 0">
            <li v-for="prop in pose.props" :key="prop.kind">
              {{ countedProp(prop.kind, prop.count) }}
            </li>
          </ul>
          <p class="soft">Without: {{ say(pose.withoutProps) }}</p>
        </section>
        <section>
          <h2>Times around it</h2>
          <dl class="pairs">
            <div v-for="[name, figure] in times" :key="name">
              <dt>{{ name }}</dt>
              <dd>{{ figure }}</dd>
            </div>
          </dl>
        </section>
      </div>
      <div class="column">
        <section v-if="pose.setUpWords.length > 0">
          <h2>Said while arranging</h2>
          <ul class="plain">
            <li v-for="text in pose.setUpWords" :key="text">{{ say(text) }}</li>
          </ul>
        </section>
        <section v-if="cues.length > 0">
          <h2>Cues <small v-if="pose.sides">as for the left side; the right side has them mirrored</small></h2>
          <dl class="pairs">
            <div v-for="cue in cues" :key="cue.id">
              <dt>{{ cue.when }}</dt>
              <dd>{{ cue.text }}</dd>
            </div>
          </dl>
        </section>
        <section>
          <h2>What the teacher looks for</h2>
          <ul class="plain">
            <li v-for="text in pose.looksFor" :key="text">{{ say(text) }}</li>
          </ul>
        </section>
        <section>
          <h2>What goes wrong</h2>
          <ul class="plain">
            <li v-for="text in pose.mistakes" :key="text">{{ say(text) }}</li>
          </ul>
        </section>
        <section>
          <h2>Head</h2>
          <p>{{ pose.head.rests }}</p>
        </section>
        <section>
          <h2>Coming out</h2>
          <ol>
            <li v-for="step in comingOut" :key="step">{{ say(step) }}</li>
          </ol>
        </section>
        <section v-if="counters.length > 0">
          <h2>Counterposes</h2>
          <ul class="plain">
            <li v-for="counter in counters" :key="counter.id">
              <RouterLink :to="{ name: 'shelf-page', params: { id: counter.id } }">{{
                counter.names.english
              }}</RouterLink>
            </li>
          </ul>
        </section>
        <section v-if="pose.energyLines.length > 0">
          <h2>Energy lines <small>part of the teaching in some schools</small></h2>
          <p v-if="withLines">{{ pose.energyLines.join(', ') }}</p>
          <Button v-else text size="small" severity="secondary" label="Show them" @click="withLines = true" />
        </section>
      </div>
    </div>
  </article>
</template>

<style scoped>
.holds {
  width: 100%;
  border-collapse: collapse;
}
.holds th {
  font-weight: 500;
  text-align: left;
  color: var(--ink-soft);
}
.holds thead th {
  font-size: 14px;
}
.holds td {
  padding: 2px 6px 2px 0;
  white-space: nowrap;
}
.holds small {
  font-size: 14px;
  color: var(--ink-soft);
}
.holds .past {
  display: block;
  color: var(--care);
}
.refused {
  margin-top: 8px;
  color: var(--avoid);
  font-weight: 650;
}
</style>
