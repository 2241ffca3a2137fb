<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { unknownReferences } from '#core/session'
import { fieldName } from '#words/fields'
import { blockNameIn } from '#words/blocks'
import { capital } from '#words/text'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** A session that names what is not on the shelf cannot be put on the spine: what stands in the way, block by block. */
const store = useSessionStore()
const own = useOwnStore()

const missing = computed(() => (store.document ? unknownReferences(store.document, own.catalog) : []))
const rows = computed(() =>
  (store.document?.blocks ?? []).map((block, index) => ({
    block,
    name: capital(blockNameIn(block, own.catalog)),
    why: missing.value.find(({ path }) => path.startsWith(`blocks[${String(index)}]`)),
  })),
)
const school = computed(() => missing.value.find(({ path }) => path === 'schoolId'))
const schools = computed(() => [...own.shelf.schools.values()])
</script>

<template>
  <section v-if="missing.length > 0" class="way" role="alert">
    <h1>Something this session stands on is not on the shelf</h1>
    <p>Nothing of it is lost. Take out what is missing, or bring it back to the shelf, and the plan shows again.</p>
    <p v-if="school">
      The school “{{ school.id }}” is gone.
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
        <template v-if="why">
          <small>{{ fieldName(why.path) }}: “{{ why.id }}”</small>
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
  overflow-y: auto;
  padding: 24px 28px;
  display: grid;
  align-content: start;
  gap: 12px;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 36px;
  border-top: 1px solid var(--line-soft);
}
.gone span {
  font-weight: 650;
}
</style>
