<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import { letIn, readFingerprint } from '#web/shared/api/room.ts'

/** Where a device is let in: the code from the teacher’s screen, typed or brought along by the square. */
const code = ref(/^#(\d{6})$/.exec(location.hash)?.[1] ?? '')
const mend = ref('')
const fingerprint = ref('')
const isAsking = ref(false)
const field = useTemplateRef('field')
// What was brought along stands in no history.
if (location.hash !== '') history.replaceState(null, '', location.pathname)
onMounted(async () => {
  field.value?.focus()
  const reply = await readFingerprint()
  if (reply.kind === 'ok') fingerprint.value = reply.value.fingerprint
})

async function ask(): Promise<void> {
  isAsking.value = true
  const reply = await letIn(code.value)
  isAsking.value = false
  if (reply.kind === 'ok') {
    location.replace(reply.value.home)
    return
  }
  mend.value =
    reply.kind === 'away'
      ? 'Zovrin does not answer: is this device in the same network, and does the teacher still let devices in?'
      : reply.problem.code === 'DOCUMENT_REFUSED'
        ? 'A code has six digits: type it as it stands on the teacher’s screen.'
        : reply.problem.detail
  field.value?.focus()
  field.value?.select()
}
</script>

<template>
  <main>
    <h1>Let this device in</h1>
    <form @submit.prevent="ask">
      <label for="code">The code on the teacher’s screen</label>
      <input
        id="code"
        ref="field"
        v-model="code"
        inputmode="numeric"
        autocomplete="one-time-code"
        maxlength="9"
        placeholder="000 000"
        :aria-invalid="mend !== ''"
        :aria-describedby="mend ? 'mend' : undefined"
      />
      <p v-if="mend" id="mend" role="alert">{{ mend }}</p>
      <button type="submit" :disabled="isAsking">Let it in</button>
    </form>
    <p v-if="fingerprint" class="soft">
      Your browser may have warned that this page is not private: the teacher’s computer vouches for itself. Whoever
      wants to be sure compares this fingerprint with the one on the teacher’s screen, and with the one the browser
      shows.
    </p>
    <p v-if="fingerprint" class="soft print">{{ fingerprint }}</p>
  </main>
</template>

<style scoped>
main {
  min-height: 100dvh;
  display: grid;
  align-content: center;
  gap: 18px;
  width: min(620px, 100%);
  margin: 0 auto;
  padding: 24px;
  color: var(--ink);
}
:global(body) {
  background: var(--ground);
}
form {
  display: grid;
  gap: 10px;
}
label {
  font-size: 20px;
}
input {
  width: 100%;
  padding: 8px 16px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: var(--sheet);
  color: var(--ink);
  font-size: 44px;
  letter-spacing: 2px;
}
input::placeholder {
  color: var(--ink-soft);
  opacity: 0.6;
}
button {
  min-height: 56px;
  border: 0;
  border-radius: 8px;
  background: var(--chosen);
  color: #1d2a2a;
  font-size: 22px;
  font-weight: 650;
  cursor: pointer;
}
[role='alert'] {
  font-size: 18px;
  color: var(--left);
}
.soft {
  color: var(--ink-soft);
}
.print {
  overflow-wrap: anywhere;
  font-size: 15px;
}
</style>
