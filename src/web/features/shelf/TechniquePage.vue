<script setup lang="ts">
import { computed } from 'vue'
import type { Technique } from '#model/technique'
import { patternText, roundSecondsText } from '#core/breath'
import { basePositionNames } from '#words/positions'
import CautionList from '#web/shared/cautions/CautionList.vue'
import type { ShelfThing } from '#web/shared/session/new-block.ts'
import PageHead from './PageHead.vue'
import './page.css'

const props = defineProps<{ technique: Technique }>()
const noseWords = { any: 'any', clear: 'clear', bothClear: 'both nostrils clear' } as const
const seatWords = {
  any: 'any position',
  seat: 'an upright seat',
  seatOrIncline: 'an upright seat, or inclined',
  seatInclineOrLying: 'an upright seat, inclined, or lying with the knees bent',
  standOrSeat: 'a steady stand, or a seat near a wall',
} as const
const thing = computed((): ShelfThing => ({ kind: 'breath', id: props.technique.id }))
const line = computed(() =>
  [
    basePositionNames[props.technique.basePosition],
    props.technique.counted ? 'counted' : 'not counted',
    ...(props.technique.inPerson ? ['taught in person'] : []),
  ].join(' · '),
)
const practised = computed(() => ({ families: [], breaths: [props.technique.cautionId] }))
</script>

<template>
  <article class="shelf-page">
    <PageHead :names="technique.names" :line="line" :thing="thing" />
    <p v-if="technique.inPerson" class="in-person">
      Taught in person after long preparation, and not offered to new people. It is planned for a room only, never
      online or at home, and is led as planned from the stage on that it begins with.
    </p>
    <CautionList full :practised="practised" />
    <div class="columns">
      <div class="column">
        <section>
          <h2>What it is for</h2>
          <p>{{ technique.purpose }}</p>
        </section>
        <section>
          <h2>How</h2>
          <ol>
            <li v-for="text in technique.how" :key="text">{{ text }}</li>
          </ol>
        </section>
        <section>
          <h2>Lessons <small>each easy before the next</small></h2>
          <ol>
            <li v-for="text in technique.lessons" :key="text">{{ text }}</li>
          </ol>
        </section>
      </div>
      <div class="column">
        <section>
          <h2>Before it</h2>
          <dl class="pairs">
            <div v-if="technique.counted && technique.pattern">
              <dt>Counts</dt>
              <dd>{{ patternText(technique.pattern) }}</dd>
            </div>
            <div v-if="technique.counted && technique.pattern">
              <dt>One round</dt>
              <dd>{{ roundSecondsText(technique.pattern, technique.pace) }} s</dd>
            </div>
            <div>
              <dt>After a meal</dt>
              <dd>{{ technique.foodGapH === 0 ? 'at any time' : `${technique.foodGapH} h` }}</dd>
            </div>
            <div>
              <dt>Nose</dt>
              <dd>{{ noseWords[technique.nose] }}</dd>
            </div>
            <div>
              <dt>Position</dt>
              <dd>{{ seatWords[technique.seat] }}</dd>
            </div>
            <div>
              <dt>New people</dt>
              <dd>{{ technique.forNew ?? 'not offered' }}</dd>
            </div>
          </dl>
          <p class="soft">{{ technique.startsWhen.words }}</p>
          <ul class="plain">
            <li v-for="text in technique.preparation" :key="text">{{ text }}</li>
          </ul>
        </section>
        <section>
          <h2>Stop signs <small>any one: let go, natural breath, eyes open, three minutes</small></h2>
          <ul class="plain">
            <li v-for="text in technique.stopSigns" :key="text">{{ text }}</li>
          </ul>
        </section>
      </div>
    </div>
  </article>
</template>

<style scoped>
.in-person {
  margin-top: 10px;
  padding: 6px 10px;
  border-left: 4px solid var(--ink);
  background: var(--line-soft);
}
</style>
