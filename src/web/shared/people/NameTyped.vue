<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { namesOf, withoutNames } from '#core/session'
import { usePeopleStore } from './people-store.ts'

/** Says that a name of one of the people stands in a text that is kept where no name is to be, and writes it without. */
const props = defineProps<{ text: string }>()
const emit = defineEmits<{ change: [text: string] }>()
const people = usePeopleStore()
void people.load()
const names = computed(() => namesOf(people.people))
const without = computed(() => withoutNames(props.text, names.value))
</script>

<template>
  <p v-if="without !== text" class="name-typed" role="status">
    A name of one of your people stands here.
    <Button size="small" text severity="secondary" label="Write “somebody”" @click="emit('change', without)" />or keep
    it on their page.
  </p>
</template>

<style scoped>
.name-typed {
  font-size: 15px;
}
</style>
