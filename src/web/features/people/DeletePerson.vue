<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { ref } from 'vue'
import { counted } from '#words/text'
import { usePeople } from './use-people.ts'

/** The one act that asks first, since nothing brings it back [settled A27]. */
defineProps<{ classes: number }>()
const emit = defineEmits<{ close: [] }>()
const { store, chosen, remove } = usePeople()
const isGoing = ref(false)
async function go(): Promise<void> {
  isGoing.value = true
  await remove()
  isGoing.value = false
  emit('close')
}
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
      Copies of the whole database that were made before an upgrade hold them until you delete those files; so does
      every backup you made yourself.
    </p>
    <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
    <template #footer>
      <Button label="Keep them" severity="secondary" outlined autofocus @click="emit('close')" />
      <Button label="Delete for good" severity="danger" :loading="isGoing" @click="go" />
    </template>
  </Dialog>
</template>

<style scoped>
p + p {
  margin-top: 10px;
}
.problem {
  color: var(--avoid);
}
</style>
