<script setup lang="ts">
import { computed } from 'vue'
import type { Session } from '#model/session'
import { tallyTimeline } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { formatDuration, formatMs } from '#core/units'
import { beforeIn } from '#words/before-breath'
import { stopCard } from '#words/advice'
import { useInstead } from '#web/shared/house/use-instead.ts'
import { useFetching } from '#web/shared/house/use-fetching.ts'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { sheetRows } from './sheet-rows.ts'

/** The plan on paper, to lie beside the mat: black on white, A4 or Letter. Shown in print only. */
const props = defineProps<{ session: Session; timeline: Timeline }>()
const { insteadIn } = useInstead(() => ({ document: props.session, timeline: props.timeline }))
const own = useOwnStore()
const rows = computed(() => sheetRows(props.timeline, props.session, own.catalog, insteadIn))
const before = computed(() => beforeIn(props.session, props.timeline))
const { people, ofOne, ofAll } = useFetching(() => ({ document: props.session, timeline: props.timeline }))
const tally = computed(() => tallyTimeline(props.timeline))
</script>

<template>
  <article class="sheet" data-testid="sheet">
    <header>
      <h1>{{ session.name }}</h1>
      <p>
        {{ formatMs(timeline.totalMs) }} of {{ formatDuration(session.lengthS)
        }}<template v-if="tally.leftMs + tally.rightMs > 0">
          · left {{ formatMs(tally.leftMs) }}, right {{ formatMs(tally.rightMs) }}</template
        >
      </p>
      <p v-if="session.purpose">{{ session.purpose }}</p>
    </header>
    <p v-if="ofOne.length > 0"><b>Each fetches:</b> {{ ofOne.join('; ') }}</p>
    <p v-if="ofAll">
      <b>For {{ people }}:</b> {{ [...ofAll.lines, ...ofAll.short].join('; ') }}. {{ ofAll.words }}
    </p>
    <p v-if="before.length > 0" class="before"><b>Ask and say first:</b> {{ before.join(' ') }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">At</th>
          <td />
          <th scope="col">What</th>
          <th scope="col">How long</th>
          <th scope="col">Uses</th>
          <th scope="col">Says</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td class="at">{{ row.startsAt }}</td>
          <td class="pictures">
            <FigureThumb v-for="(pictured, index) in row.pictures" :key="index" :pictured="pictured" />
          </td>
          <th scope="row">
            {{ row.name }}<small v-if="row.before">{{ row.before }}</small>
          </th>
          <td>
            <div v-for="side in row.sides" :key="side">{{ side }}</div>
          </td>
          <td>
            {{ row.uses }}<small v-for="line in row.instead" :key="line">{{ line }}</small>
          </td>
          <td>
            <div v-for="(text, index) in row.says" :key="index">{{ text }}</div>
          </td>
        </tr>
      </tbody>
    </table>
    <footer>
      <p>
        <b>{{ stopCard.lead }}</b> {{ stopCard.signs.join('; ') }}. {{ stopCard.comingOut }}
      </p>
      <p>Zovrin gives no medical advice: a doctor or licensed therapist decides.</p>
    </footer>
  </article>
</template>

<style scoped>
.sheet {
  color: #000;
  background: #fff;
  font-size: 9.5pt;
  line-height: 1.25;
}
h1 {
  font-size: 17pt;
}
header {
  margin-bottom: 8pt;
}
table {
  width: 100%;
  border-collapse: collapse;
}
thead th {
  font-size: 8.5pt;
  font-weight: 500;
  text-align: left;
}
tr {
  break-inside: avoid;
  border-top: 0.5pt solid #000;
}
td,
tbody th {
  padding: 3pt 7pt 3pt 0;
  text-align: left;
  vertical-align: top;
}
tbody th {
  width: 20%;
}
.pictures {
  --thumb: 50pt;
  width: 56pt;
  line-height: 0;
}
.at {
  width: 44pt;
  font-weight: 650;
  font-size: 11pt;
}
small {
  display: block;
  font-weight: 500;
  font-size: 8.5pt;
}
footer {
  margin-top: 8pt;
  padding-top: 5pt;
  border-top: 1pt solid #000;
  font-size: 8.5pt;
  break-inside: avoid;
}
@page {
  margin: 14mm;
}
</style>
