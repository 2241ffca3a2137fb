<script setup lang="ts">
import { defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import AdviceNote from '#web/shared/ui/AdviceNote.vue'
import AppBar from './AppBar.vue'
import { useClassSize } from '#web/shared/house/use-class-size.ts'
import { useKeptFocus } from './keep-focus.ts'
import { useHandedOver } from '#web/shared/people/handed-over.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import { teacherHere } from '#web/shared/teachers/teacher-here.ts'

const SignInView = defineAsyncComponent(() => import('#web/features/sign-in/SignInView.vue'))

const who = useWhoStore()
/** Whoever is asked again in the middle of something finds it as it was. */
const wasIn = teacherHere() !== null
/** Nothing is shown or asked for before it is known who it is. */
const isKnown = ref(false)
void who.load().finally(() => {
  isKnown.value = true
})
const route = useRoute()
useClassSize()
// What is open in another window of a device that is handed over is covered with it; a class that is led goes on.
const router = useRouter()
watch(useHandedOver().personId, (personId) => {
  if (personId !== undefined && route.name !== 'lead') void router.replace({ name: 'own-page' })
})
useKeptFocus(() => !route.meta['bare'])
</script>

<template>
  <SignInView v-if="who.mustSignIn && (isKnown || wasIn)" />
  <template v-if="isKnown && (!who.mustSignIn || wasIn)">
    <RouterView v-if="route.meta['bare']" v-show="!who.mustSignIn" :key="String(route.params['id'])" />
    <div v-else v-show="!who.mustSignIn" class="shell">
      <AppBar />
      <main class="view" tabindex="-1">
        <RouterView :key="String(route.meta['stays'] ?? route.params['id'] ?? route.name)" />
      </main>
      <footer class="foot">
        <RouterView name="foot" />
        <AdviceNote v-if="!route.matched[0]?.components?.['foot']" />
      </footer>
    </div>
  </template>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template-rows: 56px minmax(0, 1fr) 34px;
  height: 100dvh;
}
.view {
  outline: none;
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
  /* It is one line high. */
  white-space: nowrap;
}
@media print {
  .shell {
    display: block;
    height: auto;
  }
  .shell > :deep(header),
  .foot {
    display: none;
  }
}
</style>
