<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import MultiSelect from 'primevue/multiselect'
import SelectButton from 'primevue/selectbutton'
import Slider from 'primevue/slider'
import { useWindowSize } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Target } from '#model/pose'
import type { Fit, OrderSuggestion } from '#core/fit'
import { formatDuration, formatMs } from '#core/units'
import { targetNames } from '#words/targets'
import { useFit } from '#web/shared/fit/use-fit.ts'
import { usePlan } from '../use-plan.ts'
import { closeDialog, openDialog, showFits } from '../dialogs.ts'
import FitColumn from './FitColumn.vue'
import OrderPart from './OrderPart.vue'
import SmallSpine from './SmallSpine.vue'

/** The ways to bring the session to its length side by side, and an order that moves less. */
const { store, document, timeline, tell } = usePlan()

const shown = computed({
  get: () => (openDialog.value?.is === 'fit' ? openDialog.value.view : 'length'),
  set: showFits,
})
const views = [
  { value: 'length', words: 'The length' },
  { value: 'order', words: 'The order' },
]
const keepTargets = ref<Target[]>([])
const mostKept = 3
/** How much shorter the holds may get in the mix, in per cent. */
const shorterPercent = ref(20)
const mostPercent = 60

const holds = useFit('holds')
const both = useFit('both')
const fewer = useFit('fewer')
const order = useFit('order')

const overMs = computed(() => (timeline.value?.totalMs ?? 0) - (document.value?.lengthS ?? 0) * 1000)
const isOver = computed(() => overMs.value > 0)
const spareS = computed(() => Math.floor(-overMs.value / 1000))
const says = computed(() => {
  const session = document.value
  if (!session || !timeline.value) return ''
  const is = `${formatMs(timeline.value.totalMs)} of ${formatDuration(session.lengthS)}`
  if (isOver.value) return `${is}: ${formatDuration(Math.ceil(overMs.value / 1000))} over`
  return spareS.value === 0 ? `${is}: it fits` : `${is}: ${formatDuration(spareS.value)} to spare`
})
/** The areas worked on in this session, to choose from which of them is to stay. */
const areas = computed(() => {
  const worked = new Set(
    timeline.value?.blocks.flatMap(({ block }) => (block.kind === 'hold' ? block.pose.targets : [])),
  )
  return [...worked].map((value) => ({ value, words: targetNames[value] }))
})

watch(
  [document, shown],
  ([session]) => {
    if (!session) return
    if (shown.value === 'order') order.ask({ session })
    else holds.ask({ session })
  },
  { immediate: true },
)
watch(
  [document, shown, keepTargets],
  ([session]) => {
    if (session && isOver.value && shown.value === 'length') fewer.ask({ session, keepTargets: [...keepTargets.value] })
  },
  { immediate: true },
)
watch(
  [document, shown, keepTargets, shorterPercent],
  ([session]) => {
    if (!session || !isOver.value || shown.value !== 'length') return
    both.ask({ session, keepTargets: [...keepTargets.value], leastShare: 1 - shorterPercent.value / 100 })
  },
  { immediate: true },
)

async function take({ edits }: Fit | OrderSuggestion, words: string, done: string): Promise<void> {
  await store.keepInHistory('fit')
  if (store.edit({ type: 'several', edits }, words)) tell(done)
  closeDialog()
}

const { height } = useWindowSize()
/** The longest of the spines beside each other, for one scale that fits the window. */
const longestMs = computed(() => {
  const fits = [holds.answer.value, both.answer.value, fewer.answer.value].flatMap((answer) =>
    answer?.ok ? answer.value.totalMs : [],
  )
  // An order changes little of the length: it takes the whole height for what stands where.
  if (shown.value === 'order') return Math.max(timeline.value?.totalMs ?? 0, 60_000)
  return Math.max(...fits, (document.value?.lengthS ?? 0) * 1000, 60_000)
})
/** As much of the window's height a dialog takes at most. */
const dialogShare = 0.9
/** What the dialog has above and below its spines, in px. */
const aroundPx = { length: 340, order: 150 } as const
const pxPerMinute = computed(() =>
  Math.min(14, Math.max(3, (height.value * dialogShare - aroundPx[shown.value]) / (longestMs.value / 60_000))),
)
const columns = computed(() => ({ pxPerMinute: pxPerMinute.value, longestMs: longestMs.value }))
</script>

