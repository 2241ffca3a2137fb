<script setup lang="ts">
import Select from 'primevue/select'
import { computed, nextTick, ref } from 'vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { blockNameIn } from '#words/blocks'
import { keyOf } from './used.ts'
import { takesWords } from '#words/props'
import { useProps } from './use-props.ts'

/** The set-ups of the session in its order, with what each takes. */
const { store, used, chosen, chosenKey } = useProps()
const own = useOwnStore()

/** Breath work and rests have no set-up until they are given one. */
const others = computed(() => {
  const { document } = store
  if (!document) return []
  const here = new Set(used.value.map(({ key }) => key))
  return document.blocks
    .filter(({ kind }) => kind === 'breath' || kind === 'rest')
    .map((block) => ({ value: keyOf(document, block), words: blockNameIn(block, own.catalog) }))
    .filter(({ value }) => !here.has(value))
})
const other = ref<string | null>(null)
async function setUp(key: string | null): Promise<void> {
  if (key !== null) chosenKey.value = key
  await nextTick()
  other.value = null
}
</script>

<template>
  <nav class="list" aria-label="Set-ups of the session">
    <h2>Set-ups</h2>
    <ul v-if="used.length > 0">
      <li v-for="one in used" :key="one.key">
        <button type="button" :aria-current="one === chosen ? 'true' : undefined" @click="chosenKey = one.key">
          <span class="name">{{ one.name }}</span>
          <small>{{ takesWords(one.items) || 'no props' }}</small>
        </button>
      </li>
    </ul>
    <p v-else class="none">
      A session’s poses stand here with what they lie on. This one has none yet: add a pose in Plan.
    </p>
    <Select
      v-if="others.length > 0"
      v-model="other"
      class="other"
      :options="others"
      option-label="words"
      option-value="value"
      placeholder="Set up another…"
      size="small"
      aria-label="Set up breath work or a rest"
      @update:model-value="setUp"
    />
  </nav>
</template>

<style scoped>
.list {
  min-height: 0;
  overflow-y: auto;
  background: var(--sheet);
  border-right: 1px solid var(--line);
}
h2 {
  padding: 13px 16px 9px;
}
li {
  border-top: 1px solid var(--line);
}
li:last-child {
  border-bottom: 1px solid var(--line);
}
button {
  display: block;
  width: 100%;
  padding: 8px 16px 9px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--line-soft);
}
button[aria-current] {
  background: var(--chosen-wash);
  box-shadow: inset 0 0 0 2px var(--ink);
}
button:focus-visible {
  outline-offset: -4px;
}
.name,
small {
  display: block;
  overflow-wrap: anywhere;
}
small {
  font-size: 14px;
  color: #4b5854;
}
.other {
  margin: 12px 16px;
  max-width: calc(100% - 32px);
}
.none {
  padding: 4px 16px;
  color: var(--ink-soft);
}
</style>
