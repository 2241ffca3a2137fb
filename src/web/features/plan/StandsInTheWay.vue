<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Refusal } from '#model/refusal'
import { inTheWayOf } from '#core/timeline'
import { fieldName } from '#words/fields'
import { refusalSentence } from '#words/refusals'
import { blockNameIn } from '#words/blocks'
import { capital } from '#words/text'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/**
 * A session that names what is not on the shelf, or is past what may be led, cannot be put on the spine: what stands in
 * the way, block by block.
 */
const store = useSessionStore()
const own = useOwnStore()

const inTheWay = computed(() => (store.document ? inTheWayOf(store.document, own.catalog) : []))
const isMissing = computed(() => inTheWay.value.some(({ code }) => code === 'UNKNOWN_REFERENCE'))
/** Too long in all, no one block is it: any of them may go. */
const tooLong = computed(() => inTheWay.value.find(({ code }) => code === 'COMPOSED_LONG'))
const wordsOf = (why: Refusal): string =>
  why.code === 'UNKNOWN_REFERENCE' ? `${fieldName(why.path)}: “${why.facts.id}”` : refusalSentence(why)
const rows = computed(() =>
  (store.document?.blocks ?? []).map((block, index) => ({
    block,
    name: capital(blockNameIn(block, own.catalog)),
    why: inTheWay.value.find(({ path }) => path.startsWith(`blocks[${String(index)}]`)),
  })),
)
const school = computed(() => inTheWay.value.find((why) => why.code === 'UNKNOWN_REFERENCE' && why.path === 'schoolId'))
const schools = computed(() => [...own.shelf.schools.values()])
</script>

<template>
  <section v-if="inTheWay.length > 0" class="way scrolls" role="alert">
    <template v-if="isMissing">
      <h1>Something this session stands on is not on the shelf</h1>
      <p>Nothing of it is lost. Take out what is missing, or bring it back to the shelf, and the plan shows again.</p>
    </template>
    <template v-else>
      <h1>Something in this session is past what can be led</h1>
      <p>
        Nothing of it is lost. It was planned when there was no such limit: take out what is past it, and the plan shows
        again.
      </p>
      <p v-if="tooLong">{{ refusalSentence(tooLong) }}</p>
    </template>
    <p v-if="school">
      {{ wordsOf(school) }} is gone.
      <Button
        v-for="{ id, name } in schools"
        :key="id"
        size="small"
        outlined
        :label="`Take ${name}`"
        @click="store.edit({ type: 'details', details: { schoolId: id } }, 'change the school')"
      />
    </p>
    <ol>
      <li v-for="{ block, name, why } in rows" :key="block.id" :class="{ gone: why }">
        <span>{{ name }}</span>
        <small>{{ why ? wordsOf(why) : '' }}</small>
        <template v-if="why || tooLong">
          <Button
            size="small"
            outlined
            label="Take it out"
            @click="store.edit({ type: 'remove', id: block.id }, `take out ${name}`)"
          />
        </template>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.way {
  grid-column: 2 / -1;
  padding: 24px 28px;
  display: grid;
  align-content: start;
  gap: 12px;
}
li {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) auto;
  align-items: center;
  gap: 12px;
  min-height: 36px;
  border-top: 1px solid var(--line-soft);
}
.gone span {
  font-weight: 650;
}
</style>
