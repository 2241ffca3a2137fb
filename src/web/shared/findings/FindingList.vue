<script setup lang="ts" generic="Place extends string | number">
/** What needs a look in something of several parts, in a sentence each; where it stands in one of them, that is led to. */
defineProps<{
  id: string
  lines: readonly {
    readonly key: number
    readonly at: Place | undefined
    /** What the part is called. */
    readonly place: string
    readonly words: string
  }[]
}>()
defineEmits<{ look: [at: Place] }>()
</script>

<template>
  <section v-if="lines.length > 0" :aria-labelledby="id">
    <h2 :id="id">To look at</h2>
    <ul>
      <li v-for="{ key, at, place, words } in lines" :key="key">
        <button v-if="at !== undefined" type="button" @click="$emit('look', at)">{{ place }}</button>
        {{ words }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 6px;
}
ul {
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
button {
  padding: 0;
  border: none;
  background: none;
  color: var(--ink);
  font: inherit;
  font-weight: 650;
  text-decoration: underline;
  cursor: pointer;
}
</style>
