<script setup lang="ts">
import Menu from 'primevue/menu'
import { nextTick, onMounted, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'

/** One line of a menu of the bar: a view, or something to be done; `-` alone is a line between. */
export interface BarItem {
  readonly words: string
  readonly name?: string
  readonly params?: Readonly<Record<string, string>>
  readonly act?: () => void
}
const props = defineProps<{ items: readonly BarItem[]; opener: HTMLElement | null }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const menu = useTemplateRef<{ show: (event: Event, target?: unknown) => void }>('menu')

const model = props.items.map(({ words, name, params, act }) =>
  words === '-'
    ? { separator: true }
    : {
        label: words,
        command: () => {
          if (name !== undefined) void router.push({ name, ...(params ? { params } : {}) })
          act?.()
        },
      },
)
onMounted(async () => {
  // It enters, and so finds its place under its opener, only once it stands in the page.
  await nextTick()
  if (props.opener) menu.value?.show(new Event('click'), props.opener)
})
function close(): void {
  emit('close')
  props.opener?.focus()
}
</script>

<template>
  <Menu ref="menu" popup :model="model" @hide="close" />
</template>
