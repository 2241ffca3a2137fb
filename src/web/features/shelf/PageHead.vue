<script setup lang="ts">
import Button from 'primevue/button'
import type { Names } from '#model/names'
import type { ShelfThing } from '#web/shared/session/new-block.ts'
import LastTaught from '#web/shared/shelf/LastTaught.vue'
import { useShelf } from './use-shelf.ts'

/** The head of a page of the shelf: all names, what it is in a line, what can be done with it. */
defineProps<{ names: Names; line: string; thing?: ShelfThing }>()
const { session, add } = useShelf()
const print = () => {
  window.print()
}
</script>

<template>
  <header class="head">
    <RouterLink class="back" :to="{ name: 'shelf' }">All of the shelf</RouterLink>
    <h1>
      {{ names.english }} <i v-if="names.sanskrit" lang="sa-Latn">{{ names.sanskrit }}</i>
    </h1>
    <p v-if="names.others.length > 0" class="soft">also {{ names.others.join(', ') }}</p>
    <p class="line">{{ line }}</p>
    <LastTaught v-if="thing && 'id' in thing" :things="[thing.id]" />
    <div class="acts">
      <Button
        v-if="thing && session.document"
        :label="`Add to ${session.document.name}`"
        @click="add(thing, names.english)"
      />
      <slot />
      <Button severity="secondary" outlined icon="pi pi-print" label="Print" @click="print" />
    </div>
  </header>
</template>

<style scoped>
.back {
  font-size: 14px;
  color: var(--ink-soft);
}
h1 {
  overflow-wrap: anywhere;
}
i {
  margin-left: 6px;
  font-weight: 500;
  color: var(--ink-soft);
}
.soft {
  color: var(--ink-soft);
}
.line {
  margin-top: 2px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
}
@media print {
  .back,
  .acts {
    display: none;
  }
}
</style>
