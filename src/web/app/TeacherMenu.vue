<script setup lang="ts">
import { defineAsyncComponent, ref, useTemplateRef } from 'vue'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'

/** Who is signed in, and the way out. */
const who = useWhoStore()
const BarMenu = defineAsyncComponent(() => import('./BarMenu.vue'))
const isOpen = ref(false)
const opener = useTemplateRef<HTMLButtonElement>('opener')
const items = [
  { words: 'Teachers', name: 'teachers' },
  { words: 'Sign out', act: () => void who.leave() },
]
</script>

<template>
  <template v-if="who.teacher">
    <button
      ref="opener"
      class="who"
      aria-haspopup="menu"
      :aria-expanded="isOpen"
      :aria-label="`Signed in as ${who.teacher.name}`"
      :title="`Signed in as ${who.teacher.name}`"
      @click="isOpen = !isOpen"
    >
      <i class="pi pi-user" aria-hidden="true" /><span>{{ who.teacher.name }}</span>
    </button>
    <BarMenu v-if="isOpen" :items="items" :opener="opener" @close="isOpen = false" />
  </template>
</template>

<style scoped>
.who {
  display: flex;
  flex: none;
  align-items: center;
  gap: 6px;
  max-width: 150px;
  padding: 6px 10px;
  border: none;
  border-radius: 6px;
  background: none;
  color: #c4cfc9;
  font: inherit;
  white-space: nowrap;
  cursor: pointer;
}
.who:hover,
.who[aria-expanded='true'] {
  color: #fff;
}
span {
  overflow: hidden;
  text-overflow: ellipsis;
}
@media (max-width: 1320px) {
  span {
    display: none;
  }
}
</style>
