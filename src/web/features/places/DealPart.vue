<script setup lang="ts">
import Button from 'primevue/button'
import { computed, toRaw, watch } from 'vue'
import type { PlannedClass, SubstituteTaken } from '#model/planned-class'
import type { Session } from '#model/session'
import { takenOf } from '#core/class'
import type { AtHome, Stock } from '#core/class'
import { useFit } from '#web/shared/fit/use-fit.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { lossWords, takenWords } from '#words/substitutes'
import { counted } from '#words/text'

/** Who gets what where there is too little: for all alike, or spread; taken whole or line by line, and given back. */
const props = defineProps<{
  session: Session
  planned: PlannedClass | undefined
  /** What was taken and still stands. */
  taken: readonly SubstituteTaken[]
  who: readonly string[]
  stock: Stock
  /** At home: what each has of their own, in place of it. */
  atHome?: readonly AtHome[] | undefined
  /** Whether anything is missing as it stands. */
  isShort: boolean
  nameOf: (blockId: string) => string
}>()
const classes = usePlannedClassesStore()
const deal = useFit('deal')
watch(
  [() => props.session, () => props.who, () => props.stock, () => props.atHome, () => props.isShort],
  () => {
    if (!props.isShort) return
    const atHome = props.atHome?.map(({ id, stock }) => ({ id, stock: { ...stock } }))
    deal.ask({ session: toRaw(props.session), who: [...props.who], stock: { ...props.stock }, atHome })
  },
  { immediate: true },
)
const dealt = computed(() => (props.isShort ? deal.answer.value : undefined))

interface Way {
  readonly title: string
  readonly loss: string
  readonly taken: readonly SubstituteTaken[]
}
/** One instruction serves all: it comes first as soon as two people are short. */
const ways = computed((): readonly Way[] => {
  const result = dealt.value
  if (!result?.ok) return []
  const { given, forAll, people, penalty } = result.value
  const spread: Way = {
    title: `Spread: ${counted(people, 'person', 'people')} otherwise`,
    loss: lossWords(penalty / Math.max(1, people)),
    taken: takenOf(given, props.who.length),
  }
  const all: Way | undefined = forAll && {
    title: 'For all the same',
    loss: lossWords(forAll.penalty / Math.max(1, props.who.length)),
    taken: takenOf(forAll.given, props.who.length),
  }
  // Where spreading comes to the same there is one way alone.
  if (all && JSON.stringify(all.taken) === JSON.stringify(spread.taken)) return [all]
  return all ? (people >= 2 ? [all, spread] : [spread, all]) : [spread]
})
const line = (taken: SubstituteTaken): string => takenWords(taken, props.who.length)

function keep(substitutes: readonly SubstituteTaken[]): void {
  if (props.planned) void classes.put({ ...props.planned, substitutes: [...substitutes] })
}
/** A part is taken beside what was taken in other blocks, and by other people. */
function takePart(part: SubstituteTaken): void {
  const isOther = (one: SubstituteTaken): boolean =>
    one.blockId !== part.blockId ||
    (one.who !== undefined && part.who !== undefined && !one.who.some((id) => part.who?.includes(id)))
  keep([...props.taken.filter(isOther), part])
}
</script>

<template>
  <section v-if="isShort || taken.length > 0" class="deal">
    <template v-if="isShort">
      <h3>Who gets what instead</h3>
      <p v-if="deal.isSlow.value" role="status">Working it out…</p>
      <p v-if="deal.isBroken.value" role="alert">It could not be worked out here. Reload the page and try again.</p>
      <p v-if="dealt && !dealt.ok">Nothing that is here makes do for everybody: fewer people, or another set-up.</p>
      <div v-for="way in ways" :key="way.title" class="way">
        <p>
          <b>{{ way.title }}</b> <span class="loss">{{ way.loss }}</span>
        </p>
        <ul>
          <li v-for="(one, at) in way.taken" :key="at">
            <span>{{ nameOf(one.blockId) }}, {{ line(one) }}</span>
            <Button
              v-if="planned && way.taken.length > 1"
              size="small"
              text
              severity="secondary"
              label="Take"
              :aria-label="`Take for ${nameOf(one.blockId)}, ${line(one)}`"
              @click="takePart(one)"
            />
          </li>
        </ul>
        <Button
          v-if="planned"
          size="small"
          label="Take this"
          :aria-label="`Take: ${way.title}`"
          @click="keep(way.taken)"
        />
      </div>
      <p v-if="dealt?.ok && dealt.value.gap > 0" class="note">
        The best that was found in the time there is: something a little better may be possible.
      </p>
      <p v-if="!planned && ways.length > 0" class="note">Plan a class above to take one of them.</p>
    </template>
    <template v-if="taken.length > 0">
      <h3>Taken for this class</h3>
      <ul>
        <li v-for="(one, at) in taken" :key="at">
          <span>{{ nameOf(one.blockId) }}, {{ line(one) }}</span>
          <Button
            size="small"
            text
            severity="secondary"
            label="Back"
            :aria-label="`Back to the set-up of ${nameOf(one.blockId)}`"
            @click="keep(taken.filter((other) => other !== one))"
          />
        </li>
      </ul>
      <Button
        v-if="taken.length > 1"
        size="small"
        severity="secondary"
        outlined
        label="All as planned again"
        @click="keep([])"
      />
    </template>
  </section>
</template>

<style scoped>
.deal {
  display: grid;
  gap: 8px;
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line-soft);
}
.way {
  display: grid;
  gap: 4px;
  justify-items: start;
  padding: 8px 10px;
  background: var(--ground);
  border-radius: 8px;
}
ul {
  width: 100%;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  min-height: 30px;
  padding: 3px 0;
  line-height: 1.2;
}
li :deep(button) {
  flex: none;
}
.loss,
.note {
  font-size: 14.5px;
  color: var(--ink-soft);
}
@media print {
  .way,
  .note,
  .deal :deep(button) {
    display: none;
  }
}
</style>
