<script setup lang="ts">
import { nanoid } from 'nanoid'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import MultiSelect from 'primevue/multiselect'
import ProgressBar from 'primevue/progressbar'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import type { Level, Practice } from '#model/common'
import { targets as everyTarget } from '#model/pose'
import type { Target } from '#model/pose'
import type { Session } from '#model/session'
import { chooserLimits, mostTargets } from '#core/fit'
import { compileTimeline } from '#core/timeline'
import { formatDuration, formatMs } from '#core/units'
import { targetNames } from '#words/targets'
import { useFit } from '#web/shared/fit/use-fit.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { blockNameIn } from '#words/blocks'
import { levelChoices, practiceChoices } from '#words/practices'
import DurationField from '#web/shared/ui/DurationField.vue'
import { whyWords } from '#words/chooser'

/** A whole session from its length, practice, level and areas; each block with the rule that chose it. */
const emit = defineEmits<{ close: []; take: [session: Session] }>()
const own = useOwnStore()

const lengthS = ref(3600)
const practice = ref<Practice>('yin')
const level = ref<Level>('regular')
const targets = ref<Target[]>([])
const variation = ref(1)
const targetChoices = everyTarget.map((value) => ({ value, words: targetNames[value] }))
const practiceName = computed(() => practiceChoices.find(({ value }) => value === practice.value)?.words ?? '')

const { answer, isSlow, isBroken, ask, cancel } = useFit('choose')
const id = nanoid()
watch(
  [lengthS, practice, level, targets, variation],
  () => {
    ask({
      wish: {
        id,
        name: `${practiceName.value}, ${String(Math.round(lengthS.value / 60))} minutes, no. ${String(variation.value)}`,
        lengthS: lengthS.value,
        practice: practice.value,
        level: level.value,
        schoolId: practice.value === 'breath' ? 'mixed' : practice.value,
        targets: [...targets.value],
        variation: variation.value,
        talk: { title: 'Arrive', text: 'What we do today, and the stop signs' },
      },
    })
  },
  { immediate: true, deep: true },
)
const chosen = computed(() => (answer.value?.ok ? answer.value.value : undefined))
const rows = computed(() => {
  const compiled = chosen.value && compileTimeline(chosen.value.session, own.catalog)
  if (!chosen.value || !compiled?.ok) return []
  const { why } = chosen.value
  return compiled.value.blocks.map(({ block: { block }, startMs, endMs }) => ({
    id: block.id,
    at: formatMs(startMs),
    name: blockNameIn(block, own.catalog),
    takes: formatMs(endMs - startMs),
    why: whyWords(why[block.id], own.catalog),
  }))
})
const sum = computed(() => {
  if (!chosen.value) return ''
  const spareS = lengthS.value - Math.ceil(chosen.value.totalMs / 1000)
  return spareS === 0
    ? `${formatMs(chosen.value.totalMs)}, fits to the second`
    : `${formatMs(chosen.value.totalMs)}, ${formatDuration(spareS)} to spare`
})
function take(): void {
  if (!chosen.value) return
  // Ids of its own, so that two sessions chosen alike never share a block.
  emit('take', {
    ...chosen.value.session,
    blocks: chosen.value.session.blocks.map((block) => ({ ...block, id: nanoid() })),
  })
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="Choose a session for me"
    :style="{ width: 'min(980px, 96vw)' }"
    @update:visible="emit('close')"
  >
    <div class="choose">
      <form @submit.prevent>
        <DurationField label="Length" :seconds="lengthS" :limits="chooserLimits" @change="lengthS = $event" />
        <label for="choose-practice">Practice</label>
        <Select
          v-model="practice"
          label-id="choose-practice"
          aria-label="Practice"
          :options="practiceChoices"
          option-label="words"
          option-value="value"
          fluid
        />
        <label for="choose-level">Level</label>
        <Select
          v-model="level"
          label-id="choose-level"
          aria-label="Level"
          :options="levelChoices"
          option-label="words"
          option-value="value"
          fluid
        />
        <label for="choose-areas">Areas, up to three</label>
        <MultiSelect
          v-model="targets"
          input-id="choose-areas"
          :options="targetChoices"
          option-label="words"
          option-value="value"
          :selection-limit="mostTargets"
          :show-toggle-all="false"
          placeholder="usual for the practice"
          fluid
        />
        <div class="another">
          <Button severity="secondary" outlined label="Another one" @click="variation += 1" />
          <span
            >No. <b data-testid="variation">{{ variation }}</b></span
          >
          <Button v-if="variation > 1" text severity="secondary" label="The one before" @click="variation -= 1" />
        </div>
        <p class="note">
          The same wishes and number give the same session. Nobody’s complaints are known here: see the cautions in
          Plan.
        </p>
      </form>
      <div class="result" aria-live="polite">
        <div v-if="isSlow">
          <ProgressBar mode="indeterminate" aria-label="Choosing" />
          <Button size="small" text severity="secondary" label="Give up" @click="cancel" />
        </div>
        <p v-if="isBroken" role="alert">Nothing could be chosen here. Reload the page when Zovrin’s server answers.</p>
        <template v-if="chosen">
          <p class="sum">
            <b>{{ sum }}</b>
          </p>
          <p v-if="chosen.missed.length > 0" class="missed">
            No room or no pose for: {{ chosen.missed.map((target) => targetNames[target]).join(', ') }}.
          </p>
          <table class="list">
            <thead>
              <tr>
                <th scope="col" class="figure">From</th>
                <th scope="col">Block</th>
                <th scope="col" class="figure">Takes</th>
                <th scope="col">Chosen as</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in rows" :key="row.id">
                <td class="figure">{{ row.at }}</td>
                <th scope="row">{{ row.name }}</th>
                <td class="figure">{{ row.takes }}</td>
                <td class="why">{{ row.why }}</td>
              </tr>
            </tbody>
          </table>
        </template>
      </div>
    </div>
    <template #footer>
      <Button text severity="secondary" label="Not now" @click="emit('close')" />
      <Button label="Take it to Plan" :disabled="!chosen" @click="take" />
    </template>
  </Dialog>
</template>

<style scoped>
.choose {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 28px;
}
form {
  display: grid;
  align-content: start;
  gap: 4px;
}
label {
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
.another {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-top: 16px;
}
.note {
  margin-top: 10px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
.sum {
  margin-bottom: 6px;
  font-size: 18px;
}
.missed {
  margin-bottom: 6px;
  padding: 6px 10px;
  border: 1px solid var(--ink);
  border-left-width: 5px;
  border-radius: 4px;
}
.list tbody th,
.list td {
  padding: 5px 10px;
}
.why {
  white-space: normal !important;
  color: #4b5854;
}
@media (max-width: 760px) {
  .choose {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
