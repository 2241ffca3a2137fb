<script setup lang="ts">
import { computed } from 'vue'
import type { Span } from '#core/captions'
import { formatMs } from '#core/units'
import { spanNames } from '#words/recordings'
import { counted } from '#words/text'
import ReadFile from '#web/shared/ui/ReadFile.vue'
import { useRecording } from './use-recording.ts'

/** A recorded class by its captions: what was held, beside what was announced, and left beside right. */
const { measured, told, problem, read, nameOf } = useRecording()
const wholeMs = computed(() => {
  const spans = measured.value?.spans ?? []
  return (spans.at(-1)?.endMs ?? 0) - (spans[0]?.startMs ?? 0)
})
const share = ({ startMs, endMs }: Span): string => `${String(((endMs - startMs) / wholeMs.value) * 100)}%`
const side = ({ side: which }: Span): string => (which === undefined ? '' : `, ${which}`)
const apart = (ms: number): string =>
  Math.abs(ms) < 5000 ? 'alike' : `the second ${formatMs(Math.abs(ms))} ${ms > 0 ? 'longer' : 'shorter'}`
</script>

<template>
  <div class="page">
    <div class="page-sheet">
      <header class="page-head">
        <h1>Measure a recording</h1>
        <RouterLink :to="{ name: 'journal' }">Back to the journal</RouterLink>
      </header>
      <p class="about">
        The captions of a recorded class tell what was held, and for how long. They are read in this window alone:
        nothing is sent, and nothing is kept. What nobody said is not known.
      </p>
      <ReadFile
        label="Choose a file of captions"
        what="File of captions"
        accept=".vtt,.srt,.txt,text/vtt,text/plain"
        @read="(_text, file) => read(file)"
      />
      <p v-if="problem" role="alert">{{ problem }}</p>
      <template v-if="measured && told">
        <h2>{{ measured.name }}</h2>
        <p role="status">
          {{ formatMs(wholeMs) }}, {{ counted(told.holds.length, 'hold', 'holds')
          }}<template v-if="told.longestQuiet"
            >; the longest quiet {{ formatMs(told.longestQuiet.endMs - told.longestQuiet.startMs) }}, from
            {{ formatMs(told.longestQuiet.startMs) }}</template
          >.
        </p>
        <p v-for="note in measured.notes" :key="note" class="soft">{{ note }}</p>
        <div class="strip" role="img" aria-label="What was done, in true time; the table says the same">
          <i
            v-for="span in measured.spans"
            :key="span.startMs"
            :class="[span.kind, span.side]"
            :style="{ width: share(span) }"
          />
        </div>
        <p class="key soft" aria-hidden="true">
          <span><i class="hold" /> held</span> <span><i class="hold left" /> left</span>
          <span><i class="hold right" /> right</span> <span><i class="rest" /> rest</span>
          <span><i class="talk" /> all else</span>
        </p>
        <section v-if="told.holds.length > 0" aria-labelledby="recorded-holds">
          <h2 id="recorded-holds">Held</h2>
          <table class="list">
            <thead>
              <tr>
                <th scope="col" class="figure">From</th>
                <th scope="col">What</th>
                <th scope="col" class="figure">Announced</th>
                <th scope="col" class="figure">Held</th>
                <th scope="col" class="figure">Ends within</th>
                <th scope="col" class="figure">Spoken in it</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="{ span, heldMs, spokenMs } in told.holds" :key="span.startMs">
                <td class="figure">{{ formatMs(span.startMs) }}</td>
                <th scope="row">{{ nameOf(span) }}{{ side(span) }}</th>
                <td class="figure">{{ span.announcedS === undefined ? '' : formatMs(span.announcedS * 1000) }}</td>
                <td class="figure">{{ formatMs(heldMs) }}</td>
                <td class="figure soft">{{ formatMs(span.doubtMs) }}</td>
                <td class="figure">{{ formatMs(spokenMs) }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section v-if="told.sides.length > 0" aria-labelledby="recorded-sides">
          <h2 id="recorded-sides">One side and the other</h2>
          <ul>
            <li v-for="{ first, second, apartMs } in told.sides" :key="first.startMs">
              {{ nameOf(first) }}: {{ first.side }} {{ formatMs(first.endMs - first.startMs) }}, {{ second.side }}
              {{ formatMs(second.endMs - second.startMs) }}; {{ apart(apartMs) }}
            </li>
          </ul>
        </section>
        <details>
          <summary>Every stretch</summary>
          <ol class="spans">
            <li v-for="span in measured.spans" :key="span.startMs">
              {{ formatMs(span.startMs) }}–{{ formatMs(span.endMs) }} {{ spanNames[span.kind]
              }}{{ span.kind === 'hold' ? `: ${nameOf(span)}${side(span)}` : '' }}
            </li>
          </ol>
        </details>
      </template>
    </div>
  </div>
</template>

<style scoped>
.about {
  max-width: 640px;
  margin-bottom: 12px;
}
.soft {
  color: var(--ink-soft);
  font-size: 15px;
}
h2 {
  margin-top: 22px;
}
.strip {
  display: flex;
  height: 34px;
  margin-top: 10px;
  background: var(--surface);
  border: 1px solid var(--line);
}
i {
  background: var(--line-soft);
}
i.hold {
  background: var(--both);
}
i.left {
  background: var(--left);
}
i.right {
  background: var(--right);
}
i.rest {
  background: var(--rest);
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.key i {
  display: inline-block;
  width: 18px;
  height: 10px;
}
.list {
  width: auto;
}
.list :is(th, td) {
  padding: 4px 10px;
}
tbody th {
  font-weight: 500;
}
details {
  margin-top: 18px;
}
</style>
