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
    <h2>{{ stopCard.lead }}</h2>
    <ul>
      <li v-for="sign in stopCard.signs" :key="sign">{{ sign }}</li>
    </ul>
    <p>{{ stopCard.comingOut }}</p>
    <p>
      <b>{{ stopCard.emergency }}</b>
    </p>
    <ul v-if="emergency.length > 0" class="here" aria-label="In an emergency here">
      <li v-for="line in emergency" :key="line">{{ line }}</li>
    </ul>
    <p v-if="stopped !== ''">{{ stopped }}. No breath is held or stroked any more in this class.</p>
    <h3>{{ firstAid.lead }}</h3>
    <ul class="aid">
      <li v-for="line in firstAid.lines" :key="line">{{ line }}</li>
    </ul>
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
  </section>
</template>

<style scoped>
.card {
  min-height: 0;
  overflow-y: auto;
  padding: 18px 22px;
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
  position: sticky;
  bottom: 0;
  background: var(--sheet) !important;
  min-height: 44px;
}
</style>
