<script setup lang="ts">
import { computed } from 'vue'
import { sides } from '#model/common'
import type { Pose } from '#model/pose'
import { picturedPose, picturedSetUp, setUpsFor } from '#core/session'
import type { Pictured } from '#core/session'
import { takesWords } from '#words/props'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { useShelf } from './use-shelf.ts'

/** A pose as it looks: both its sides where it has two, and each set-up there is for it. */
const props = defineProps<{ pose: Pose }>()
const { own } = useShelf()

interface Picture {
  readonly key: string
  readonly name: string
  readonly takes: string
  readonly pictured: Pictured | undefined
}
const ofSides = computed((): readonly Picture[] =>
  props.pose.sides
    ? sides.map((side) => {
        const pictured = picturedPose(own.catalog, props.pose.id)
        return {
          key: side,
          name: side === 'left' ? 'Left' : 'Right',
          takes: props.pose.sides?.[side] ?? '',
          pictured: pictured && { ...pictured, side },
        }
      })
    : [],
)
const ofSetUps = computed((): readonly Picture[] =>
  setUpsFor(own.catalog, props.pose.id).map((setUp) => ({
    key: setUp.id,
    name: setUp.name,
    takes: takesWords(setUp.items),
    pictured: picturedSetUp(own.catalog, props.pose.id, setUp),
  })),
)
const bare = computed((): readonly Picture[] => {
  const pictured = picturedSetUp(own.catalog, props.pose.id, undefined)
  return ofSetUps.value.length > 0 || !pictured ? [] : [{ key: 'bare', name: 'On the mat', takes: '', pictured }]
})
const pictures = computed(() => [...ofSides.value, ...ofSetUps.value, ...bare.value])
</script>

<template>
  <ul v-if="pictures.length > 0" class="pictures" aria-label="How it looks">
    <li v-for="{ key, name, takes, pictured } in pictures" :key="key">
      <FigureThumb :pictured="pictured" />
      <b>{{ name }}</b>
      <small v-if="takes">{{ takes }}</small>
    </li>
  </ul>
</template>

<style scoped>
.pictures {
  --thumb: 100%;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 14px 18px;
  margin: 14px 0 4px;
}
li {
  display: grid;
  align-content: start;
  line-height: 1.3;
}
.pictures :deep(.thumb) {
  background: var(--ground);
  border-radius: 8px;
  margin-bottom: 5px;
  padding: 6px 8px;
}
small {
  color: var(--ink-soft);
}
</style>
