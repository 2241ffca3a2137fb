<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, useTemplateRef } from 'vue'
import { firstAid, stopCard } from '#words/advice'

/** Beside the stage, never over it: the clock and Breathe freely stay in sight. Its button has the focus. */
defineProps<{
  stopped: string
  /** What the place says of an emergency. */
  emergency: readonly string[]
}>()
const emit = defineEmits<{ close: [] }>()
const close = useTemplateRef<{ $el: HTMLElement }>('close')
onMounted(() => {
  close.value?.$el.focus()
})
</script>

<template>
  <section class="card" role="dialog" aria-label="Stop signs" @keydown.esc.stop="emit('close')">
    <header>
      <h2>Stop signs</h2>
      <!-- Enter and Space press it, and are no commands to the class while it has the focus. -->
      <Button
        ref="close"
        severity="secondary"
        outlined
        label="Close"
        @keydown.enter.stop
        @keydown.space.stop
        @click="emit('close')"
      />
    </header>
    <ul v-if="emergency.length > 0" class="here" aria-label="In an emergency here">
      <li v-for="line in emergency" :key="line">{{ line }}</li>
    </ul>
    <p>
      <b>{{ stopCard.lead }}</b>
    </p>
    <ul>
      <li v-for="sign in stopCard.signs" :key="sign">{{ sign }}</li>
    </ul>
    <p>{{ stopCard.comingOut }}</p>
    <p>
      <b>{{ stopCard.emergency }}</b>
    </p>
    <p v-if="stopped !== ''">{{ stopped }}. No breath is held or stroked any more in this class.</p>
    <h3>{{ firstAid.lead }}</h3>
    <ul class="aid">
      <li v-for="line in firstAid.lines" :key="line">{{ line }}</li>
    </ul>
  </section>
</template>

<style scoped>
.card {
  min-height: 0;
  overflow-y: auto;
  padding: 0 22px 18px;
  background: var(--sheet);
  border-top: 6px solid #d0506c;
  border-left: 1px solid var(--line);
  display: grid;
  align-content: start;
  gap: 10px;
  font-size: 20px;
}
h2 {
  font-size: 22px;
}
li {
  list-style: square;
  margin: 0 0 6px 20px;
}
h3 {
  font-size: 18px;
}
.here {
  padding: 8px 12px;
  border: 2px solid #d0506c;
  border-radius: 8px;
  font-weight: 650;
}
.here li {
  margin: 0;
  list-style: none;
}
.aid {
  font-size: 17px;
}
.card :deep(.p-button) {
  min-height: 44px;
}
header {
  position: sticky;
  top: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: start;
  gap: 12px;
  padding: 14px 0 8px;
  background: var(--sheet);
}
</style>
