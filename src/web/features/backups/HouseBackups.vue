<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, shallowRef } from 'vue'
import type { BackupTold } from '#model/backup'
import { backupAge, backupHolds, backupReasonWords, backupTime } from '#words/backups'
import { backupAt, bringBackup, listBackups, makeBackup } from '#web/shared/api/backups.ts'
import { whyNot } from '#web/shared/api/client.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { ports } from '#web/shared/ports.ts'
import ReadFile from '#web/shared/ui/ReadFile.vue'
import RestoreDialog from './RestoreDialog.vue'

/** The backups of everything: how old they are, what is in them; made, saved, brought in and put back. */
const backups = shallowRef<readonly BackupTold[]>([])
const isLate = ref(false)
const state = ref<'loading' | 'there' | 'away'>('loading')
const busy = ref('')
const mend = ref('')
const told = ref('')
const chosen = shallowRef<BackupTold>()
const nowMs = ref(ports().epochMs())

/** True where it was done; else it is said why not. */
function done<T>(reply: Reply<T>): reply is Extract<Reply<T>, { kind: 'ok' }> {
  if (reply.kind === 'ok') mend.value = ''
  else mend.value = whyNot(reply)
  return reply.kind === 'ok'
}
async function load(): Promise<void> {
  const reply = await listBackups()
  state.value = reply.kind === 'ok' ? 'there' : 'away'
  nowMs.value = ports().epochMs()
  if (!done(reply)) return
  backups.value = reply.value.backups
  isLate.value = reply.value.isLate
}
onMounted(load)

async function work(words: string, does: () => Promise<Reply<BackupTold>>, said: string): Promise<void> {
  busy.value = words
  told.value = ''
  const reply = await does()
  busy.value = ''
  if (!done(reply)) return
  await load()
  told.value = said
}
const newest = computed(() => backups.value.find(({ counts }) => counts))
const sizeOf = ({ bytes }: BackupTold): string =>
  bytes < 1_000_000 ? `${String(Math.ceil(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`
</script>

<template>
  <p class="what">
    Everything in one file: sessions, people, classes, records, own sounds. One is made by itself every day and kept two
    weeks beside the data; those you ask for stay. A backup holds what people told you: keep it where only you read it.
  </p>
  <p v-if="isLate" class="mend" role="alert">
    Today’s backup could not be made: see whether the disk is full, then make one now.
  </p>
  <p v-if="newest" class="newest">
    The newest is of {{ backupTime(newest.madeAt) }}, {{ backupAge(newest.madeAt, nowMs) }}.
  </p>
  <div class="acts">
    <Button
      :label="busy === 'make' ? 'Making it…' : 'Make a backup now'"
      :disabled="busy !== ''"
      @click="work('make', makeBackup, 'The backup is made.')"
    />
    <ReadFile
      label="Bring one in"
      what="Backup to bring in"
      accept=".zip,application/zip"
      is-any
      @read="
        (_text, file) => work('bring', () => bringBackup(file), 'The backup is brought in; nothing is put back yet.')
      "
    />
    <span role="status">{{ told }}</span>
  </div>
  <p v-if="mend" class="mend" role="alert">{{ mend }}</p>
  <table v-if="backups.length > 0" class="list">
    <thead>
      <tr>
        <th scope="col">Made</th>
        <th scope="col">Why</th>
        <th scope="col">What is in it</th>
        <th scope="col" class="figure">Size</th>
        <td />
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in backups" :key="one.name">
        <th scope="row">
          {{ backupTime(one.madeAt) }}<small>{{ backupAge(one.madeAt, nowMs) }}</small>
        </th>
        <td>{{ backupReasonWords[one.why] }}</td>
        <td class="holds">
          {{ one.counts ? backupHolds(one.counts, one.sounds ?? 0) : 'Not whole: it cannot be put back' }}
        </td>
        <td class="figure">{{ sizeOf(one) }}</td>
        <td class="do">
          <a
            :href="backupAt(one.name)"
            :download="one.name"
            :aria-label="`Save the backup of ${backupTime(one.madeAt)}`"
            >Save</a
          >
          <Button
            severity="secondary"
            outlined
            size="small"
            label="Restore…"
            :aria-label="`Restore the backup of ${backupTime(one.madeAt)}`"
            :disabled="!one.counts || busy !== ''"
            @click="chosen = one"
          />
        </td>
      </tr>
    </tbody>
  </table>
  <p v-else-if="state === 'there'">There is none yet.</p>
  <RestoreDialog v-if="chosen" :backup="chosen" :now-ms="nowMs" @close="chosen = undefined" />
</template>

<style scoped>
.what {
  margin: 10px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  margin: 14px 0;
}
.newest {
  font-weight: 650;
}
.mend {
  font-weight: 650;
  color: var(--avoid);
}
small {
  display: block;
  font-size: 14px;
  font-weight: 500;
  color: var(--ink-soft);
}
.list .holds {
  white-space: normal;
}
.do {
  text-align: right;
}
.do a {
  margin-right: 14px;
}
/* On a phone each backup is a few lines of its own. */
@media (width < 700px) {
  .list thead {
    display: none;
  }
  .list tr,
  .list th,
  .list td {
    display: block;
    padding: 2px 0;
    text-align: left;
  }
  .list tr {
    padding: 10px 0;
    border-bottom: 1px solid var(--line);
  }
}
</style>
