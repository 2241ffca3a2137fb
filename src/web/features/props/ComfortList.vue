<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { noticedIn } from '#core/checks'
import type { SetUpNoticed } from '#core/checks'
import type { ComfortCode, ComfortFinding } from '#core/comfort'
import { withSetAside } from '#core/finding'
import { comfortWords, mendWords } from '#words/comfort'
import { findingGradeNames } from '#words/grades'
import FindingMark from '#web/shared/findings/FindingMark.vue'
import SetAsideForm from '#web/shared/findings/SetAsideForm.vue'
import { useSetAside } from '#web/shared/findings/use-set-aside.ts'
import { useMends } from './use-mends.ts'
import { useProps } from './use-props.ts'

/** What is not as it should be in this set-up, worst first, each with its number and its mend. */
const { store, chosen, findings, input, kinds, unit, put } = useProps()
const { setAside, takeBack } = useSetAside()
const mends = useMends(input)
const wordsOf = (finding: ComfortFinding) => comfortWords(finding, unit.value)

/** Each finding as the session keeps those that were set aside. */
const judged = computed(() =>
  store.document && chosen.value
    ? withSetAside(
        findings.value.map((finding) => noticedIn(chosen.value?.block.id ?? '', finding)),
        store.document,
      )
    : [],
)
const open = computed(() => judged.value.filter(({ aside }) => aside === undefined))
const aside = computed(() => judged.value.filter((one) => one.aside !== undefined))
const asking = ref<ComfortCode>()
function giveReason(finding: SetUpNoticed, reason: string): void {
  asking.value = undefined
  setAside(finding, reason)
}
</script>

<template>
  <div v-if="findings.length > 0" class="comfort">
    <ul>
      <li v-for="{ finding, isBack } in open" :key="finding.code" :class="{ counted: finding.grade !== 'tip' }">
        <FindingMark :grade="finding.grade" />
        <div>
          <p>
            <b
              ><span class="visually-hidden">{{ findingGradeNames[finding.grade] }}: </span
              >{{ wordsOf(finding.setUp).title }}</b
            >
          </p>
          <p class="mend">{{ wordsOf(finding.setUp).mend }}</p>
          <p v-if="isBack" class="mend">It was set aside; its numbers have changed since.</p>
          <div class="one-press">
            <template v-if="!mends">Looking for a mend…</template>
            <Button
              v-else-if="mends[finding.code]"
              size="small"
              severity="secondary"
              outlined
              :label="mendWords(mends[finding.code]!, kinds)"
              @click="put(mends[finding.code]!.items)"
            />
            <template v-else>No single change found that mends it.</template>
          </div>
          <template v-if="finding.grade !== 'tip'">
            <SetAsideForm
              v-if="asking === finding.setUp.code"
              @reason="giveReason(finding, $event)"
              @leave="asking = undefined"
            />
            <Button
              v-else
              size="small"
              text
              severity="secondary"
              label="Set aside"
              :aria-label="`Set aside: ${wordsOf(finding.setUp).title}`"
              @click="asking = finding.setUp.code"
            />
          </template>
        </div>
      </li>
      <li v-for="one in aside" :key="one.finding.code">
        <FindingMark :grade="one.finding.grade" />
        <div>
          <p>{{ wordsOf(one.finding.setUp).title }}</p>
          <p class="mend">Set aside: {{ one.aside?.reason }}</p>
          <Button
            size="small"
            text
            severity="secondary"
            label="Take back"
            :aria-label="`Take back: ${wordsOf(one.finding.setUp).title}`"
            @click="takeBack(one.finding)"
          />
        </div>
      </li>
    </ul>
    <p class="care">Comfort decides. Stop with pain, numbness or dizziness; ask a professional.</p>
  </div>
</template>

<style scoped>
.comfort {
  margin-top: 8px;
}
li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr);
  gap: 10px;
  padding: 8px 0;
  border-top: 1px solid var(--line-soft);
  font-size: 15.5px;
  line-height: 1.25;
}
li > svg {
  margin-top: 3px;
}
.counted {
  margin: 0 -8px;
  padding: 8px;
  background: #eef1ec;
  border-top: 0;
  border-left: 3px solid var(--ink);
}
.counted + .counted {
  margin-top: 4px;
}
.mend {
  color: #414d4a;
}
/* As high as a button of two lines: what stands below stays where the hand is when a mend is found. */
.one-press {
  display: flex;
  align-items: center;
  min-height: 50px;
  font-size: 14px;
  color: var(--ink-soft);
}
li :deep(.p-button) {
  text-align: left;
  line-height: 1.15;
}
.care {
  margin-top: 6px;
  font-size: 14px;
  color: var(--ink-soft);
}
@media print {
  .one-press {
    display: none;
  }
}
</style>
