<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { holdLimits } from '#model/limits'
import type { Pictured } from '#core/session'
import { formatDuration } from '#core/units'
import { wingLabel } from '#words/blocks'
import { isCharacterKey, useLetterKeys } from '#web/shared/settings/letter-keys.ts'
import { drawnLimits, drawnSeconds } from '../block-times.ts'
import { chooseAll, chooseFurther } from '../commands/choosing.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePlan } from '../use-plan.ts'
import { layOutSpine, shapeOf, steady } from './layout.ts'
import type { WingShape } from './layout.ts'
import { spineCommand } from './spine-keys.ts'
import type { SpineCommand } from './spine-keys.ts'
import SpineClocks from './SpineClocks.vue'
import SpineEdge from './SpineEdge.vue'
import SpineSeats from './SpineSeats.vue'
import SpineStem from './SpineStem.vue'
import SpineWing from './SpineWing.vue'
import { useDrop } from './use-drop.ts'
import { wingPicture } from './wing-picture.ts'

const emit = defineEmits<{ find: []; keys: []; lead: []; fit: [] }>()

const plan = usePlan()
const own = useOwnStore()
const { document, timeline, chosenId } = plan
const classes = usePlannedClassesStore()
/** When the class it is opened for begins. */
const startsAt = computed(() => document.value && classes.openFor(document.value.id)?.startsAt)

/** Px a minute, from a class at a glance to a single hold in detail [design: 8 to 48, default 18]. */
const scales = [8, 12, 18, 26, 36, 48]
const scaleAt = ref(2)
const scale = computed(() => scales[scaleAt.value] ?? 18)

const layout = computed(() =>
  timeline.value && document.value ? layOutSpine(timeline.value, document.value, scale.value) : undefined,
)

const box = useTemplateRef<HTMLElement>('box')
const canvas = useTemplateRef<HTMLElement>('canvas')
/** The wing the arrow keys are on: of a block with two sides, one of them. */
const wingKey = ref<string>()

function focus(): void {
  box.value?.focus({ preventScroll: true })
}
defineExpose({ focus })

function choose(wing: WingShape): void {
  plan.choose(wing.blockId)
  wingKey.value = wing.key
}
/** A click with Ctrl chooses one more or one less, with Shift all in between. */
function click(wing: WingShape, event: MouseEvent): void {
  if (event.shiftKey) plan.chooseTo(wing.blockId)
  else if (event.ctrlKey || event.metaKey) plan.chooseAlso(wing.blockId)
  else choose(wing)
}

const wings = computed(() => layout.value?.wings ?? [])
const activeWing = computed(
  () =>
    wings.value.find((wing) => wing.key === wingKey.value && wing.blockId === chosenId.value) ??
    wings.value.find((wing) => wing.blockId === chosenId.value),
)
const wingId = (wing: WingShape) => `wing-${wing.key}`

watch(activeWing, async (wing) => {
  if (!wing) return
  await nextTick()
  canvas.value?.querySelector(`[id="${wingId(wing)}"]`)?.scrollIntoView({ block: 'nearest' })
})

function walk(by: number): void {
  const at = activeWing.value ? wings.value.indexOf(activeWing.value) : by > 0 ? -1 : wings.value.length
  const next = wings.value[Math.max(0, Math.min(wings.value.length - 1, at + by))]
  if (next) choose(next)
}

function setScale(by: number): void {
  scaleAt.value = Math.max(0, Math.min(scales.length - 1, scaleAt.value + by))
  plan.tell(`Scale ${String(scaleAt.value + 1)} of ${String(scales.length)}`)
}

const letterKeys = useLetterKeys()

