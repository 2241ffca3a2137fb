<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { ref } from 'vue'
import type { BackupTold } from '#model/backup'
import { backupAge, backupHolds, backupTime } from '#words/backups'
import { restoreBackup } from '#web/shared/api/backups.ts'

/** Asks before a backup is put in the place of what there is; afterwards the page begins anew with it. */
const props = defineProps<{ backup: BackupTold; nowMs: number }>()
const emit = defineEmits<{ close: [] }>()
const isRestoring = ref(false)
const mend = ref('')
async function restore(): Promise<void> {
  isRestoring.value = true
  const reply = await restoreBackup(props.backup.name)
  if (reply.kind === 'ok') {
    // What this browser knows is of what was there before.
    location.assign('/sessions')
    return
  }
  isRestoring.value = false
  mend.value =
    reply.kind === 'problem' ? reply.problem.detail : 'Zovrin’s server does not answer: start it and look again.'
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
    <p>
      It takes the place of everything that is here now, which is kept as a backup first. Whoever was deleted since is
      in it again: look at <i>People</i> afterwards, and delete them there once more.
    </p>
    <p>Other windows and devices have to be loaded anew.</p>
    <p v-if="mend" role="alert">{{ mend }}</p>
    <template #footer>
      <Button severity="secondary" outlined label="Cancel" autofocus :disabled="isRestoring" @click="emit('close')" />
      <Button
        :label="isRestoring ? 'Restoring…' : 'Keep what is here, and restore'"
        :disabled="isRestoring"
        @click="restore"
      />
    </template>
  </Dialog>
</template>

<style scoped>
p + p {
  margin-top: 10px;
}
</style>
