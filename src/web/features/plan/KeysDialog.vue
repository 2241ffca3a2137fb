<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import Dialog from 'primevue/dialog'
import { useLetterKeys } from '#web/shared/settings/letter-keys.ts'
import { keyList } from './spine/spine-keys.ts'

const emit = defineEmits<{ close: [] }>()
const letterKeys = useLetterKeys()
</script>

<template>
  <Dialog :visible="true" modal header="Keys in Plan" :style="{ width: '460px' }" @update:visible="emit('close')">
    <p>They act while the spine has focus, never while typing.</p>
    <dl>
      <template v-for="[keys, does] in keyList" :key="keys">
        <dt>{{ keys }}</dt>
        <dd>{{ does }}</dd>
      </template>
    </dl>
    <div class="switch">
      <Checkbox v-model="letterKeys" input-id="letter-keys" binary />
      <label for="letter-keys">Single characters act as commands</label>
    </div>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 4px 12px;
  margin-top: 10px;
}
.switch {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-top: 14px;
}
dt {
  font-weight: 650;
}
</style>
