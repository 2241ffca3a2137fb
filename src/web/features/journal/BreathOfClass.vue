<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BreathAnswers, LedClass } from '#model/led-class'
import { breathOf } from '#core/journal'
import { formatMs } from '#core/units'
import { freedWords } from '#words/breath-answers'
import { whyNot } from '#web/shared/api/client.ts'
import BreathAsked from '#web/shared/lead/BreathAsked.vue'
import { readLedClass, writeLedBreath } from '#web/shared/api/led-classes.ts'

/** The counted breath of a class: rounds meant and done, the longest held breath, whether it was left free and why. */
const props = defineProps<{ led: Extract<LedClass, { format: 2 }> }>()
const emit = defineEmits<{ change: [now: Pick<LedClass, 'breath' | 'version'>] }>()
const told = ref('')

const rows = computed(() => breathOf(props.led))
const isFreed = computed(() => rows.value.some(({ freed }) => freed !== undefined))

async function answer(breath: BreathAnswers): Promise<void> {
  const { id, version } = props.led
  const reply = await writeLedBreath(id, breath, version)
  told.value = ''
  if (reply.kind === 'ok') emit('change', { breath, version: reply.value.version })
  else if (reply.kind === 'problem' && reply.problem.code === 'VERSION_STALE') await meet()
  else told.value = whyNot(reply, 'Not saved: Zovrin’s server does not answer. Answer again when it does.')
}

/** Another window changed the record meanwhile: what it says now is shown. */
async function meet(): Promise<void> {
  const reply = await readLedClass(props.led.id)
  if (reply.kind === 'ok') emit('change', { breath: reply.value.breath, version: reply.value.version })
  told.value = 'Not saved: this record was changed in another window. This is what it says now; answer again.'
}
</script>

<template>
  <section v-if="rows.length > 0" aria-labelledby="breath-of-class">
    <h2 id="breath-of-class">Breath</h2>
    <table class="list breaths">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col" class="figure">Rounds</th>
          <th scope="col" class="figure">Longest held</th>
          <th scope="col">Left free</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.blockId">
          <th scope="row">{{ led.blocks[row.blockId]?.name ?? '' }}</th>
          <td class="figure">
            {{ row.rounds }} <small>of {{ row.plannedRounds }}</small>
          </td>
          <td class="figure">{{ row.longestHeldMs === 0 ? '' : formatMs(row.longestHeldMs) }}</td>
          <td>{{ freedWords(row) }}</td>
        </tr>
      </tbody>
    </table>
    <BreathAsked :answers="led.breath ?? {}" :asks-freed="isFreed" @change="answer" />
    <p v-if="told !== ''" role="alert">{{ told }}</p>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 22px;
}
.breaths {
  width: auto;
  min-width: 420px;
  margin: 6px 0 12px;
}
.breaths tbody th,
.breaths td {
  padding: 4px 10px;
  font-weight: 500;
}
.figure {
  text-align: right !important;
  font-weight: 650;
  white-space: nowrap;
}
small {
  color: var(--ink-soft);
  font-size: 15px;
}
</style>