<template>
  <Dialog
    v-if="document && timeline"
    :visible="true"
    @update:visible="closeDialog"
    modal
    :style="{ width: 'min(1180px, 96vw)' }"
    aria-labelledby="fit-title"
  >
    <template #header>
      <h1 id="fit-title">
        {{ shown === 'order' ? 'An order that moves less' : 'Make it fit' }} <small>{{ says }}</small>
      </h1>
      <SelectButton
        v-model="shown"
        class="views"
        :options="views"
        option-label="words"
        option-value="value"
        :allow-empty="false"
        aria-label="What to fit"
      />
    </template>
    <template v-if="shown === 'length'">
      <div v-if="isOver" class="three">
        <FitColumn
          title="Shorter holds"
          :session="document"
          :answer="holds.answer.value"
          :is-slow="holds.isSlow.value"
          :is-broken="holds.isBroken.value"
          v-bind="columns"
          @take="take($event, 'fit by shorter holds', 'The holds are shorter')"
          @cancel="holds.cancel"
        >
          <p class="note">Every block stays; each hold gives in proportion, down to its usual least.</p>
        </FitColumn>
        <FitColumn
          title="Both"
          :session="document"
          :answer="both.answer.value"
          :is-slow="both.isSlow.value"
          :is-broken="both.isBroken.value"
          v-bind="columns"
          @take="take($event, 'fit by shorter holds and fewer poses', 'The holds are shorter, the poses fewer')"
          @cancel="both.cancel"
        >
          <div class="mix">
            <label id="mix-label">Holds up to {{ shorterPercent }} % shorter, then poses drop</label>
            <Slider v-model="shorterPercent" :min="0" :max="mostPercent" :step="5" aria-labelledby="mix-label" />
          </div>
        </FitColumn>
        <FitColumn
          title="Fewer poses"
          :session="document"
          :answer="fewer.answer.value"
          :is-slow="fewer.isSlow.value"
          :is-broken="fewer.isBroken.value"
          v-bind="columns"
          @take="take($event, 'fit by fewer poses', 'The poses are fewer')"
          @cancel="fewer.cancel"
        >
          <div v-if="areas.length > 0" class="keep">
            <label for="keep-areas">Keep at least one pose for</label>
            <MultiSelect
              v-model="keepTargets"
              input-id="keep-areas"
              :options="areas"
              option-label="words"
              option-value="value"
              :selection-limit="mostKept"
              :show-toggle-all="false"
              placeholder="no area in particular"
              fluid
            />
          </div>
        </FitColumn>
      </div>
      <p v-else-if="spareS === 0" class="fits">
        It fits to the second: there is nothing to shorten and nothing to spare.
        <Button
          size="small"
          severity="secondary"
          outlined
          label="See whether another order moves less"
          @click="shown = 'order'"
        />
      </p>
      <div v-else class="three">
        <section class="as-it-is" aria-label="As it is">
          <h2>As it is</h2>
          <SmallSpine :session="document" :timeline="timeline" v-bind="columns" />
        </section>
        <FitColumn
          title="Use the spare time"
          :session="document"
          :answer="holds.answer.value"
          :is-slow="holds.isSlow.value"
          :is-broken="holds.isBroken.value"
          v-bind="columns"
          @take="take($event, 'use the spare time', 'The spare time is used')"
          @cancel="holds.cancel"
        >
          <p class="note">
            The final rest first, then the rests after holds, then the holds, none past its usual range or its first
            ceiling. Or leave it: time to spare is no fault.
          </p>
        </FitColumn>
      </div>
    </template>
    <OrderPart
      v-else
      :session="document"
      :timeline="timeline"
      :answer="order.answer.value"
      :is-slow="order.isSlow.value"
      :is-broken="order.isBroken.value"
      v-bind="columns"
      @take="take($event, 'change the order', 'The order is changed')"
      @cancel="order.cancel"
    />
  </Dialog>
</template>

<style scoped>
h1 {
  font-size: 22px;
}
h1 small {
  margin-left: 12px;
  font-size: 18px;
}
.fits {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 8px 0 16px;
}
.views {
  margin-left: auto;
  margin-right: 12px;
}
/* The rows are those of the column beside it, so that the spines begin at one height. */
.as-it-is {
  display: grid;
  grid-row: span 5;
  grid-template-rows: subgrid;
}
.as-it-is h2 {
  line-height: 34px;
}
.as-it-is > :last-child {
  grid-row: 5;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  column-gap: 28px;
  row-gap: 6px;
}

.note,
.mix label,
.keep label {
  font-size: 15px;
  color: var(--ink-soft);
}
.mix {
  display: grid;
  gap: 14px;
  align-content: start;
  padding-right: 10px;
}
.keep label {
  display: block;
}
@media (max-width: 900px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
