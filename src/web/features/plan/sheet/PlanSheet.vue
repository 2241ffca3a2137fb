<script setup lang="ts">
import { computed } from 'vue'
import type { Side } from '#model/common'
import type { Session } from '#model/session'
import { picturedBlock } from '#core/session'
import type { Resolved } from '#core/session'
import { tallyTimeline } from '#core/timeline'
import type { Timeline } from '#core/timeline'
import { formatDuration, formatMs } from '#core/units'
import { beforeIn } from '#words/before-breath'
import { stopCard } from '#words/advice'
import { rowTexts, sheetBlocks, sheetRows } from '#words/class-sheet'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import type { SheetOfClass } from './use-plan-sheet.ts'

/** The plan on paper, to lie beside the mat: black on white, A4 or Letter. Shown in print only. */
const props = defineProps<{ session: Session; timeline: Timeline; ofClass: SheetOfClass }>()
// They stay refs in it: nothing is read of the class before it is printed.
const { lookToIn, people, ofEach, ofAll } = props.ofClass
const own = useOwnStore()
const blocks = computed(() =>
  sheetBlocks(props.timeline, props.session.practice).map((block, at) => {
    const resolved = props.timeline.blocks[at]?.block
    return { ...block, pictured: resolved && picturedBlock(resolved, own.catalog, firstSide(resolved)) }
  }),
)
const firstSide = (resolved: Resolved): Side | undefined => {
  const side = resolved.kind === 'hold' ? resolved.sides[0]?.side : undefined
  return side === 'both' ? undefined : side
}
const before = computed(() => beforeIn(props.session, props.timeline))
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
    <p v-if="ofEach.length > 0"><b>Each fetches:</b> {{ ofEach.join('; ') }}</p>
    <p v-if="ofAll">
      <b>For {{ people }}:</b> {{ [...ofAll.lines, ...ofAll.short].join('; ') }}. {{ ofAll.words }}
    </p>
    <p v-if="before.length > 0" class="before"><b>Ask and say first:</b> {{ before.join(' ') }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">At</th>
          <td />
          <th scope="col">What, how long, and what is said</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="block in blocks" :key="block.id">
          <th scope="row" class="at">{{ formatMs(block.startMs) }}</th>
          <td class="pictures"><FigureThumb v-if="block.pictured" :pictured="block.pictured" /></td>
          <td>
            <b>{{ [block.name, block.form].filter(Boolean).join(', ') }}</b>
            {{ [formatMs(block.endMs - block.startMs), block.takes].filter(Boolean).join(' · ') }}
            <div v-for="(row, at) in sheetRows(block.parts)" :key="at" class="part">
              <b v-if="row[0]">{{ formatMs(row[0].endMs - row[0].startMs) }}</b>
              <p>
                <template v-for="({ text, is }, n) in rowTexts(row)" :key="n"
                  ><b v-if="is === 'time'">{{ text }}</b
                  ><template v-else>{{ text }}</template></template
                >
              </p>
            </div>
            <div v-if="lookToIn(block.id).length > 0"><b>Look to:</b> {{ lookToIn(block.id).join('; ') }}</div>
            <div v-if="block.note"><b>Note:</b> {{ block.note }}</div>
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
.part {
  display: grid;
  grid-template-columns: 30pt 1fr;
}
.part p {
  margin: 0;
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
