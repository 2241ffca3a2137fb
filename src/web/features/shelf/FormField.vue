<script setup lang="ts">
/** A field of a form under its label, with the mend where it was refused; `for` is the field's id. */
defineProps<{ label: string; for: string; needed?: boolean; refusal?: string | undefined }>()
</script>

<template>
  <div class="form-field">
    <label :id="`${$props.for}-label`" :for="$props.for">{{ label }} <small v-if="needed">needed</small></label>
    <slot />
    <p v-if="refusal" class="refusal">{{ refusal }}</p>
  </div>
</template>

<style scoped>
label {
  display: block;
  margin-top: 8px;
  font-size: 14px;
  color: var(--ink-soft);
}
small {
  margin-left: 4px;
  font-size: 13px;
  font-weight: 650;
}
.refusal {
  color: var(--avoid);
  font-size: 14px;
}
</style>
