<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { SignedIn } from '#model/teacher'
import { secretHint, secretWord } from '#words/teachers'
import { capital } from '#words/text'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { signIn, signInByCode } from '#web/shared/api/teachers.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import AskedField from '#web/shared/ui/AskedField.vue'

/** Who teaches: a name and what they are known by; or a code with which that is chosen. */
const who = useWhoStore()
const kind = computed(() => who.kind)
/** Nobody has said yet how one signs in here. */
const isAway = computed(() => who.isAway && who.signedIn === undefined)
const isNew = computed(() => who.signedIn?.isNew === true)
const names = computed(() => who.signedIn?.names ?? [])
const isByCode = ref(false)
const byCode = computed(() => isByCode.value || isNew.value)
const [name, secret, code, mend] = [ref(''), ref(''), ref(''), ref('')]
const isAsking = ref(false)
const form = useTemplateRef<HTMLFormElement>('form')

async function choose(chosen: string): Promise<void> {
  name.value = chosen
  mend.value = ''
  secret.value = ''
  await nextTick()
  form.value?.querySelector<HTMLInputElement>('input[type=password]')?.focus()
}
async function work(asking: Promise<Reply<SignedIn>>): Promise<void> {
  isAsking.value = true
  const reply = await asking
  isAsking.value = false
  if (reply.kind === 'ok') {
    mend.value = ''
    ;[secret.value, code.value, isByCode.value] = ['', '', false]
    who.take(reply.value)
    return
  }
  mend.value = whyNot(reply)
}
const done = (): Promise<void> =>
  work(byCode.value ? signInByCode(name.value, code.value, secret.value) : signIn(name.value, secret.value))
</script>

<template>
  <main class="sign-in">
    <div class="sheet">
      <p class="mark">Zovrin</p>
      <h1>{{ isNew ? 'Begin this house' : 'Who teaches?' }}</h1>
      <p v-if="isNew">
        Nobody has an account here yet. Whoever keeps this house begins with the code that was printed where Zovrin was
        started.
      </p>
      <template v-if="isAway">
        <p role="status">Zovrin’s server does not answer: start it and ask again.</p>
        <Button label="Ask again" @click="who.load" />
      </template>
      <ul v-if="names.length > 0 && !byCode" class="names" aria-label="Teachers">
        <li v-for="one in names" :key="one">
          <button type="button" :aria-pressed="one === name" @click="choose(one)">{{ one }}</button>
        </li>
      </ul>
      <form v-if="!isAway && (names.length === 0 || name !== '' || byCode)" ref="form" @submit.prevent="done">
        <AskedField v-if="names.length === 0 || byCode" v-model="name" label="Name" autocomplete="username" />
        <AskedField v-if="byCode" v-model="code" label="Code" autocomplete="one-time-code" />
        <AskedField
          v-model="secret"
          :label="byCode ? `Choose a ${secretWord(kind)}` : capital(secretWord(kind))"
          :autocomplete="byCode ? 'new-password' : 'current-password'"
          :is-pin="kind !== 'accounts'"
          v-bind="byCode ? { hint: secretHint(kind) } : {}"
        />
        <p v-if="mend" class="mend" role="alert">{{ mend }}</p>
        <Button
          type="submit"
          :label="isNew ? 'Begin' : 'Sign in'"
          :disabled="isAsking || name.trim() === '' || secret === '' || (byCode && code.trim() === '')"
        />
      </form>
      <button v-if="!isNew && !isAway" type="button" class="other" @click="isByCode = !isByCode">
        {{ isByCode ? `Sign in with a ${secretWord(kind)}` : 'I was given a code' }}
      </button>
      <a v-if="kind === 'accounts' && !isNew && !isAway" href="/pair"
        >Let this device in by a code on a teacher’s screen</a
      >
    </div>
  </main>
</template>

<style scoped>
.sign-in {
  display: grid;
  place-items: center;
  min-height: 100dvh;
  padding: 24px;
  background: var(--ground);
}
.sheet {
  display: grid;
  gap: 16px;
  width: min(420px, 100%);
  padding: 26px 30px 30px;
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.mark {
  margin: 0;
  font-size: 20px;
  font-weight: 700;
}
h1 {
  margin: 0;
}
form {
  display: grid;
  gap: 14px;
}
.names {
  display: grid;
  gap: 8px;
  max-height: 46vh;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}
.names button {
  width: 100%;
  min-height: 48px;
  padding: 8px 16px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: #fff;
  color: var(--ink);
  font: inherit;
  font-weight: 650;
  text-align: left;
  overflow-wrap: anywhere;
  cursor: pointer;
}
.names button[aria-pressed='true'] {
  background: var(--chosen-wash);
  border-color: var(--ink);
}
.mend {
  margin: 0;
  font-weight: 650;
  color: var(--avoid);
}
.other {
  justify-self: start;
  padding: 6px 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
}
</style>
