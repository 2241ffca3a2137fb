<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { finalRestPose, poseIn } from '#core/session'
import { takenInWords } from '#words/forms'
import { takesWords } from '#words/props'
import { joined, lower } from '#words/text'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePeople } from './use-people.ts'

/** What is kept for them from classes: the set-ups they lie on, and what they like to take in place of a pose. */
const { chosen, change } = usePeople()
const own = useOwnStore()
function poseName(poseId: string, variantId?: string): string {
  if (poseId === finalRestPose) return 'Final rest'
  const pose = poseIn(own.catalog, poseId)
  const form = pose?.variants.find(({ id }) => id === variantId)?.name ?? ''
  return joined([pose?.names.english ?? 'A pose that is gone', lower(form)], ', ')
}
const lines = computed(() => {
  const { setUps = [], likes = [] } = chosen.value ?? {}
  return [
    ...setUps.map((one) => ({
      key: `set-up ${one.poseId} ${one.variantId ?? ''}`,
      name: poseName(one.poseId, one.variantId),
      about: `lies on: ${takesWords(one.items) || 'nothing'}`,
      remove: () => {
        const left = setUps.filter((other) => other !== one)
        change({ setUps: left.length > 0 ? left : undefined })
      },
    })),
    ...likes.map((one) => ({
      key: `likes ${one.poseId}`,
      name: poseName(one.poseId),
      about: `likes to take: ${takenInWords(one.takes, poseIn(own.catalog, one.poseId), poseName)}`,
      remove: () => {
        const left = likes.filter((other) => other !== one)
        change({ likes: left.length > 0 ? left : undefined })
      },
    })),
  ]
})
</script>

<template>
  <section v-if="lines.length > 0" class="part" aria-labelledby="kept-for-them">
    <h2 id="kept-for-them">Kept for them</h2>
    <ul>
      <li v-for="{ key, name, about, remove } in lines" :key="key">
        <span
          ><b>{{ name }}</b
          ><small>{{ about }}</small></span
        >
        <Button
          text
          severity="secondary"
          size="small"
          icon="pi pi-times"
          :aria-label="`No longer: ${name}, ${about}`"
          title="No longer"
          @click="remove"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.part {
  display: grid;
  gap: 6px;
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
h2 {
  font-size: 18px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 4px 0;
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
</style>
