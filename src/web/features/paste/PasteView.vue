<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { computed, onMounted, watch } from 'vue'
import { useRoute } from 'vue-router'
import { formatDuration, formatMs } from '#core/units'
import { mostBlocks } from '#model/limits'
import { planDoubtWords } from '#words/plan-text'
import { counted } from '#words/text'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import SessionAway from '#web/shared/session/SessionAway.vue'
import ReadFile from '#web/shared/ui/ReadFile.vue'
import PasteLine from './PasteLine.vue'
import { isTooLong, usePaste } from './use-paste.ts'

/** A plan as a teacher wrote it, read line by line, and made into a session or put into one. */
const route = useRoute()
const store = useSessionStore()
const own = useOwnStore()
const intoId = computed(() => {
  const { id } = route.params
  return typeof id === 'string' && id !== '' ? id : undefined
})
watch(intoId, (id) => id !== undefined && void store.open(id), { immediate: true })
const { text, read, isBroken, into, choose, made, timeline, refused, tooMany, makeSession, putInto } = usePaste(intoId)
onMounted(() => document.getElementById('plan-as-text')?.focus())

const lines = computed(() => read.value?.lines.filter((line) => line.text.trim() !== '') ?? [])
const doubts = computed(() => lines.value.filter((line) => line.doubts.length > 0).length)
const hasClosing = computed(() => into.value?.blocks.at(-1)?.kind === 'closing')
const tooLong = computed(() => isTooLong(text.value))
const example = 'talk 3 welcome\ndeer 3.5 each side\n4:6 x 20\nlegs up the wall 10, blanket\nśavāsana 8'
</script>

<template>
  <SessionAway v-if="intoId !== undefined && !into" />
  <div v-else class="paste">
    <section class="text" aria-label="The plan as text">
      <h1>Paste a plan</h1>
      <p>One line a block, as you write it: a name in any language of the shelf, minutes, sides, props.</p>
      <label class="visually-hidden" for="plan-as-text">Plan as text</label>
      <Textarea id="plan-as-text" v-model="text" :placeholder="example" spellcheck="false" />
      <p v-if="tooLong" role="alert">
        Only the first thousand lines are read: that is more than any plan is. Take some of it away.
      </p>
      <ReadFile
        text
        label="From a text file"
        what="Text file with a plan"
        accept=".txt,.md,text/plain"
        :most-kb="400"
        @read="text = $event"
      />
    </section>
    <section class="understood" aria-labelledby="understood">
      <header>
        <div>
          <h2 id="understood">What was understood</h2>
          <p v-if="made && made.blocks.length > 0" role="status">
            {{ counted(made.blocks.length, 'block')
            }}<template v-if="timeline"
              >, {{ formatMs(timeline.totalMs) }} of {{ formatDuration(into?.lengthS ?? made.lengthS) }}</template
            ><template v-if="doubts > 0">, {{ counted(doubts, 'line') }} to look at</template>
          </p>
        </div>
        <template v-if="made && made.blocks.length > 0 && !tooMany && !tooLong">
          <Button v-if="into" :label="`Put into ${into.name}`" @click="putInto" />
          <Button v-else label="Make a session" @click="makeSession" />
        </template>
      </header>
      <p v-if="refused" role="alert">{{ refused }}</p>
      <p v-if="tooMany" role="alert">
        A session has at most {{ mostBlocks }} blocks: take some lines away, or paste them in parts.
      </p>
      <p v-if="isBroken" role="alert">The text could not be read here. Reload the page: it stays.</p>
      <p v-for="doubt in read?.doubts ?? []" :key="doubt" role="status">{{ planDoubtWords[doubt] }}.</p>
      <table v-if="lines.length > 0" class="list">
        <thead>
          <tr>
            <th scope="col" class="number"><span class="visually-hidden">Line</span></th>
            <th scope="col" class="typed">Typed</th>
            <th scope="col" class="becomes">Becomes</th>
            <th scope="col">In words</th>
          </tr>
        </thead>
        <tbody>
          <PasteLine
            v-for="line in lines"
            :key="line.number"
            :line="line"
            :block="line.block === undefined ? undefined : read?.blocks[line.block]"
            :catalog="own.catalog"
            :wanted="into ?? made ?? {}"
            :is-left="into !== undefined && hasClosing && line.role === 'block' && line.as?.kind === 'closing'"
            @choose="choose(line.text, $event)"
          />
        </tbody>
      </table>
      <p v-else class="empty">
        Each line of the text stands here with what it becomes. What is doubtful is marked, with what else it could be;
        nothing is dropped.
      </p>
    </section>
  </div>
</template>

<style scoped>
.paste {
  display: grid;
  grid-template-columns: minmax(250px, 28%) 1fr;
  height: 100%;
  min-height: 0;
}
section {
  min-width: 0;
  overflow: auto;
  padding: 18px 22px;
}
.text {
  display: flex;
  flex-direction: column;
  gap: 10px;
  border-right: 1px solid var(--line);
}
.text p {
  margin: 0;
}
textarea {
  flex: 1;
  min-height: 160px;
  resize: none;
  font: inherit;
  line-height: 1.5;
}
.understood {
  background: var(--sheet);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 14px;
  margin-bottom: 10px;
}
header p {
  margin: 2px 0 0;
  color: var(--ink-soft);
}
h2 {
  margin: 0;
}
table {
  table-layout: fixed;
}
.number {
  width: 36px;
}
.typed {
  width: 27%;
}
.becomes {
  width: 252px;
}
.empty {
  max-width: 52ch;
  color: #4b5854;
}
</style>
