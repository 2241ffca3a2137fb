<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import BarMenu from './BarMenu.vue'
import type { BarItem } from './BarMenu.vue'
import RenameDialog from './RenameDialog.vue'

/** What can be done with the open session as a whole, wherever one is; its views first where they have no room in the bar. */
const props = defineProps<{ views: readonly BarItem[]; opener: HTMLElement | null }>()
const emit = defineEmits<{ close: [] }>()
const HistoryDialog = defineAsyncComponent(() => import('#web/features/sessions/HistoryDialog.vue'))
const TextDialog = defineAsyncComponent(() => import('#web/features/paste/TextDialog.vue'))
const store = useSessionStore()
const router = useRouter()
const shown = ref<'menu' | 'rename' | 'history' | 'text'>('menu')
/** Kept while a dialog stands, whatever is opened meanwhile. */
const session = store.document
const { id = '', name = '' } = session ?? {}

const inPlan = (hash: string) => () => void router.push({ name: 'plan', params: { id }, hash })
const items: readonly BarItem[] = [
  ...props.views,
  ...(props.views.length > 0 ? [{ words: '-' }] : []),
  { words: 'Rename', act: () => (shown.value = 'rename') },
  { words: 'Versions', act: inPlan('#versions') },
  { words: 'History', act: () => (shown.value = 'history') },
  { words: 'Own voice', act: () => void router.push({ name: 'voice', params: { id } }) },
  { words: 'Sheets and files', act: () => void router.push({ name: 'sheets', params: { id } }) },
  { words: 'Print the plan', act: inPlan('#sheet') },
  { words: 'As text', act: () => (shown.value = 'text') },
  { words: 'Paste a plan into it', act: () => void router.push({ name: 'paste', params: { id } }) },
]
function hidden(): void {
  if (shown.value === 'menu') emit('close')
}
function closed(): void {
  emit('close')
  props.opener?.focus()
}
/** What this window still had of it is older than what was brought back. */
async function broughtBack(): Promise<void> {
  closed()
  await store.close()
  await store.open(id)
}
</script>

<template>
  <BarMenu v-if="shown === 'menu'" :items="items" :opener="opener" @close="hidden" />
  <RenameDialog v-else-if="shown === 'rename'" :name="name" @close="closed" />
  <TextDialog v-else-if="shown === 'text' && session" :session="session" @close="closed" />
  <HistoryDialog v-else :id="id" :name="name" @close="closed" @brought-back="broughtBack" />
</template>