/** What each key does: what it finds, moves or asks for on the spine itself, or a command of the plan. */
const does: Readonly<Record<SpineCommand, () => void>> = {
  next: () => {
    walk(1)
  },
  previous: () => {
    walk(-1)
  },
  first: () => {
    walk(-wings.value.length)
  },
  last: () => {
    walk(wings.value.length)
  },
  add: () => {
    emit('find')
  },
  scale: () => {
    setScale(scaleAt.value === scales.length - 1 ? -scaleAt.value : 1)
  },
  lead: () => {
    emit('lead')
  },
  fit: () => {
    emit('fit')
  },
  keys: () => {
    emit('keys')
  },
  'nothing chosen': () => {
    plan.choose(undefined)
  },
  'choose next too': () => {
    plan.run((state) => chooseFurther(state, { by: 1 }))
  },
  'choose previous too': () => {
    plan.run((state) => chooseFurther(state, { by: -1 }))
  },
  'choose all': () => {
    plan.run(chooseAll)
  },
  up: () => {
    plan.moveBy(plan.chosenIds.value, -1)
  },
  down: () => {
    plan.moveBy(plan.chosenIds.value, 1)
  },
  longer: () => {
    step(true)
  },
  shorter: () => {
    step(false)
  },
  'longer alone': () => {
    step(true, sideOf(activeWing.value))
  },
  'shorter alone': () => {
    step(false, sideOf(activeWing.value))
  },
  duplicate: () => {
    plan.duplicate(...plan.chosenIds.value)
  },
  remove: () => {
    plan.remove(...plan.chosenIds.value)
  },
}

const sideOf = (wing: WingShape | undefined) =>
  wing?.bank === 'left' || wing?.bank === 'right' ? wing.bank : undefined

function step(longer: boolean, side?: 'left' | 'right'): void {
  if (chosenId.value !== undefined) plan.stepTime(chosenId.value, longer, side)
}

function onKey(event: KeyboardEvent): void {
  if (isCharacterKey(event) && !letterKeys.value) return
  const command = spineCommand(event)
  if (!command) return
  event.preventDefault()
  does[command]()
}

const steadyShape = steady<WingShape>()
const steadyPicture = steady<Pictured | undefined>()
/** Each wing at its height, with the time its lower edge draws, where it has one. */
const placed = computed(() =>
  wings.value.map((wing) => {
    const resolved = timeline.value?.blocks[wing.blockIndex]?.block
    return {
      wing: steadyShape(wing.key, shapeOf(wing)),
      picture: steadyPicture(wing.key, wingPicture(wing, resolved, own.catalog)),
      top: wing.topPx,
      seconds: resolved && drawnSeconds(resolved),
      limits: resolved ? drawnLimits(resolved) : holdLimits,
    }
  }),
)

const { dropLine } = useDrop(box, canvas, scale)

const isEmpty = computed(() => document.value?.blocks.length === 0)
</script>

<template>
  <section class="spine" aria-label="Spine">
    <div
      ref="box"
      class="box"
      tabindex="0"
      role="listbox"
      aria-multiselectable="true"
      aria-label="The session’s blocks in order"
      :aria-activedescendant="activeWing ? wingId(activeWing) : undefined"
      @keydown="onKey"
    >
      <div v-if="layout" ref="canvas" class="canvas" role="presentation" :style="{ height: `${layout.heightPx}px` }">
        <SpineStem :layout="layout" />
        <SpineClocks v-if="startsAt !== undefined" :minutes="layout.minutes" :starts-at="startsAt" />
        <SpineSeats v-if="timeline" :layout="layout" :timeline="timeline" />
        <span class="bank-name left" aria-hidden="true">Left</span>
        <span class="bank-name right" aria-hidden="true">Right</span>
        <template v-for="rib in layout.ribs" :key="rib.key">
          <span
            v-if="rib.labelTopPx !== undefined"
            class="label"
            :class="rib.bank"
            :style="{ top: `${rib.labelTopPx}px` }"
            aria-hidden="true"
            >{{ rib.label }}</span
          >
        </template>
        <div
          v-for="{ wing, picture, top, seconds, limits } in placed"
          :key="wing.key"
          class="at"
          role="presentation"
          :style="{ top: `${top}px` }"
        >
          <SpineWing
            :id="wingId(wing)"
            :wing="wing"
            :picture="picture"
            :label="document ? wingLabel(wing, document) : wing.name"
            :is-chosen="plan.chosenIds.value.includes(wing.blockId)"
            :is-active="wing.key === activeWing?.key"
            :is-with="plan.chosenIds.value.length > 1 && plan.chosenIds.value.includes(wing.blockId)"
            @click="click(wing, $event)"
          />
          <SpineEdge
            v-if="seconds !== undefined"
            :wing="wing"
            :seconds="seconds"
            :limits="limits"
            :px-per-minute="scale"
            @draw="plan.setTime(wing.blockId, $event)"
          />
        </div>
        <div
          v-if="dropLine !== undefined"
          class="drop-line"
          :style="{ top: `${dropLine}px` }"
          data-testid="drop-line"
        />
        <div
          v-if="document && timeline && timeline.totalMs > document.lengthS * 1000"
          class="wanted"
          :style="{ top: `${layout.wantedPx}px` }"
        >
          <span>{{ formatDuration(document.lengthS) }} wanted</span>
        </div>
      </div>
      <div v-if="isEmpty" class="empty">
        <h2>Nothing on the spine yet</h2>
        <p>A session begins with a few words or the first breath. Choose something on the shelf, or drag it here.</p>
        <Button label="Find a pose or breath" @click="emit('find')" />
      </div>
    </div>
    <div class="tools">
      <Button
        text
        size="small"
        icon="pi pi-minus"
        aria-label="Smaller scale"
        title="Smaller scale (Z steps through the scales)"
        :disabled="scaleAt === 0"
        @click="setScale(-1)"
      />
      <Button
        text
        size="small"
        icon="pi pi-plus"
        aria-label="Larger scale"
        title="Larger scale (Z steps through the scales)"
        :disabled="scaleAt === scales.length - 1"
        @click="setScale(1)"
      />
      <Button
        text
        size="small"
        label="?"
        aria-label="The list of keys"
        title="The list of keys"
        @click="emit('keys')"
      />
    </div>
  </section>
