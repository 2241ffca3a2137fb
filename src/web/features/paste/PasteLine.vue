<script setup lang="ts">
import { computed } from 'vue'
import type { Block } from '#model/block'
import type { Session } from '#model/session'
import { setUpOf } from '#core/session'
import type { Catalog } from '#core/session'
import { joinedWords, planDoubtWords, planRoleNames } from '#words/plan-text'
import { takesWords } from '#words/props'
import { blockLines } from '#formats/plan-text/write-lines'
import type { Chosen, PlanLine } from '#formats/plan-text/read-plan'
import FindingMark from '#web/shared/findings/FindingMark.vue'
import SelectField from '#web/shared/ui/SelectField.vue'
import { becomeOf, keyOf, namesOnShelf, nameOfThing } from './becomes.ts'

type Wanted = Pick<Session, 'extent' | 'setting'>
/** One line of a pasted plan: as it was typed, what it became, and what wants a second look. */
const props = defineProps<{
  line: PlanLine
  block: Block | undefined
  catalog: Catalog
  wanted: Wanted
  isLeft: boolean
}>()
const emit = defineEmits<{ choose: [as: Chosen] }>()

const value = computed(() => keyOf(props.line))
const options = computed(() => {
  const offered = props.line.choices.map((thing) => ({
    value: `${thing.kind} ${thing.id}`,
    words: nameOfThing(thing, props.catalog),
  }))
  const roles = Object.entries(planRoleNames).map(([role, words]) => ({ value: role, words }))
  const first = [...offered, ...roles]
  const joins = props.line.role === 'joins' ? [{ value: 'joins', words: joinedWords(props.block) }] : []
  const rest = namesOnShelf(props.catalog).filter((one) => !first.some(({ value: taken }) => taken === one.value))
  return [...joins, ...first, ...rest]
})
/** As it would be written, what it takes, its notes and words under it. */
const written = computed(() => {
  const { block, catalog } = props
  if (!block || props.line.role !== 'block') return []
  const setUp = block.kind === 'hold' || block.kind === 'closing' ? setUpOf(block, catalog, props.wanted) : undefined
  const takes = takesWords(setUp?.value.items ?? [])
  const [first = '', ...more] = blockLines(block, catalog).map((text) => text.trim())
  return [first, ...(takes === '' ? [] : [takes]), ...more]
})
</script>

<template>
  <tr>
    <td class="number">{{ line.number }}</td>
    <td class="typed" :class="{ inset: line.role === 'under' || line.role === 'joins' }">{{ line.text.trim() }}</td>
    <td>
      <SelectField
        :label="`Line ${line.number} becomes`"
        hide-label
        is-searched
        :value="value"
        :options="options"
        @change="emit('choose', becomeOf($event))"
      />
    </td>
    <td>
      <span v-for="(text, at) in written" :key="at" :class="{ more: at > 0 }">{{ text }}</span>
      <p v-for="doubt in line.doubts" :key="doubt" class="doubt">
        <FindingMark grade="look" />{{ planDoubtWords[doubt] }}
      </p>
      <p v-if="isLeft" class="doubt">
        <FindingMark grade="look" />The session has a closing already: this one is not put in
      </p>
    </td>
  </tr>
</template>

<style scoped>
td {
  vertical-align: top;
  white-space: normal;
}
/* The words stand as high as those of the list beside them. */
td:not(:has(.select-field)) {
  padding-top: 13px !important;
}
.number {
  text-align: right;
  color: var(--ink-soft);
  font-variant-numeric: tabular-nums;
}
.typed {
  overflow-wrap: anywhere;
  white-space: pre-wrap;
}
.inset {
  padding-left: 22px;
}
span {
  display: block;
  overflow-wrap: anywhere;
}
.more {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.doubt {
  display: flex;
  align-items: baseline;
  gap: 7px;
  margin: 2px 0 0;
  font-size: 15px;
  font-weight: 650;
}
.doubt svg {
  position: relative;
  top: 1px;
}
</style>
