<script setup lang="ts" generic="T extends string">
import Checkbox from 'primevue/checkbox'

/** Several of a few answers. */
defineProps<{ legend: string; options: readonly { value: T; words: string }[]; refusal?: string; needed?: boolean }>()
const picked = defineModel<T[]>({ required: true })
function tick(value: T, on: boolean): void {
  picked.value = on ? [...picked.value, value] : picked.value.filter((one) => one !== value)
}
</script>

<template>
  <fieldset>
    <legend>{{ legend }} <small v-if="needed">needed</small></legend>
    <div class="options">
      <label v-for="option in options" :key="option.value">
        <Checkbox
          binary
          :model-value="picked.includes(option.value)"
          @update:model-value="tick(option.value, $event)"
        />
        {{ option.words }}
      </label>
    </div>
    <p v-if="refusal" class="refusal">{{ refusal }}</p>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: 10px 0 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  font-size: 14px;
  color: var(--ink-soft);
}
small {
  margin-left: 4px;
  font-size: 13px;
  font-weight: 650;
}
.options {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin-top: 3px;
}
label {
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 26px;
}
.refusal {
  color: var(--avoid);
  font-size: 14px;
}
</style>
