<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed } from 'vue'
import type { Session } from '#model/session'
import { compileTimeline } from '#core/timeline'
import { formatMs } from '#core/units'
import { counted } from '#words/text'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

const store = useSessionStore()
const own = useOwnStore()

function inWords(session: Session | undefined): string {
  if (!session) return ''
  const compiled = compileTimeline(session, own.catalog)
  const length = compiled.ok ? formatMs(compiled.value.totalMs) : 'unknown length'
  const count = session.blocks.length
  return `“${session.name}”, ${counted(count, 'block')}, ${length}`
}
const mine = computed(() => inWords(store.document))
const theirs = computed(() => inWords(store.theirs))
</script>

<template>
  <Dialog
    :visible="store.theirs !== undefined"
    modal
    :closable="false"
    :close-on-escape="false"
    header="Changed in another window"
    :style="{ width: '520px' }"
  >
    <p>
      This session was saved elsewhere after you opened it here. Nothing of yours is saved over it, and nothing is lost:
      the version you do not keep goes to the session’s history.
    </p>
    <dl>
      <dt>Yours</dt>
      <dd>{{ mine }}</dd>
      <dt>Theirs</dt>
      <dd>{{ theirs }}</dd>
    </dl>
    <template #footer>
      <Button
        label="Take theirs"
        severity="secondary"
        outlined
        :disabled="store.isChoosing"
        @click="store.takeTheirs"
      />
      <Button label="Keep mine" autofocus :disabled="store.isChoosing" @click="store.keepMine" />
    </template>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 70px 1fr;
  gap: 6px 12px;
  margin-top: 12px;
}
dt {
  font-weight: 650;
}
dd {
  overflow-wrap: anywhere;
}
</style>
