<script setup lang="ts">
import { computed, onMounted, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { anyRunning } from '#web/shared/lead/running-class.ts'
import type { RunningClass } from '#web/shared/lead/running-class.ts'
import { sendUnsent } from '#web/shared/lead/send-unsent.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import AdviceNote from '#web/shared/ui/AdviceNote.vue'

const route = useRoute()
const store = useSessionStore()

/** The views in the order of the work; one that is not built yet is absent. */
const views = computed(() => {
  const params = store.document ? { id: store.document.id } : undefined
  const plan = params
    ? [
        { name: 'plan', words: 'Plan', params },
        { name: 'props', words: 'Props', params },
      ]
    : []
  // There is nothing to lead in a session of no blocks.
  const lead = params && store.document?.blocks.length ? [{ name: 'lead', words: 'Lead', params }] : []
  return [...plan, ...lead, { name: 'journal', words: 'Journal', params: {} }]
})

/** A class whose window was closed waits here until it is taken up again. */
const running = shallowRef<RunningClass>()
watch(
  () => route.fullPath,
  async () => {
    running.value = await anyRunning()
  },
  { immediate: true },
)
// What the server did not get when a class ended waits for the next opening.
onMounted(() => void sendUnsent())
</script>

<template>
  <RouterView v-if="route.meta['bare']" :key="String(route.params['id'])" />
  <div v-else class="shell">
    <header class="bar">
      <RouterLink class="mark" :to="{ name: 'sessions' }">Zovrin</RouterLink>
      <nav aria-label="Views">
        <RouterLink v-for="view in views" :key="view.name" :to="{ name: view.name, params: view.params }">{{
          view.words
        }}</RouterLink>
      </nav>
      <RouterLink v-if="running" class="running" :to="{ name: 'lead', params: { id: running.sessionId } }"
        >{{ running.start.document.name }} is running: go back to it</RouterLink
      >
      <span class="grow" />
      <RouterView name="bar" />
    </header>
    <main class="view">
      <RouterView :key="String(route.meta['stays'] ?? route.params['id'] ?? route.name)" />
    </main>
    <footer class="foot">
      <RouterView name="foot" />
      <AdviceNote v-if="!route.matched[0]?.components?.['foot']" />
    </footer>
  </div>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template-rows: 56px minmax(0, 1fr) 34px;
  height: 100dvh;
}
.bar {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 16px;
  background: var(--ink);
  color: #edf1ec;
  min-width: 0;
}
.bar :focus-visible {
  outline-color: var(--chosen);
}
.mark {
  font-size: 22px;
  font-weight: 700;
  letter-spacing: 0.2px;
  text-decoration: none;
}
nav {
  display: flex;
  gap: 2px;
  margin-left: 10px;
}
nav a {
  padding: 6px 11px;
  border-radius: 6px;
  color: #c4cfc9;
  text-decoration: none;
}
nav a:hover {
  color: #fff;
}
nav a.router-link-active {
  background: #33443f;
  color: #fff;
}
.running {
  padding: 5px 12px;
  border-radius: 6px;
  background: var(--chosen);
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.grow {
  flex: 1;
}
.view {
  min-height: 0;
  min-width: 0;
}
.foot {
  display: flex;
  align-items: center;
  gap: 18px;
  padding: 0 16px;
  background: #dce4de;
  border-top: 1px solid var(--line);
  font-size: 15px;
  min-width: 0;
}
@media print {
  .shell {
    display: block;
    height: auto;
  }
  .bar,
  .foot {
    display: none;
  }
}
</style>
