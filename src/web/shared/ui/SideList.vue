<script setup lang="ts">
/** What a view goes through at its left: a list of things by name, each with a line about it, one of them looked at. */
defineProps<{
  title: string
  label: string
  things: readonly { readonly key: string; readonly name: string; readonly about: string }[]
  current: string | undefined
}>()
const emit = defineEmits<{ choose: [key: string] }>()
</script>

<template>
  <nav class="side-list scrolls" :aria-label="label">
    <h2>{{ title }}</h2>
    <slot name="top" />
    <ul v-if="things.length > 0">
      <li v-for="{ key, name, about } in things" :key="key">
        <button type="button" :aria-current="key === current ? 'true' : undefined" @click="emit('choose', key)">
          <span class="name">{{ name }}</span>
          <small>{{ about }}</small>
        </button>
      </li>
    </ul>
    <slot />
  </nav>
</template>

<style scoped>
.side-list {
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
</style>
