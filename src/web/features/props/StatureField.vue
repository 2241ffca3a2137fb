<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Slider from 'primevue/slider'
import { ref, useId, watch } from 'vue'
import { parseStature, statureLimits } from '#core/units'

/** How tall the person is, typed or drawn; a number in metres or inches is asked about before it is taken. */
const cm = defineModel<number>({ required: true })
const id = useId()
const text = ref(String(cm.value))
const mend = ref('')
const likelyCm = ref<number>()
watch(cm, (now) => {
  text.value = String(now)
  mend.value = ''
  likelyCm.value = undefined
})

function take(): void {
  likelyCm.value = undefined
  mend.value = ''
  const read = parseStature(text.value)
  if (read.ok) {
    cm.value = read.value
    text.value = String(read.value)
  } else if (read.code === 'STATURE_UNIT') {
    likelyCm.value = Number(read.extra?.['likelyCm'])
    mend.value = `${String(read.extra?.['text'])} looks like ${read.extra?.['inches'] === true ? 'inches' : 'metres'}.`
  } else {
    mend.value =
      read.code === 'STATURE_RANGE'
        ? `The sums hold for ${String(statureLimits.leastCm)} to ${String(statureLimits.mostCm)} cm.`
        : 'Type a height as 170, 1.7 m or 67 in.'
  }
}
const takeLikely = () => {
  if (likelyCm.value !== undefined) cm.value = likelyCm.value
}
</script>

<template>
  <div class="stature">
    <label :for="id">Person’s height, cm</label>
    <InputText
      :id="id"
      v-model="text"
      class="field"
      inputmode="decimal"
      autocomplete="off"
      :invalid="mend !== ''"
      :aria-describedby="mend ? `${id}-mend` : undefined"
      @blur="take"
      @keydown.enter="take"
    />
    <Slider
      v-model="cm"
      class="slider"
      :min="150"
      :max="195"
      :step="1"
      :pt="{ handle: { 'aria-label': 'Person’s height, from 150 to 195 cm' } }"
    />
    <p v-if="mend" :id="`${id}-mend`" class="mend" role="alert">
      {{ mend }}
      <Button
        v-if="likelyCm !== undefined"
        size="small"
        severity="secondary"
        outlined
        :label="`Take ${likelyCm} cm`"
        @click="takeLikely"
      />
    </p>
  </div>
</template>

<style scoped>
.stature {
  display: grid;
  grid-template-columns: auto 72px 88px;
  align-items: center;
  gap: 4px 10px;
}
label {
  font-size: 15px;
}
.field {
  text-align: right;
}
.mend {
  grid-column: 1 / -1;
  color: var(--avoid);
  font-size: 14px;
}
</style>
