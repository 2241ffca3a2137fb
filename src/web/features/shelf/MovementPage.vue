<script setup lang="ts">
import { computed } from 'vue'
import type { Movement } from '#model/movement'
import { mirrorText } from '#core/session'
import { formatDuration } from '#core/units'
import { basePositionNames } from '#words/positions'
import { targetNames } from '#words/targets'
import CautionList from '#web/shared/cautions/CautionList.vue'
import PageHead from './PageHead.vue'
import './page.css'

const props = defineProps<{ movement: Movement }>()
const say = (text: string) => mirrorText(text, props.movement.sides ? 'left' : 'both')
const partWords = { in: 'inhale', out: 'exhale', stay: 'stay, breathing freely', retention: 'hold the breath' } as const
const line = computed(() => {
  const { base, sides, rounds } = props.movement
  return [
    basePositionNames[base.enter],
    sides ? 'each side' : 'both sides at once',
    'with the breath',
    `${String(rounds)} rounds`,
  ].join(' · ')
})
</script>

<template>
  <article class="shelf-page">
    <PageHead :names="movement.names" :line="line" :thing="{ kind: 'movement', id: movement.id }" />
    <CautionList full :practised="{ families: movement.families }" />
    <div class="columns">
      <div class="column">
        <section>
          <h2>What it is for</h2>
          <p>{{ movement.purpose }}</p>
          <p class="soft">Felt in: {{ movement.targets.map((target) => targetNames[target]).join(', ') }}.</p>
          <template v-if="movement.sides">
            <p class="soft">Left: {{ movement.sides.left }}.</p>
            <p class="soft">Right: {{ movement.sides.right }}.</p>
          </template>
        </section>
        <section>
          <h2>One round</h2>
          <dl class="pairs">
            <div v-for="(part, index) in movement.parts" :key="index">
              <dt>
                {{ say(part.does) }} <span class="soft">{{ partWords[part.part] }}</span>
              </dt>
              <dd>{{ part.halfCounts / 2 }} counts</dd>
            </div>
          </dl>
          <p class="soft">
            Set-up {{ formatDuration(movement.setUpS) }}, rest after {{ formatDuration(movement.restS) }}.
          </p>
        </section>
      </div>
      <div class="column">
        <section>
          <h2>What the teacher looks for</h2>
          <ul class="plain">
            <li v-for="text in movement.looksFor" :key="text">{{ say(text) }}</li>
          </ul>
        </section>
        <section>
          <h2>What goes wrong</h2>
          <ul class="plain">
            <li v-for="text in movement.mistakes" :key="text">{{ say(text) }}</li>
          </ul>
        </section>
        <section>
          <h2>Coming out</h2>
          <ol>
            <li v-for="step in movement.comingOut" :key="step">{{ say(step) }}</li>
          </ol>
        </section>
      </div>
    </div>
  </article>
</template>
