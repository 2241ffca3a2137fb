<script setup lang="ts">
import Button from 'primevue/button'

defineEmits<{ close: [] }>()
</script>

<template>
  <section class="card" role="dialog" aria-label="Stop signs">
    <h2>Ease out, breathe as you like and tell the teacher if you notice</h2>
    <ul>
      <li>pain that is sharp, in a joint, or runs along an arm or leg; tingling, numbness or a cold limb</li>
      <li>dizziness, sickness, headache, pressure in the eyes or ears, blurred sight</li>
      <li>a breath you have to hold, chase or force; a pounding or skipping heart</li>
      <li>fear, panic, or feeling far away; or simply a clear wish to stop</li>
    </ul>
    <p>Come out slowly: bend, roll, pause, hands down, head last.</p>
    <p><b>Get emergency help</b> for chest pain, fainting, trouble breathing, sudden severe headache, weak face or limb, confused speech, a fit, sudden sight loss, or bleeding or fluid loss in pregnancy.</p>
    <Button severity="secondary" outlined label="Close" @click="$emit('close')" />
  </section>
</template>

<style scoped>
/* Beside the stage, never over it: the clock and Breathe freely stay in sight. */
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
.card :deep(.p-button) {
  min-height: 44px;
}
</style>
