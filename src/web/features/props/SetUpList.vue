<script setup lang="ts">
import Select from 'primevue/select'
import { computed, nextTick, ref } from 'vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { blockNameIn } from '#words/blocks'
import { keyOf } from './used.ts'
import { takesWords } from '#words/props'
import SideList from '#web/shared/ui/SideList.vue'
import { useProps } from './use-props.ts'

/** The set-ups of the session in its order, with what each takes. */
const { store, used, chosen, chosenKey } = useProps()
const own = useOwnStore()

const things = computed(() =>
  used.value.map(({ key, name, items }) => ({ key, name, about: takesWords(items) || 'no props' })),
)

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
  <SideList
    title="Set-ups"
    label="Set-ups of the session"
    :things="things"
    :current="chosen?.key"
    @choose="chosenKey = $event"
  >
    <p v-if="used.length === 0" class="none">
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
  </SideList>
</template>

<style scoped>
.other {
  margin: 12px 16px;
  max-width: calc(100% - 32px);
}
.none {
  padding: 4px 16px;
  color: var(--ink-soft);
}
</style>
