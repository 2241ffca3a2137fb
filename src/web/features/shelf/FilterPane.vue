<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { countAnswers, facets } from '#web/shared/shelf/filters.ts'
import { useShelf } from './use-shelf.ts'

const route = useRoute()
const router = useRouter()
const { session, found, chosen, wanted, choose, clear } = useShelf()

const groups = computed(() =>
  facets.map((facet) => ({
    facet,
    counts: countAnswers(found.value, chosen.value, facet),
    on: chosen.value[facet.key] ?? [],
  })),
)
const isFiltered = computed(
  () => wanted.value !== '' || Object.values(chosen.value).some((values) => values.length > 0),
)
/** Open at first: what most look for. */
const openAtFirst = new Set(matchMedia('(max-width: 800px)').matches ? [] : ['kind', 'base', 'target'])

/** Looking for something or ticking a box shows the list again. */
function showList(): void {
  if (route.name !== 'shelf') void router.push({ name: 'shelf' })
}
function tick(key: string, value: string, on: boolean): void {
  choose(key, value, on)
  showList()
}
</script>

<template>
  <section class="filters" aria-label="Find and filter">
    <header>
      <h2>Shelf</h2>
      <RouterLink v-if="session.document" class="back" :to="{ name: 'plan', params: { id: session.document.id } }"
        >Back to the plan</RouterLink
      >
    </header>
    <label class="visually-hidden" for="shelf-all-find">Find by any name</label>
    <InputText
      id="shelf-all-find"
      v-model="wanted"
      class="find"
      placeholder="Find by any name"
      autocomplete="off"
      @update:model-value="showList"
    />
    <Button v-if="isFiltered" class="clear" size="small" text severity="secondary" label="Clear all" @click="clear" />
    <div class="facets scrolls">
      <details
        v-for="{ facet, counts, on } in groups"
        :key="facet.key"
        :open="openAtFirst.has(facet.key) || on.length > 0"
      >
        <summary>
          {{ facet.title }}<b v-if="on.length > 0"> · {{ on.length }}</b>
        </summary>
        <ul>
          <li v-for="{ value, words } in facet.options" :key="value">
            <label :class="{ nothing: !counts.get(value) && !on.includes(value) }">
              <Checkbox binary :model-value="on.includes(value)" @update:model-value="tick(facet.key, value, $event)" />
              <span class="words">{{ words }}</span>
              <span class="count">{{ counts.get(value) }}</span>
            </label>
          </li>
        </ul>
      </details>
    </div>
  </section>
</template>

<style scoped>
.filters {
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding-top: 14px;
  border-right: 1px solid var(--line);
  background: var(--sheet);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding: 0 16px;
}
.back {
  font-size: 14px;
  color: var(--ink-soft);
}
.find {
  margin: 8px 16px 10px;
}
.clear {
  align-self: start;
  margin: -4px 0 4px 8px;
}
.facets {
  flex: 1;
  border-top: 1px solid var(--line-soft);
}
details {
  border-bottom: 1px solid var(--line-soft);
  padding: 8px 16px;
}
summary {
  font-size: 15px;
  font-weight: 650;
  cursor: pointer;
}
ul {
  margin-top: 4px;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 27px;
  font-size: 15.5px;
  cursor: pointer;
}
.words {
  flex: 1;
  min-width: 0;
}
.count,
.nothing {
  color: var(--ink-soft);
}
.count {
  font-size: 14px;
}
@media print {
  .filters {
    display: none;
  }
}
</style>
