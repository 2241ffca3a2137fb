<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { classWhen } from '#words/class-days'
import { handedWords } from '#words/teachers'

/** Classes of colleagues that one leads in their place, before all else: the day comes. */
const props = defineProps<{ lines: readonly SessionLine[] }>()
const classes = usePlannedClassesStore()
onMounted(classes.load)
const toLead = computed(() =>
  classes.inPlaceOf.flatMap((planned) => {
    const session = props.lines.find(({ id }) => id === planned.sessionId)
    return session ? [{ planned, name: session.name }] : []
  }),
)
</script>

<template>
  <ul v-if="toLead.length > 0" class="in-place" aria-label="Handed over to you">
    <li v-for="{ planned, name } in toLead" :key="planned.id">
      <RouterLink
        :to="{ name: 'plan', params: { id: planned.sessionId } }"
        @click="classes.openWith(planned.sessionId, planned.id)"
        >{{ name }}</RouterLink
      >
      <span>{{ classWhen(planned) }}, {{ handedWords(planned) }}</span>
      <q v-if="planned.handedFrom?.words">{{ planned.handedFrom.words }}</q>
    </li>
  </ul>
</template>

<style scoped>
.in-place {
  display: grid;
  gap: 8px;
  margin: 0 0 14px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 10px 14px;
  background: var(--rest-wash);
  border-left: 5px solid var(--rest);
}
li > * {
  min-width: 0;
  overflow-wrap: anywhere;
}
a {
  font-weight: 650;
}
q {
  white-space: pre-line;
}
</style>
