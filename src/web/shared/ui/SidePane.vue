<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import Button from 'primevue/button'

/** The right pane of a view: beside the picture, and below 1180 px a drawer over it [design]. */
defineProps<{ label: string; opener: string }>()
const isOpen = defineModel<boolean>('open', { required: true })
const narrow = useMediaQuery('(max-width: 1179px)')
</script>

<template>
  <aside v-show="!narrow || isOpen" class="pane" :class="{ narrow }" :aria-label="label">
    <Button
      v-if="narrow"
      class="close"
      text
      severity="secondary"
      icon="pi pi-times"
      aria-label="Close"
      @click="isOpen = false"
    />
    <slot />
  </aside>
  <Button
    v-if="narrow && !isOpen"
    class="open-drawer"
    severity="secondary"
    outlined
    :label="opener"
    @click="isOpen = true"
  />
</template>

<style scoped>
.pane {
  border-left: 1px solid var(--line);
  padding: 12px 18px 18px;
  overflow-y: auto;
  background: var(--sheet);
  min-height: 0;
  /* What changes in a pane is set out in that pane alone. */
  contain: layout style;
}
.pane.narrow {
  position: absolute;
  inset: 0 0 0 auto;
  width: 344px;
  box-shadow: -8px 0 24px rgb(29 42 42 / 18%);
  z-index: 20;
}
.close {
  position: absolute !important;
  top: 6px;
  right: 8px;
}
.open-drawer {
  position: absolute !important;
  right: 12px;
  bottom: 12px;
  background: var(--sheet) !important;
  z-index: 10;
}
@media print {
  .pane,
  .pane.narrow {
    display: block !important;
    position: static;
    width: auto;
    border: 0;
    overflow: visible;
    box-shadow: none;
    contain: none;
  }
  .close,
  .open-drawer {
    display: none;
  }
}
</style>
