<script setup lang="ts">
import { computed } from 'vue'
import ForHeights from '#web/shared/house/ForHeights.vue'
import { useHeights } from '#web/shared/house/use-heights.ts'
import { useProps } from './use-props.ts'

/** The set-up that is looked at for the heights of those who come, each to be seen in the picture. */
const { store, chosen, looked, lookedAt } = useProps()
const { groupsIn, unknown, isTaken, take, back } = useHeights(
  () => store.document && store.timeline && { document: store.document, timeline: store.timeline },
)
const groups = computed(() => groupsIn(chosen.value?.block.id ?? ''))
</script>

<template>
  <ForHeights
    :groups="groups"
    :unknown="unknown"
    :is-taken="isTaken"
    :looked="looked"
    can-look
    @take="take"
    @back="back"
    @look="lookedAt = $event"
  />
</template>
