<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { refusedWords } from '#web/shared/own/own-store.ts'
import AskName from '#web/shared/ui/AskName.vue'
import { useProps } from './use-props.ts'

/** Where the set-up is not the usual one: kept for its pose under a name, or the usual one again. */
const { chosen, one, hasTheirs, usual, keep, keepForOne, forgetForOne, told } = useProps()
const isAsking = ref(false)
const problem = ref('')
const isUsual = computed(
  () => !chosen.value?.isOwn && !chosen.value?.isTheirs && chosen.value?.block.setUpId === undefined,
)
const mayKeep = computed(() => chosen.value?.isOwn && chosen.value.poseId !== undefined)
watch([() => chosen.value?.key, () => chosen.value?.isOwn], () => (isAsking.value = false))

function ask(): void {
  problem.value = ''
  isAsking.value = true
}
async function keepAs(name: string): Promise<void> {
  const outcome = await keep(name)
  problem.value = refusedWords(outcome)
  if (outcome.kind === 'done') told.value = `${name} is kept for this pose`
}
</script>

<template>
  <div v-if="!isUsual" class="keep">
    <p v-if="chosen?.isOwn">In this session only, as it lies now.</p>
    <p v-if="chosen?.isTheirs">Kept for the one who comes: so it lies wherever they take this pose.</p>
    <div v-if="!isAsking" class="acts">
      <Button v-if="mayKeep" size="small" severity="secondary" outlined label="Keep it for this pose…" @click="ask" />
      <Button
        v-if="mayKeep && one"
        size="small"
        severity="secondary"
        outlined
        label="Keep it for this person"
        @click="keepForOne"
      />
      <Button
        v-if="chosen?.isTheirs"
        size="small"
        text
        severity="secondary"
        label="Keep it for them no longer"
        @click="forgetForOne"
      />
      <Button
        v-else
        size="small"
        text
        severity="secondary"
        :label="hasTheirs ? 'Back to theirs' : 'Back to the usual one'"
        @click="usual"
      />
    </div>
    <AskName
      v-else
      label="Keep it for this pose as"
      verb="Keep"
      :taken="chosen?.choices.map((choice) => choice.name) ?? []"
      taken-words="This pose has a set-up of that name: give it another."
      :problem="problem"
      @named="keepAs"
      @leave="isAsking = false"
    />
  </div>
</template>

<style scoped>
.keep {
  display: grid;
  gap: 4px;
  margin-top: 6px;
  font-size: 14.5px;
  color: #4b5854;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}
@media print {
  .keep {
    display: none;
  }
}
</style>
