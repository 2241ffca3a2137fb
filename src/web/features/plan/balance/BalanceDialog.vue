<script setup lang="ts">
import Dialog from 'primevue/dialog'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'
import { formatMs } from '#core/units'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { figuresOf } from '#web/shared/findings/check-work.ts'
import { usePlan } from '../use-plan.ts'
import { chartsOf } from './balance-charts.ts'
import BalanceChart from './BalanceChart.vue'

/** Where the work of the session goes: by area, direction and side, what people do, how strong, in what position. */
const emit = defineEmits<{ close: [] }>()
const { document, timeline } = usePlan()
const own = useOwnStore()

const as = ref<'charts' | 'tables'>('charts')
const views = [
  { value: 'charts', words: 'Charts' },
  { value: 'tables', words: 'Tables' },
]
const figures = computed(() =>
  document.value && timeline.value ? figuresOf(document.value, timeline.value, own.catalog) : undefined,
)
const charts = computed(() => (figures.value && timeline.value ? chartsOf(figures.value, timeline.value.totalMs) : []))
const below = computed(() => {
  const ms = figures.value?.headBelowMs ?? 0
  return ms === 0 ? 'The head is never below the heart.' : `The head is below the heart for ${formatMs(ms)}.`
})
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :style="{ width: 'min(1180px, 96vw)' }"
    aria-labelledby="balance-title"
    @update:visible="emit('close')"
  >
    <template #header>
      <h1 id="balance-title">
        Balance <small>{{ below }}</small>
      </h1>
      <SelectButton
        v-model="as"
        class="views"
        :options="views"
        option-label="words"
        option-value="value"
        :allow-empty="false"
        aria-label="Shown as"
      />
    </template>
    <div v-if="charts.length > 0" class="grid">
      <BalanceChart v-for="chart in charts" :key="chart.title" :chart="chart" :as="as" />
    </div>
    <p v-else>There is nothing to weigh yet: the session has no blocks.</p>
  </Dialog>
</template>

<style scoped>
h1 {
  font-size: 22px;
}
h1 small {
  margin-left: 12px;
  font-size: 16.5px;
  font-weight: 500;
}
.views {
  margin-left: auto;
  margin-right: 12px;
}
/* Charts are as high as they have bars: they stand one under the other, column by column. */
.grid {
  columns: 3 300px;
  column-gap: 28px;
}
.grid > * {
  break-inside: avoid;
  padding-bottom: 18px;
}
</style>
