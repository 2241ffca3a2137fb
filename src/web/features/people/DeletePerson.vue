<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { onMounted, ref } from 'vue'
import type { Mention } from '#model/person'
import { mentionsOf } from '#web/shared/api/people.ts'
import { ports } from '#web/shared/ports.ts'
import { dayText, dayTimeText } from '#words/dates'
import { counted } from '#words/text'
import { usePeople } from './use-people.ts'

/** The one act that asks first, since nothing brings it back [settled A27]. */
defineProps<{ classes: number }>()
const emit = defineEmits<{ close: [] }>()
const { store, chosen, remove } = usePeople()
const mentions = ref<readonly Mention[]>([])
onMounted(async () => {
  const reply = chosen.value && (await mentionsOf(chosen.value.id))
  if (reply?.kind === 'ok') mentions.value = reply.value
})
const isGoing = ref(false)
async function go(): Promise<void> {
  isGoing.value = true
  await remove()
  isGoing.value = false
  emit('close')
}
/** The backups of the day that hold them are cleared away by then. */
const goneBy = dayText(new Date(ports().epochMs() + 15 * 24 * 3_600_000).toISOString())
</script>

<template>
  <Dialog
    v-if="chosen"
    visible
    modal
    :header="`Delete ${chosen.name} for good?`"
    :style="{ width: '480px' }"
    @update:visible="emit('close')"
  >
    <p>
      Their page goes, and they go from {{ counted(classes, 'planned class', 'planned classes') }} with every form
      chosen for them. Led classes hold no names. This cannot be undone.
    </p>
    <p>
      Backups hold them still: those made by themselves for two weeks, until {{ goneBy }}; those you asked for, and
      copies of the database made before an upgrade, until you delete the files.
    </p>
    <div v-if="mentions.length > 0" class="mentions">
      <p>What you typed says their name here, and goes on saying it:</p>
      <ul>
        <li v-for="one in mentions" :key="`${one.kind} ${one.id}`">
          <RouterLink v-if="one.kind === 'session'" :to="{ name: 'plan', params: { id: one.id } }">{{
            one.name
          }}</RouterLink>
          <RouterLink v-else :to="{ name: 'led-class', params: { id: one.id } }"
            >the note of {{ one.name }}, {{ dayTimeText(one.startedAt) }}</RouterLink
          >
        </li>
      </ul>
    </div>
    <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
    <template #footer>
      <Button label="Keep them" severity="secondary" outlined autofocus @click="emit('close')" />
      <Button label="Delete for good" severity="danger" :loading="isGoing" @click="go" />
    </template>
  </Dialog>
</template>

<style scoped>
p + p,
.mentions {
  margin-top: 10px;
}
.problem {
  color: var(--avoid);
}
</style>
