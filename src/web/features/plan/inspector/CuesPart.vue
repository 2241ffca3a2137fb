<script setup lang="ts">
import Button from 'primevue/button'
import type { Cue } from '#model/cue'
import { poseIn } from '#core/session'
import type { ResolvedHold } from '#core/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import CueEditor from '#web/shared/ui/CueEditor.vue'
import { usePlan } from '../use-plan.ts'
import Part from './Part.vue'

/** The cues of a hold: the pose's own until they are changed here. */
const props = defineProps<{ resolved: ResolvedHold }>()
const { setFields } = usePlan()
const own = useOwnStore()

function setCues(cues: readonly Cue[]): void {
  setFields(props.resolved.block, { cues: [...cues] }, `change the cues of ${props.resolved.pose.names.english}`)
}
function useUsual(): void {
  setFields(props.resolved.block, { cues: undefined }, `take the usual cues of ${props.resolved.pose.names.english}`)
}
const hasUsual = () => (poseIn(own.catalog, props.resolved.block.poseId)?.cues.length ?? 0) > 0
</script>

<template>
  <Part title="Cues" :note="resolved.pose.sides ? 'written for the left side, mirrored on the right' : ''">
    <CueEditor
      :model-value="resolved.cues"
      :sided="resolved.pose.sides !== undefined"
      :phases="resolved.block.phases ?? []"
      @update:model-value="setCues"
    />
    <Button
      v-if="resolved.block.cues && hasUsual()"
      size="small"
      text
      severity="secondary"
      label="Take the usual cues again"
      @click="useUsual"
    />
  </Part>
</template>
