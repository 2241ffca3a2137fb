<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { secretHint, secretWord } from '#words/teachers'
import { capital } from '#words/text'
import { whyNot } from '#web/shared/api/client.ts'
import { changeSecret } from '#web/shared/api/teachers.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import AskedField from '#web/shared/ui/AskedField.vue'

/** Choosing another password or PIN: every other browser is signed out by it. */
const who = useWhoStore()
const [secret, next, mend, told] = [ref(''), ref(''), ref(''), ref('')]

async function change(): Promise<void> {
  const reply = await changeSecret(secret.value, next.value)
  mend.value = reply.kind === 'ok' ? '' : whyNot(reply)
  told.value = reply.kind === 'ok' ? 'It is changed. Other browsers are signed out.' : ''
  if (reply.kind === 'ok') [secret.value, next.value] = ['', '']
}
</script>

<template>
  <form class="own" @submit.prevent="change">
    <AskedField
      v-model="secret"
      :label="`${capital(secretWord(who.kind))} until now`"
      autocomplete="current-password"
      :is-pin="who.kind !== 'accounts'"
    />
    <AskedField
      v-model="next"
      :label="`New ${secretWord(who.kind)}`"
      autocomplete="new-password"
      :is-pin="who.kind !== 'accounts'"
      :hint="secretHint(who.kind)"
    />
    <Button type="submit" severity="secondary" outlined label="Change it" :disabled="secret === '' || next === ''" />
    <p v-if="mend" class="line mend" role="alert">{{ mend }}</p>
    <p class="line" role="status">{{ told }}</p>
  </form>
</template>

<style scoped>
.own {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 12px 16px;
}
.own > :deep(button[type='submit']) {
  margin-top: 24px;
}
.line {
  flex-basis: 100%;
  margin: 0;
}
.mend {
  font-weight: 650;
  color: var(--avoid);
}
</style>
