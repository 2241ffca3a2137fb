<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref, useId, watch } from 'vue'
import type { BodyPart, SetUpItem } from '#model/set-up'
import { assess, freeId } from '#core/comfort'
import { loadCaseOf } from '#core/figure'
import { findStacks, inventoryFor, itemsOfStack, usualMassKg } from '#core/props'
import { namedFolds } from '#library/prop-kinds'
import { lengthText } from '#words/lengths'
import { bodyParts, itemWords, partNames } from '#words/props'
import { useProps } from './use-props.ts'
import NumberField from '#web/shared/ui/NumberField.vue'

/** A wanted height under a part, and what there is in the cupboard that comes to it. */
const { chosen, input, figure, items, kinds, cupboard, place, statureCm, unit, elevation, put } = useProps()

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
/** A height that was typed stays when another part is looked at; another set-up begins from what lies there. */
const isTyped = ref(false)
function startFromHere(): void {
  if (pile.value && !isTyped.value) wantedCm.value = Math.round(pile.value.height * 2) / 2
}
watch([part, () => pile.value?.height], startFromHere, { immediate: true })
watch(
  () => chosen.value?.key,
  () => {
    isTyped.value = false
    startFromHere()
  },
)
function type(height: number): void {
  wanted.value = height
  isTyped.value = true
}

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
/** What is wrong already is no reason against a way; what a way would bring is. */
const countedIn = (all: readonly SetUpItem[]): ReadonlySet<string> =>
  new Set(
    input.value
      ? assess({ ...input.value, items: all })
          .findings.filter(({ grade }) => grade !== 'tip')
          .map(({ code }) => code)
      : [],
  )
function allowed<Found extends { readonly key: string }>(all: readonly Found[]): readonly Found[] {
  const before = countedIn(items.value)
  return all.filter(({ key }) => [...countedIn(itemsWith(key))].every((code) => before.has(code)))
}
const best = computed(() => (found.value.ok ? found.value.value.best : []))
const takes = computed(() => allowed(best.value))
const offers = computed<readonly Offer[]>(() => takes.value.map(({ key, height, cls }) => offer(key, height, cls)))
/** Ways that come to the height and would bring a finding. */
const leftOut = computed(() => best.value.length - takes.value.length)
const more = computed(() => (found.value.ok ? found.value.value.count : 0) - best.value.length)
/** How much further it is looked, step by step, cm. */
const further = [1, 2, 4, 8]
/** The nearest there is that lies well, where nothing that does comes to the height. */
const nearest = computed<readonly Offer[]>(() => {
  if (offers.value.length > 0) return []
  for (const by of further) {
    const near = findStacks({ H: wantedCm.value, tol: tolCm.value + by, inventory: inventory.value.stocked })
    const all = near.ok ? allowed(near.value.best) : []
    const distance = ({ height }: { readonly height: number }) => Math.abs(height - wantedCm.value)
    const two = [...all].sort((a, b) => distance(a) - distance(b)).slice(0, 2)
    if (two.length > 0) return two.map(({ key, height, cls }) => offer(key, height, cls))
  }
  return []
})
const none = computed(() =>
  [
    leftOut.value > 0
      ? `What comes to ${lengthText(wantedCm.value, unit.value)} would not lie well here.`
      : `Nothing here comes to ${lengthText(wantedCm.value, unit.value)}.`,
    ...(nearest.value.length > 0 ? ['The nearest:'] : []),
  ].join(' '),
)

/** The set-up with what was found in the place of what lies under the part. */
function itemsWith(key: string): readonly SetUpItem[] {
  const at = items.value.findIndex((item) => item.under === part.value && item.lies === undefined)
  const others = items.value.filter((item) => item.under !== part.value || item.lies !== undefined)
  const before = at < 0 ? others.length : items.value.slice(0, at).filter((item) => others.includes(item)).length
  return [...others.slice(0, before), ...itemsFor(key), ...others.slice(before)]
}
const take = (key: string): void => {
  put(itemsWith(key))
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
        @change="type"
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
        {{ none }}
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
    <p v-if="offers.length > 0 && leftOut > 0" class="note">
      {{ leftOut === 1 ? '1 more' : `${String(leftOut)} more` }} would not lie well here.
    </p>
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
