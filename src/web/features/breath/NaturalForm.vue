<script setup lang="ts">
import type { NaturalSection } from '#model/section'
import LastingFields from './LastingFields.vue'
import LineField from './LineField.vue'
import { useBreath } from './use-breath.ts'

/** Natural breath: how long, and what is attended to. */
defineProps<{ section: NaturalSection }>()
const { set } = useBreath()
</script>

<template>
  <div class="form">
    <LastingFields :section="section" @change="set(section, $event)" />
    <LineField
      label="What is attended to"
      :value="section.attend ?? ''"
      @change="set(section, { attend: $event === '' ? undefined : $event })"
    />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
</style>