</template>

<style scoped>
.spine {
  position: relative;
  contain: strict;
  min-width: 0;
  min-height: 0;
  background: var(--ground);
}
.tools {
  position: absolute;
  right: 6px;
  bottom: 6px;
  display: grid;
  z-index: 6;
}
.tools :deep(.p-button) {
  width: 28px;
  height: 28px;
  padding: 0;
  color: var(--ink-soft);
}
.box {
  position: absolute;
  inset: 0;
  overflow-y: auto;
  overflow-x: hidden;
}
.box:focus-visible {
  outline-offset: -2px;
}
/* Where the sides take the whole width, the tools get a strip of their own. */
@media (max-width: 800px) {
  .box {
    right: 36px;
  }
}
.canvas {
  position: relative;
  --stem: 36px;
  --wing: min(282px, calc(50% - var(--stem) / 2 - 16px));
  --inner: calc(50% + var(--stem) / 2);
}
/* Only where it stands changes when blocks before it change: the wing in it is not drawn anew. */
.at {
  position: absolute;
  left: 0;
  right: 0;
  contain: layout style;
}
.bank-name {
  position: absolute;
  top: 9px;
  font-size: 14px;
  color: var(--ink-soft);
}
.bank-name.left {
  left: calc(50% - var(--stem) / 2 - var(--wing) + 4px);
}
.bank-name.right {
  right: calc(50% - var(--stem) / 2 - var(--wing) + 4px);
}
.label {
  position: absolute;
  max-width: var(--wing);
  font-size: 13.5px;
  line-height: 14px;
  color: #4b5854;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.label.left {
  right: calc(var(--inner) + 6px);
}
.label.right {
  left: calc(var(--inner) + 8px);
}
.drop-line {
  position: absolute;
  left: 24px;
  right: 24px;
  height: 0;
  border-top: 3px solid var(--ink);
  z-index: 5;
  pointer-events: none;
}
.wanted {
  position: absolute;
  left: calc(50% - var(--stem) / 2 - var(--wing));
  right: calc(50% - var(--stem) / 2 - var(--wing));
  border-top: 2px dashed var(--ink);
  pointer-events: none;
}
.wanted span {
  position: absolute;
  right: 0;
  top: 1px;
  font-size: 13.5px;
  font-weight: 650;
  background: var(--ground);
  padding: 0 4px;
}
.empty {
  position: absolute;
  top: 50%;
  left: 50%;
  transform: translate(-50%, -50%);
  display: grid;
  justify-items: center;
  gap: 10px;
  width: min(340px, 90%);
  padding: 22px;
  text-align: center;
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 8px;
}
</style>
