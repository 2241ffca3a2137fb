<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { secretHint } from '#words/teachers'
import { whyNot } from '#web/shared/api/client.ts'
import { addSecond } from '#web/shared/api/teachers.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import AskedField from '#web/shared/ui/AskedField.vue'

/** The second teacher of a machine: from then on everybody is asked who they are. */
const who = useWhoStore()
const first = ref({ name: '', secret: '' })
const second = ref({ name: '', secret: '' })
const mend = ref('')

async function add(): Promise<void> {
  const reply = await addSecond(first.value, second.value)
  if (reply.kind === 'ok') await who.load()
  else mend.value = whyNot(reply)
}
</script>

<template>
  <form class="second" @submit.prevent="add">
    <fieldset>
      <legend>You</legend>
      <AskedField v-model="first.name" label="Your name" autocomplete="off" />
      <AskedField
        v-model="first.secret"
        label="Your PIN"
        autocomplete="new-password"
        is-pin
        :hint="secretHint('machine')"
      />
    </fieldset>
    <fieldset>
      <legend>The other teacher</legend>
      <AskedField v-model="second.name" label="Their name" autocomplete="off" />
      <AskedField
        v-model="second.secret"
        label="Their PIN"
        autocomplete="new-password"
        is-pin
        :hint="secretHint('machine')"
      />
    </fieldset>
    <p v-if="mend" class="mend" role="alert">{{ mend }}</p>
    <Button
      type="submit"
      label="Add them"
      :disabled="[first, second].some(({ name, secret }) => name.trim() === '' || secret === '')"
    />
  </form>
</template>

<style scoped>
.second {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 16px 26px;
  max-width: 640px;
  margin-top: 16px;
}
fieldset {
  display: grid;
  gap: 12px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0 0 8px;
  font-weight: 650;
}
.mend {
  grid-column: 1 / -1;
  margin: 0;
  font-weight: 650;
  color: var(--avoid);
}
.second > :deep(button) {
  justify-self: start;
}
</style>
