<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, useId } from 'vue'
import { textLimits } from '#model/limits'
import type { Condition } from '#model/person'
import { conditionWords } from '#words/people'
import { textOf } from '#web/shared/ui/text-of.ts'
import LineField from '#web/shared/ui/LineField.vue'
import HowItIs from './HowItIs.vue'
import { usePeople } from './use-people.ts'

/** One condition as it was told: how it is, on which side, when it was asked, and what their clinician said. */
const props = defineProps<{ told: Condition }>()
const { setCondition, removeCondition, today } = usePeople()
const id = useId()
const words = computed(() => conditionWords(props.told.id))
/** Who cleared it; there is no clearance of nobody. */
const isClearing = ref(false)
function setClearance(by: { by?: string; on?: string; limits?: string | undefined }): void {
  const { by: who = '', on = today(), limits } = { ...props.told.clearance, ...by }
  if (who === '') setCondition(props.told.id, { clearance: undefined })
  else setCondition(props.told.id, { clearance: { by: who, on, ...(limits ? { limits } : {}) } })
}
</script>

<template>
  <article class="condition" :aria-label="words.name">
    <header>
      <h3>{{ words.name }}</h3>
      <Button
        text
        severity="secondary"
        size="small"
        icon="pi pi-times"
        :aria-label="`Take away ${words.name}`"
        title="Take away"
        @click="removeCondition(told.id)"
      />
    </header>
    <p class="asks">{{ words.asks }}</p>
    <p v-if="words.severe" class="asks">Severe: {{ words.severe }}</p>
    <div class="row">
      <HowItIs :told="told" @change="setCondition(told.id, { ...$event, askedOn: today() })" />
      <div>
        <label :for="`${id}-asked`">Asked on</label>
        <InputText
          :id="`${id}-asked`"
          type="date"
          fluid
          :model-value="told.askedOn"
          :max="today()"
          @change="setCondition(told.id, { askedOn: textOf($event) || today() })"
        />
      </div>
    </div>
    <div v-if="told.clearance || isClearing" class="row">
      <LineField
        label="Cleared by"
        :text="told.clearance?.by ?? ''"
        :most="textLimits.name"
        hint="doctor, midwife …"
        @change="setClearance({ by: $event })"
      />
      <LineField
        label="With limits"
        :text="told.clearance?.limits ?? ''"
        :most="textLimits.line"
        hint="none"
        @change="setClearance({ limits: $event })"
      />
      <div>
        <label :for="`${id}-cleared`">On</label>
        <InputText
          :id="`${id}-cleared`"
          type="date"
          fluid
          :model-value="told.clearance?.on ?? today()"
          :max="today()"
          @change="setClearance({ on: textOf($event) || today() })"
        />
      </div>
    </div>
    <Button
      v-else
      size="small"
      text
      severity="secondary"
      icon="pi pi-plus"
      label="Note a clearance"
      @click="isClearing = true"
    />
  </article>
</template>

<style scoped>
.condition {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding: 8px 12px 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  width: 100%;
}
h3 {
  font-size: 17px;
}
.asks,
label {
  font-size: 14.5px;
  color: var(--ink-soft);
}
label {
  display: block;
  font-size: 14px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 10px;
  width: 100%;
}
</style>
