<script setup lang="ts">
import Button from 'primevue/button'
import type { EditedSpan, RecordedSides, SaidOnFirst, ToldOfRecording } from '#core/captions'
import { formatMs } from '#core/units'
import { apartWords, sideWords } from '#words/recordings'
import { counted } from '#words/text'

/** What a recording adds up to: announced beside held, left beside right, and what was said on one side alone. */
defineProps<{
  told: Omit<ToldOfRecording, 'sides'> & {
    readonly sides: readonly (RecordedSides & { readonly unsaid: readonly SaidOnFirst[] })[]
  }
  nameOf: (span: EditedSpan) => string
}>()
const emit = defineEmits<{ choose: [span: EditedSpan] }>()
</script>

<template>
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
          <td class="figure">
            <Button
              link
              :label="formatMs(span.startMs)"
              :aria-label="`Put right what began at ${formatMs(span.startMs)}`"
              @click="emit('choose', span)"
            />
          </td>
          <th scope="row">{{ nameOf(span) }}{{ sideWords(span) }}</th>
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
      <li v-for="{ first, second, apartMs, unsaid } in told.sides" :key="first.startMs">
        {{ nameOf(first) }}: {{ first.side }} {{ formatMs(first.endMs - first.startMs) }}, {{ second.side }}
        {{ formatMs(second.endMs - second.startMs) }}; {{ apartWords(apartMs) }}
        <details v-if="unsaid.length > 0">
          <summary>
            {{ counted(unsaid.length, 'sentence') }} said on the {{ first.side }} and not on the
            {{ second.side }}
          </summary>
          <ol>
            <li v-for="{ startMs, text } in unsaid" :key="startMs">
              <span class="figure soft">{{ formatMs(startMs) }}</span> “{{ text }}”
            </li>
          </ol>
        </details>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 22px;
}
.soft {
  color: var(--ink-soft);
  font-size: 15px;
}
.list {
  width: auto;
}
.list :is(th, td) {
  padding: 4px 10px;
}
.list :deep(.p-button) {
  padding: 0;
}
tbody th {
  font-weight: 500;
}
ul {
  padding: 0;
  margin: 4px 0 0;
  list-style: none;
}
ol {
  padding: 0;
  margin: 2px 0 6px;
  list-style: none;
}
</style>
