<script setup lang="ts">
import { computed } from 'vue'
import { sides } from '#model/common'
import { picturedBlock } from '#core/session'
import type { ResolvedClosing, ResolvedHold } from '#core/session'
import FigureThumb from '#web/shared/figures/thumbnails/FigureThumb.vue'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePlan } from '../use-plan.ts'

/** The pose of a block on its set-up, each side where it has two: the way to Set-ups. */
const props = defineProps<{ resolved: ResolvedHold | ResolvedClosing }>()
const own = useOwnStore()
const { document } = usePlan()

const pictures = computed(() => {
  const { resolved } = props
  const shown = resolved.kind === 'hold' && resolved.pose.sides ? sides : ([undefined] as const)
  return shown.flatMap((side) => {
    const pictured = picturedBlock(resolved, own.catalog, side)
    return pictured ? [{ key: side ?? 'both', side, pictured }] : []
  })
})
</script>

<template>
  <RouterLink
    v-if="document && pictures.length > 0"
    class="pictures"
    :to="{ name: 'props', params: { id: document.id }, hash: `#${resolved.block.id}` }"
    aria-label="Open it in Set-ups"
    title="Open it in Set-ups"
  >
    <span v-for="{ key, side, pictured } in pictures" :key="key" class="picture" :class="key">
      <FigureThumb :pictured="pictured" />
      <small v-if="side">{{ side === 'left' ? 'Left' : 'Right' }}</small>
    </span>
  </RouterLink>
</template>

<style scoped>
.pictures {
  --thumb: 120px;
  display: flex;
  gap: 10px;
  margin: 8px 0 2px;
  color: inherit;
  text-decoration: none;
}
.picture {
  flex: 1;
  display: grid;
  justify-items: center;
  padding: 6px 6px 2px;
  border-radius: 8px;
  background: var(--ground);
}
.picture.left {
  border-right: 4px solid var(--left);
}
.picture.right {
  border-left: 4px solid var(--right);
}
small {
  font-size: 13px;
  color: var(--ink-soft);
}
.pictures:hover .picture {
  background: var(--line-soft);
}
</style>
