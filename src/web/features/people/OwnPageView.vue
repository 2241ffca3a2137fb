<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { codeDigits, useHandedOver } from '#web/shared/people/handed-over.ts'
import { usePeopleStore } from '#web/shared/people/people-store.ts'
import OwnPage from './OwnPage.vue'
import { personEdits } from './use-people.ts'

/** One person's page on its own, on a device that was handed over: filled in by them, closed by their teacher's code. */
const router = useRouter()
const store = usePeopleStore()
const { personId, close } = useHandedOver()
const person = computed(() => store.people.find(({ id }) => id === personId.value))
const { change, today } = personEdits(person)
const isRead = ref(false)
onMounted(async () => {
  await store.load()
  isRead.value = true
})

const isDone = ref(false)
function done(): void {
  // What they left as it is was asked as well.
  const conditions = (person.value?.conditions ?? []).map((told) => ({ ...told, askedOn: today() }))
  change({ conditions, askedOn: today() })
  isDone.value = true
}
const code = ref('')
const problem = ref('')
async function tryCode(): Promise<void> {
  const id = personId.value
  const tried = close(code.value)
  code.value = ''
  problem.value =
    tried === 'wait'
      ? 'Too many tries: wait a minute, then try again.'
      : tried === 'wrong'
        ? 'That is not the code.'
        : ''
  if (tried === 'closed') await router.replace({ name: 'people', params: id === undefined ? {} : { id } })
}
</script>

<template>
  <main class="own-page">
    <OwnPage v-if="person && !isDone" :person="person" @done="done" />
    <section v-else class="closing">
      <template v-if="person">
        <h1>Thank you</h1>
        <p>Please give this back to your teacher.</p>
        <p v-if="store.unsaved.size > 0" role="status">{{ store.problem }}</p>
      </template>
      <p v-else-if="isRead" role="alert">This page cannot be read now. Please give this back to your teacher.</p>
      <form v-if="person || isRead" @submit.prevent="tryCode">
        <label for="own-page-code">The teacher’s code</label>
        <InputText
          id="own-page-code"
          v-model="code"
          type="password"
          class="code"
          inputmode="numeric"
          autocomplete="off"
          :maxlength="codeDigits"
          :invalid="problem !== ''"
          aria-describedby="own-page-problem"
        />
        <Button type="submit" severity="secondary" outlined label="Close the page" />
        <p id="own-page-problem" class="problem" role="alert">{{ problem }}</p>
      </form>
      <Button v-if="person" text severity="secondary" label="Look at it once more" @click="isDone = false" />
    </section>
  </main>
</template>

<style scoped>
.own-page {
  height: 100dvh;
  overflow-y: auto;
  background: var(--sheet);
}
.closing {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 16px;
  min-height: 100%;
  padding: 24px;
  text-align: center;
}
form {
  display: grid;
  justify-items: center;
  gap: 6px;
  margin-top: 24px;
}
.code {
  width: 7em;
  font-size: 22px;
  text-align: center;
}
.problem {
  min-height: 1.4em;
  color: var(--avoid);
}
</style>
