<script setup lang="ts">
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { differences } from '#library/cautions/differences'
import {
  backOff,
  beforeBreathWork,
  comeOutNow,
  comingOutByShape,
  comingOutOrder,
  emergency,
  firstAid,
  warmAndCold,
  weakestEvidence,
  youngAndOld,
} from '#library/cautions/in-the-room'
import { sayCaution } from '#words/conditions'
import { stages } from '#library/cautions/stages'
import { disclaimer, stopCard, teacherPrompt } from '#words/advice'
import './page.css'

const gateWords = {
  none: '',
  ask: 'Check first: their clinician knows they practise and has set no limits.',
  clear: 'Until clearance is noted only rest on the side, inclined rest or a chair, with natural breath.',
  stop: 'No practice today; urgent or emergency care.',
} as const
const lists = [comeOutNow, backOff, emergency]
const rooms = [
  { title: 'Coming out, in order', lines: comingOutOrder },
  { title: 'Coming out by shape', lines: comingOutByShape },
  { title: 'Warm and cold', lines: warmAndCold },
  { title: 'The young and the frail', lines: youngAndOld },
  { title: 'Before breath work', lines: beforeBreathWork },
  { title: 'First aid', lines: firstAid },
]
</script>

<template>
  <div class="page" tabindex="0" role="region" aria-label="About the cautions">
    <article class="page-sheet cautions-page">
      <h1>About the cautions</h1>
      <p class="disclaimer">{{ disclaimer }}</p>
      <p class="soft">
        {{ cautionBook.rules.length }} rules over {{ conditions.length }} conditions, written from general teaching
        knowledge. Each says how well it is founded; rules marked “teaching custom” rest on custom.
        {{ weakestEvidence }}
      </p>
      <section>
        <h2>Said before every class</h2>
        <p>“{{ teacherPrompt }}”</p>
      </section>
      <section class="stop">
        <h2>{{ stopCard.lead }}</h2>
        <ul class="plain">
          <li v-for="sign in stopCard.signs" :key="sign">{{ sign }}</li>
        </ul>
        <p>{{ stopCard.comingOut }}</p>
        <p>
          <b>{{ stopCard.emergency }}</b>
        </p>
      </section>
      <section v-for="list in lists" :key="list.what">
        <h2>{{ list.what }}</h2>
        <ul class="plain">
          <li v-for="sign in list.signs" :key="sign">{{ sign }}</li>
        </ul>
      </section>
      <section v-for="room in rooms" :key="room.title">
        <h2>{{ room.title }}</h2>
        <ul class="plain">
          <li v-for="text in room.lines" :key="text">{{ text }}</li>
        </ul>
      </section>
      <section>
        <h2>The breath’s stages <small>convention, not evidence: teaching custom</small></h2>
        <table class="list">
          <thead>
            <tr>
              <th scope="col">Stage</th>
              <th scope="col">Ratio</th>
              <th scope="col">Counts</th>
              <th scope="col">Earliest</th>
              <th scope="col">Moves on when</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="stage in stages" :key="stage.stage">
              <th scope="row">{{ stage.stage }}</th>
              <td>{{ stage.ratio }}</td>
              <td>{{ stage.counts }}</td>
              <td>{{ stage.earliest }}</td>
              <td>{{ stage.movesOnWhen }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section>
        <h2>Where schools differ</h2>
        <table class="list">
          <thead>
            <tr>
              <th scope="col">On</th>
              <th scope="col">One side</th>
              <th scope="col">The other</th>
              <th scope="col">Here, unless you decide otherwise</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in differences" :key="one.topic">
              <th scope="row">{{ sayCaution(one.topic) }}</th>
              <td>{{ sayCaution(one.oneSide) }}</td>
              <td>{{ sayCaution(one.otherSide) }}</td>
              <td>
                {{ sayCaution(one.shipped) }} <small>{{ sayCaution(one.why) }}</small>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section>
        <h2>Conditions, and what a teacher asks in private</h2>
        <dl class="conditions">
          <template v-for="condition in conditions" :key="condition.id">
            <dt>{{ condition.name }}</dt>
            <dd>
              {{ sayCaution(condition.asks) }}
              <small v-if="condition.notes"> {{ sayCaution(condition.notes) }}</small>
              <small v-if="gateWords[condition.gate]"> {{ gateWords[condition.gate] }}</small>
              <small v-if="condition.severe">
                <b>Severe:</b> {{ sayCaution(condition.severe) }}
                {{ condition.severeGate === condition.gate ? '' : gateWords[condition.severeGate] }}</small
              >
            </dd>
          </template>
        </dl>
      </section>
    </article>
  </div>
</template>

<style scoped>
.cautions-page h2 {
  margin: 20px 0 5px;
  font-size: 17px;
}
.disclaimer {
  margin-top: 8px;
  padding: 8px 12px;
  border: 1px solid var(--ink);
  border-left-width: 5px;
  border-radius: 4px;
}
.soft {
  margin-top: 8px;
  color: var(--ink-soft);
}
.stop {
  margin-top: 14px;
  padding: 2px 14px 10px;
  border-left: 5px solid var(--avoid);
  background: var(--avoid-wash);
}
.plain li {
  padding-left: 16px;
  text-indent: -16px;
}
.plain li::before {
  content: '–';
  margin-right: 7px;
}
.list td,
.list tbody th {
  white-space: normal;
  padding: 6px 8px;
  font-size: 15px;
}
.conditions dt {
  margin-top: 8px;
  font-weight: 650;
}
small {
  font-size: 15px;
  color: var(--ink-soft);
}
</style>
