<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref, useId, watch } from 'vue'
import type { BodyPart } from '#model/set-up'
import { freeId } from '#core/comfort'
import { loadCaseOf } from '#core/figure'
import { findStacks, inventoryFor, itemsOfStack, usualMassKg } from '#core/props'
import { namedFolds } from '#library/prop-kinds'
import { lengthText } from '#words/lengths'
import { bodyParts, itemWords, partNames } from '#words/props'
import { useProps } from './use-props.ts'
import NumberField from '#web/shared/ui/NumberField.vue'

/** A wanted height under a part, and what there is in the cupboard that comes to it. */
const { figure, items, kinds, cupboard, place, statureCm, unit, elevation, put } = useProps()

const id = useId()
const part = ref<BodyPart>('head')
const wantedCm = ref(4)
const tolCm = ref(1)
/** Shown and typed in the unit of the place, kept in cm. */
const perUnit = computed(() => (unit.value === 'in' ? 2.54 : 1))
const toUnit = (cm: number): number => Math.round((cm / perUnit.value) * 100) / 100
const inUnit = (cm: typeof wantedCm) =>
  computed({
    get: () => toUnit(cm.value),
    set: (value) => (cm.value = value * perUnit.value),
  })
const wanted = inUnit(wantedCm)
const tolerance = inUnit(tolCm)
const unusual: ReadonlySet<BodyPart> = new Set(['eyes'])
const parts = bodyParts.filter((one) => !unusual.has(one)).map((value) => ({ value, words: partNames[value] }))

const pile = computed(() => elevation.value?.piles.find((one) => one.part === part.value))
const piles = computed<1 | 2>(() => pile.value?.piles ?? (part.value === 'arms' ? 2 : 1))
watch(
  [part, () => pile.value?.part],
  () => {
    if (pile.value) wantedCm.value = Math.round(pile.value.height * 2) / 2
  },
  { immediate: true },
)

/** Folds that are tried: those that make a pad or a roll, not those that cover a mat. */
const { single, quarter, spinePad, standard, narrow, square, thirds, roll, thinRoll } = namedFolds
const folds = { single, quarter, spinePad, standard, narrow, square, thirds, roll, thinRoll }
const inventory = computed(() =>
  inventoryFor({
    cupboard: cupboard.value,
    kinds: kinds.value,
    folds,
    part: part.value,
    piles: piles.value,
    posture: figure.value ? loadCaseOf(figure.value, items.value) : 'lying',
    massKg: usualMassKg(statureCm.value),
  }),
)
const found = computed(() => findStacks({ H: wantedCm.value, tol: tolCm.value, inventory: inventory.value.stocked }))
const itemsFor = (key: string) => {
  const taken = [...items.value]
  return itemsOfStack(key, inventory.value, part.value, piles.value, () => {
    const next = freeId(taken)
    taken.push({ id: next, kind: 'blanket', count: 1, under: part.value })
    return next
  })
}
const wordsOf = (key: string): string =>
  itemsFor(key)
    .map((item) => itemWords({ ...item, piles: undefined, count: item.count / piles.value }, kinds.value[item.kind]))
    .join(' + ')

interface Offer {
  readonly key: string
  readonly words: string
  readonly height: string
  readonly braced: boolean
}
const offer = (key: string, height: number, cls: string): Offer => ({
  key,
  words: wordsOf(key),
  height: lengthText(height, unit.value),
  braced: cls === 'brace',
})
const offers = computed<readonly Offer[]>(() =>
  found.value.ok ? found.value.value.best.map(({ key, height, cls }) => offer(key, height, cls)) : [],
)
const more = computed(() => (found.value.ok ? found.value.value.count : 0) - offers.value.length)
/** The nearest there is, where nothing comes to the height. */
const nearest = computed<readonly Offer[]>(() => {
  if (found.value.ok) return []
  const extra = found.value.extra as
    | {
        readonly below?: { readonly height: number; readonly key: string } | null
        readonly above?: { readonly height: number; readonly key: string } | null
      }
    | undefined
  return [extra?.below, extra?.above].flatMap((one) => (one ? [offer(one.key, one.height, 'ok')] : []))
})

/** What was found takes the place of what lies under the part. */
function take(key: string): void {
  const at = items.value.findIndex((item) => item.under === part.value && item.lies === undefined)
  const others = items.value.filter((item) => item.under !== part.value || item.lies !== undefined)
  const before = at < 0 ? others.length : items.value.slice(0, at).filter((item) => others.includes(item)).length
  put([...others.slice(0, before), ...itemsFor(key), ...others.slice(before)])
}
</script>

<template>
  <section class="reach" aria-labelledby="reach-title">
    <h3 id="reach-title">Reach a height</h3>
    <div class="fields">
      <div>
        <label :for="`${id}-part`">Part</label>
        <Select
          v-model="part"
          :input-id="`${id}-part`"
          :options="parts"
          option-label="words"
          option-value="value"
          fluid
          size="small"
          aria-label="Part to build under"
        />
      </div>
      <NumberField
        :label="`Height, ${unit}`"
        :value="wanted"
        :least="0.5"
        :most="toUnit(120)"
        :grain="0.01"
        :step="0.5"
        small
        @change="wanted = $event"
      />
      <NumberField
        :label="`Give or take, ${unit}`"
        :value="tolerance"
        :least="0"
        :most="toUnit(10)"
        :grain="0.01"
        :step="0.5"
        small
        @change="tolerance = $event"
      />
    </div>
    <p class="note">
      From {{ place ? `the cupboard of ${place.name}` : 'a few usual props' }}, under this person’s weight.
    </p>
    <ul v-if="offers.length > 0">
      <li v-for="one in offers" :key="one.key">
        <span
          >{{ one.words }} · {{ one.height
          }}<small v-if="one.braced">braced against a wall or another prop</small></span
        >
        <Button
          size="small"
          text
          severity="secondary"
          label="Use"
          :aria-label="`Use ${one.words}`"
          @click="take(one.key)"
        />
      </li>
    </ul>
    <template v-else>
      <p class="note" role="status">
        Nothing here comes to {{ lengthText(wantedCm, unit) }}.{{ nearest.length > 0 ? ' The nearest:' : '' }}
      </p>
      <ul>
        <li v-for="one in nearest" :key="one.key">
          <span>{{ one.words }} · {{ one.height }}</span>
          <Button
            size="small"
            text
            severity="secondary"
            label="Use"
            :aria-label="`Use ${one.words}`"
            @click="take(one.key)"
          />
        </li>
      </ul>
    </template>
    <p v-if="more > 0" class="note">{{ more === 1 ? '1 more way comes' : `${more} more ways come` }} to it.</p>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 84px 104px;
  gap: 2px 8px;
}
.fields label {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
.note {
  margin: 6px 0 2px;
  font-size: 14px;
  color: var(--ink-soft);
}
li :deep(button) {
  flex: none;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  font-size: 15px;
  line-height: 1.2;
  padding: 1px 0;
}
small {
  display: block;
  font-size: 13px;
  color: var(--ink-soft);
}
@media print {
  .reach {
    display: none;
  }
}
</style>
