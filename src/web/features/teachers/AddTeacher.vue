<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { Role } from '#model/teacher'
import { roleWords, secretHint } from '#words/teachers'
import { whyNot } from '#web/shared/api/client.ts'
import { addTeacher } from '#web/shared/api/teachers.ts'
import { useWhoStore } from '#web/shared/teachers/who-store.ts'
import AskedField from '#web/shared/ui/AskedField.vue'
import SelectField from '#web/shared/ui/SelectField.vue'

/** One more teacher: by a PIN they type here, or by a code that is handed to them. */
const emit = defineEmits<{ added: [name: string, code: string | undefined] }>()
const who = useWhoStore()
const isOnMachine = computed(() => who.kind === 'machine')
const [name, secret, mend] = [ref(''), ref(''), ref('')]
const role = ref<Role>('teacher')
const roleOptions = (['teacher', 'keeper'] as const).map((value) => ({ value, words: roleWords[value] }))

async function add(): Promise<void> {
  const by = isOnMachine.value ? { secret: secret.value } : {}
  const reply = await addTeacher({ name: name.value.trim(), role: role.value, ...by })
  mend.value = reply.kind === 'ok' ? '' : whyNot(reply)
  if (reply.kind !== 'ok') return
  emit('added', reply.value.teacher.name, reply.value.code)
  ;[name.value, secret.value, role.value] = ['', '', 'teacher']
}
</script>

<template>
  <form class="add" @submit.prevent="add">
    <AskedField v-model="name" label="Name" autocomplete="off" />
    <SelectField label="As" :value="role" :options="roleOptions" @change="role = $event" />
    <AskedField
      v-if="isOnMachine"
      v-model="secret"
      label="Their PIN"
      autocomplete="new-password"
      is-pin
      :hint="secretHint('machine')"
    />
    <Button type="submit" label="Add" :disabled="name.trim() === '' || (isOnMachine && secret === '')" />
    <p v-if="mend" class="mend" role="alert">{{ mend }}</p>
  </form>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 12px 16px;
}
.add > :deep(button[type='submit']) {
  margin-top: 24px;
}
/* The label of a choice stands on a line of its own height. */
.add > :deep(.select-field) {
  display: grid;
  gap: 4px;
}
.mend {
  flex-basis: 100%;
  margin: 0;
  font-weight: 650;
  color: var(--avoid);
}
</style>
