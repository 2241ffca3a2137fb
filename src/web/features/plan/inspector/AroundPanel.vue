<script setup lang="ts">
import { computed } from 'vue'
import type { Resolved, Source, Sourced } from '#core/session'
import { formatDuration } from '#core/units'
import { afterRestName } from '#library/practice-words'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'
import Rows from './Rows.vue'

/** The times around a block, each with where it comes from. */
const props = defineProps<{ resolved: Exclude<Resolved, { kind: 'talk' }> }>()

const sourceWords: Readonly<Record<Source, string>> = {
  block: 'set here',
  session: 'set for the session',
  'own pose': 'your own pose',
  learned: 'learned',
  shipped: 'usual',
  position: 'by base position',
  school: 'by the school',
  rule: 'by rule',
}
const row = (name: string, time: Sourced<number>, form = '') => ({
  name,
  figure: [form, formatDuration(time.value)].filter((part) => part !== '').join(' '),
  from: sourceWords[time.from],
})

const { document } = usePlan()
const restName = computed(() => {
  const name = afterRestName(document.value?.practice ?? 'mixed')
  return name.charAt(0).toUpperCase() + name.slice(1)
})

const rows = computed(() => {
  const { resolved } = props
  const change = row('Change', resolved.changeS)
  if (resolved.kind === 'hold') {
    const { times, answers } = resolved
    const sided = resolved.sides.length > 1
    return [
      change,
      row('Set-up', times.setUpS),
      row('Settle', times.settleS),
      row('Coming out', times.comingOutS),
      ...(sided
        ? [
            row('Between sides', times.betweenSidesS, answers.betweenSides === 'nothing' ? '' : answers.betweenSides),
            row('Second set-up', times.secondSetUpS),
          ]
        : []),
      row(restName.value, times.afterRestS),
    ]
  }
  if (resolved.kind === 'movement') return [change, row('Set-up', resolved.setUpS), row('Between sides', resolved.betweenSidesS), row('Rest after', resolved.restS)]
  if (resolved.kind === 'breath') return [change, row('Set-up', resolved.setUpS)]
  return [change]
})
</script>

<template>
  <Part title="Around it"><Rows :rows="rows" /></Part>
</template>
