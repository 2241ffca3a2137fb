<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Dialog from 'primevue/dialog'
import { onMounted, ref, shallowRef } from 'vue'
import type { BackupTold, PersonGone } from '#model/backup'
import { backupAge, backupHolds, backupTime } from '#words/backups'
import { whyNot } from '#web/shared/api/client.ts'
import { peopleGone, restoreBackup } from '#web/shared/api/backups.ts'
import { useNames } from '#web/shared/people/names.ts'

/** Asks before a backup is put in the place of what there is; afterwards the page begins anew with it. */
const props = defineProps<{ backup: BackupTold; nowMs: number }>()
const emit = defineEmits<{ close: [] }>()
const isRestoring = ref(false)
const mend = ref('')
const { called } = useNames()
/** Who is in it and here no more; undefined while that is looked at. */
const gone = shallowRef<readonly PersonGone[]>()
/** Whoever is to be there again; all others are deleted once more. */
const back = ref<readonly string[]>([])
onMounted(async () => {
  const reply = await peopleGone(props.backup.name)
  if (reply.kind === 'ok') gone.value = reply.value
  else mend.value = whyNot(reply)
})
async function restore(): Promise<void> {
  isRestoring.value = true
  const without = (gone.value ?? []).map(({ id }) => id).filter((id) => !back.value.includes(id))
  const reply = await restoreBackup(props.backup.name, without)
  if (reply.kind === 'ok') {
    // What this browser knows is of what was there before.
    location.assign('/sessions')
    return
  }
  isRestoring.value = false
  mend.value = whyNot(reply, 'Zovrin’s server does not answer: start it and look again.')
}
</script>

<template>
  <Dialog
    visible
    modal
    header="Restore this backup?"
    :style="{ width: '560px' }"
    :closable="!isRestoring"
    @update:visible="emit('close')"
  >
    <p>
      It is of <b>{{ backupTime(backup.madeAt) }}</b>, {{ backupAge(backup.madeAt, nowMs) }}, and holds
      {{ backupHolds(backup.counts ?? {}, backup.sounds ?? 0) }}.
    </p>
    <p>It takes the place of everything that is here now, which is kept as a backup first.</p>
    <fieldset v-if="gone && gone.length > 0">
      <legend>In it, and here no more: deleted again, but for those you tick</legend>
      <label v-for="(person, at) in gone" :key="person.id">
        <Checkbox v-model="back" :value="person.id" /> {{ called(person, at) }}
      </label>
    </fieldset>
    <p v-else-if="gone === undefined && !mend">Looking who is in it…</p>
    <p>Other windows and devices have to be loaded anew.</p>
    <p v-if="mend" role="alert">{{ mend }}</p>
    <template #footer>
      <Button severity="secondary" outlined label="Cancel" autofocus :disabled="isRestoring" @click="emit('close')" />
      <Button
        :label="isRestoring ? 'Restoring…' : 'Keep what is here, and restore'"
        :disabled="isRestoring || gone === undefined"
        @click="restore"
      />
    </template>
  </Dialog>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 6px;
  max-height: 30vh;
  margin: 12px 0 0;
  padding: 0;
  overflow-y: auto;
  border: 0;
}
legend {
  padding: 0 0 6px;
  font-weight: 650;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
}
p + p {
  margin-top: 10px;
}
</style>
