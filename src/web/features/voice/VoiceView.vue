<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import SessionAway from '#web/shared/session/SessionAway.vue'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import RecordVoice from './RecordVoice.vue'

/** Own voice: the sentences of a session as the teacher says them. */
const route = useRoute()
const store = useSessionStore()
const id = computed(() => String(route.params['id'] ?? ''))
watch(id, (now) => void store.open(now), { immediate: true })
</script>

<template>
  <SessionAway v-if="!store.document || !store.timeline" />
  <!-- Of one session from beginning to end: what is recorded while another is opened goes to its own. -->
  <RecordVoice v-else :key="store.document.id" :session="store.document" :timeline="store.timeline" />
</template>
