<script setup lang="ts">
import type { LedStart } from '#model/led-class'
import type { LeadSegment } from '#core/lead'
import { sideInBody, sideName } from '#words/segments'

/** Where the class is: the side in the body's terms, or a word for what is done with both. */
defineProps<{ led: LedStart; segment: LeadSegment; words?: string }>()
</script>

<template>
  <p class="where">
    <template v-if="segment.side === 'left' || segment.side === 'right'"
      ><b>{{ sideName(segment) }}</b> · {{ sideInBody(led, segment) }}</template
    >
    <template v-else>{{ words }}</template>
  </p>
</template>
