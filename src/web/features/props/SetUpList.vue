<script setup lang="ts">
import { takesWords } from '#words/props'
import { useProps } from './use-props.ts'

/** The set-ups of the session in its order, with what each takes. */
const { used, chosen, chosenKey, itemsOf } = useProps()
</script>

<template>
  <nav class="list" aria-label="Set-ups of the session">
    <h2>Set-ups</h2>
    <ul v-if="used.length > 0">
      <li v-for="one in used" :key="one.key">
        <button type="button" :aria-current="one === chosen ? 'true' : undefined" @click="chosenKey = one.key">
          <span class="name">{{ one.name }}</span>
          <small>{{ takesWords(itemsOf(one)) || 'no props' }}</small>
        </button>
      </li>
    </ul>
    <p v-else class="none">
      A session’s poses stand here with what they lie on. This one has none yet: add a pose in Plan.
    </p>
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
.none {
  padding: 4px 16px;
  color: var(--ink-soft);
}
</style>
