<script setup lang="ts">
import { defineAsyncComponent, nextTick, onScopeDispose, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useEventListener, useMediaQuery, useTimeoutFn } from '@vueuse/core'
import { useFindings, watchFindings } from './findings/use-findings.ts'
import { closeDialog, openDialog, showFits } from './dialogs.ts'
import Inspector from './inspector/Inspector.vue'
import Shelf from './shelf/Shelf.vue'
import Spine from './spine/Spine.vue'
import StandsInTheWay from './StandsInTheWay.vue'
import { useLetterKeys } from '#web/shared/settings/letter-keys.ts'
import PlanSheet from './sheet/PlanSheet.vue'
import { usePlanSheet } from './sheet/use-plan-sheet.ts'
import { useClipboard } from './use-clipboard.ts'
import NextTime from '#web/shared/session/NextTime.vue'
import SessionAway from '#web/shared/session/SessionAway.vue'
import { isTyping, useUndoKeys } from '#web/shared/session/use-undo-keys.ts'
import { useLastTaught } from '#web/shared/shelf/last-taught-store.ts'
import SidePane from '#web/shared/ui/SidePane.vue'
import { usePlan } from './use-plan.ts'

const route = useRoute()
const router = useRouter()
const { store, chosenId, choose, told, undo, redo } = usePlan()
const shelf = useTemplateRef('shelf')
const spine = useTemplateRef('spine')
/** Not needed for the first look; fetched right after it, so that it is there when the server is not. */
const later = {
  fits: () => import('./fits/FitDialog.vue'),
  findings: () => import('./findings/FindingsPanel.vue'),
  conflict: () => import('./ConflictDialog.vue'),
  keys: () => import('./KeysDialog.vue'),
}
const FitDialog = defineAsyncComponent(later.fits)
const FindingsPanel = defineAsyncComponent(later.findings)
const ConflictDialog = defineAsyncComponent(later.conflict)
const KeysDialog = defineAsyncComponent(later.keys)
// With the server away it is asked for again when it is opened.
useTimeoutFn(() => void Promise.all(Object.values(later).map((fetch) => fetch())).catch(() => undefined), 1500)
const findings = useFindings()
watchFindings()
useLastTaught().expect()
function closeFindings(): void {
  findings.shown.value = false
  spine.value?.focus()
}
const BalanceDialog = defineAsyncComponent(() => import('./balance/BalanceDialog.vue'))
const CompareDialog = defineAsyncComponent(() => import('./compare/CompareDialog.vue'))
const drawerOpen = ref(false)
const letterKeys = useLetterKeys()
/** Below this width the right pane is a drawer [design]. */
const narrow = useMediaQuery('(max-width: 1179px)')
/** On paper the plan is a sheet, not the spine. */
const printing = useMediaQuery('print')
const ofClass = usePlanSheet(() =>
  store.document && store.timeline ? { document: store.document, timeline: store.timeline } : undefined,
)

watch(
  () => String(route.params['id'] ?? ''),
  (id) => {
    // A dialog speaks of the session it was opened over.
    closeDialog()
    void store.open(id)
  },
  { immediate: true },
)
onScopeDispose(closeDialog)
/** What the bar's menu asks of the plan: the sheet on paper, or the versions, which stand with the session itself. */
watch(
  () => [route.hash, store.timeline !== undefined] as const,
  async ([hash, isThere]) => {
    if (hash === '' || !isThere) return
    await router.replace({ hash: '' })
    if (hash === '#sheet') window.print()
    if (hash !== '#versions') return
    choose(undefined)
    await nextTick()
    drawerOpen.value = true
    await nextTick()
    document.getElementById('versions')?.focus()
  },
  { immediate: true },
)
// Back on the spine, where the next key belongs.
watch(openDialog, async (dialog) => {
  if (dialog) return
  await nextTick()
  spine.value?.focus()
})
watch(chosenId, (id) => {
  // Narrow, it would lie over the findings one goes through.
  drawerOpen.value = id !== undefined && !findings.shown.value
})
watch(drawerOpen, (isOpen) => {
  if (isOpen && narrow.value) findings.shown.value = false
})

function goLead(): void {
  if (store.document && store.document.blocks.length > 0)
    void router.push({ name: 'lead', params: { id: store.document.id } })
}

useUndoKeys({ undo, redo })
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (
    event.key !== '/' ||
    !letterKeys.value ||
    isTyping(event.target) ||
    event.ctrlKey ||
    event.metaKey ||
    event.altKey
  )
    return
  event.preventDefault()
  shelf.value?.focusFind()
})

useClipboard(isTyping)
</script>

<template>
  <PlanSheet
    v-if="printing && store.document && store.timeline"
    :session="store.document"
    :timeline="store.timeline"
    :of-class="ofClass"
  />
  <div v-if="store.document" v-show="!printing" class="plan" :class="{ narrow }">
    <Shelf ref="shelf" @added="spine?.focus()" />
    <StandsInTheWay v-if="!store.timeline" />
    <div v-if="store.timeline" class="middle">
      <NextTime :session="store.document" />
      <Spine
        ref="spine"
        @find="shelf?.focusFind()"
        @keys="openDialog = { is: 'keys' }"
        @lead="goLead"
        @fit="showFits()"
      />
    </div>
    <SidePane v-if="store.timeline" v-model:open="drawerOpen" label="The chosen block" opener="Details"
      ><Inspector
    /></SidePane>
    <p class="visually-hidden" role="status" aria-live="polite">{{ told }}</p>
    <FindingsPanel v-if="findings.shown.value" @close="closeFindings" @balance="openDialog = { is: 'balance' }" />
    <BalanceDialog v-if="openDialog?.is === 'balance'" @close="closeDialog" />
    <CompareDialog v-if="openDialog?.is === 'compare'" />
    <KeysDialog v-if="openDialog?.is === 'keys'" @close="closeDialog" />
    <FitDialog v-if="openDialog?.is === 'fit' && store.document.blocks.length > 0" />
    <ConflictDialog v-if="store.theirs" />
  </div>
  <SessionAway v-else />
</template>

<style scoped>
.plan {
  position: relative;
  display: grid;
  grid-template: minmax(0, 1fr) auto / 252px minmax(0, 1fr) 344px;
  height: 100%;
}
/* The plan has the height that its notes leave. */
.middle {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-width: 0;
  min-height: 0;
}
.middle > :deep(.spine) {
  grid-row: 2;
}
/* A strip under the plan, which can be scrolled clear of it. */
.plan > :deep(.findings-strip) {
  grid-area: 2 / 1 / 3 / 3;
}
.plan > :deep(.pane) {
  grid-area: 1 / 3 / 3 / 4;
}
.plan.narrow {
  grid-template-columns: 236px minmax(0, 1fr);
}
.plan.narrow > :deep(.open-drawer) {
  grid-area: 1 / 2 / 2 / 3;
}
.narrow :deep(.tools) {
  bottom: 56px;
}
</style>
