<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { textLimits } from '#model/limits'
import { nearness } from '#core/class'
import { isSame } from '#core/session'
import type { Choice } from '#core/class'
import { blockName } from '#words/blocks'
import { choiceAbout, chosenWords, formName, offerToAll, reasonLines, shorterWords, takingLine } from '#words/forms'
import { capital } from '#words/text'
import { gateWords } from '#words/people'
import CautionMark from '#web/shared/cautions/CautionMark.vue'
import LineField from '#web/shared/ui/LineField.vue'
import { useWhoView } from './use-who-view.ts'

/** One person in one block: what is said against it, what else there is, and what was chosen. */
const { taking, person, block, takingsIn, nameOf, choose, sayWhy, leaveOpen, like } = useWhoView()
const reasons = computed(() => (taking.value ? reasonLines(taking.value.planned.verdict) : []))
const gate = computed(() => (person.value ? gateWords(person.value.gated) : ''))
const isTaken = (choice: Choice): boolean => isSame(choice.takes, taking.value?.does?.takes)
const offer = computed(() => (block.value ? offerToAll(takingsIn(block.value.block.id)) : ''))
/** What is looked at first: what nothing has still to be changed in. */
const sorted = computed(() => {
  const { choices = [], suggested } = taking.value ?? {}
  const rank = (choice: Choice): number => (choice === suggested ? -1 : nearness.indexOf(choice.near))
  return choices.toSorted((a, b) => rank(a) - rank(b))
})
const whole = computed(() => sorted.value.filter(({ near }) => near !== 'inPart'))
const inPart = computed(() => sorted.value.filter(({ near }) => near === 'inPart'))
/** Whether it is kept on their page as what they like to take in place of the pose. */
const isLiked = computed(() => taking.value?.does?.near === 'liked')
const shorter = computed(() => (taking.value ? shorterWords(taking.value) : ''))
</script>

<template>
  <template v-if="taking && block && person">
    <p class="eyebrow">{{ blockName(block) }} · {{ nameOf(person.comer.id) }}</p>
    <h2>{{ taking.does ? formName(taking.does) : capital(takingLine(taking)) }}</h2>
    <p v-if="shorter">{{ shorter }}</p>
    <p v-if="taking.isNew" class="note">New to this pose: half of what is usual at first, shown to them first.</p>
    <p v-if="taking.planned.pastStage" class="note">
      What is held or pumped here is past their stage of the breath ladder ({{ person.comer.person.breathStage ?? 2 }}),
      which is noted on their page.
    </p>
    <p v-if="gate" class="gate">{{ gate }}</p>
    <div v-for="reason in reasons" :key="`${reason.lead}${reason.instead}`" class="reason" :class="reason.grade">
      <p>
        <CautionMark :grade="reason.grade" /> <b>{{ reason.lead }}.</b> {{ reason.instead }}.
      </p>
      <small>Why: {{ reason.why }}.</small>
    </div>
    <p v-if="taking.planned.verdict.tooFelt" class="note">
      A new ache nobody has looked at: only quiet forms. Have it looked at.
    </p>
    <template v-if="taking.choices.length > 0">
      <h3>Instead</h3>
      <ul>
        <li v-for="choice in whole" :key="formName(choice)">
          <button type="button" :aria-pressed="isTaken(choice)" @click="choose(taking, choice)">
            {{ formName(choice) }} <small>{{ choiceAbout(choice, choice === taking.suggested) }}</small>
          </button>
        </li>
      </ul>
      <details v-if="inPart.length > 0">
        <summary>{{ inPart.length }} more, of which a caution asks for something else</summary>
        <ul>
          <li v-for="choice in inPart" :key="formName(choice)">
            <button type="button" :aria-pressed="isTaken(choice)" @click="choose(taking, choice)">
              {{ formName(choice) }} <small>{{ choiceAbout(choice, false) }}</small>
            </button>
          </li>
        </ul>
      </details>
      <p class="note">{{ chosenWords(taking) }}</p>
      <LineField
        v-if="taking.chosen"
        label="Why"
        :text="taking.chosen.why ?? ''"
        :most="textLimits.line"
        hint="kept with the class"
        @change="sayWhy(taking, $event)"
      />
      <span class="acts">
        <Button
          v-if="taking.chosen"
          size="small"
          text
          severity="secondary"
          label="As suggested again"
          @click="leaveOpen([taking])"
        />
        <Button
          v-if="person.comer.isNamed && taking.planned.pose && taking.does"
          size="small"
          text
          severity="secondary"
          :label="isLiked ? 'No longer what they like' : 'What they like to take'"
          title="Kept on their page, and suggested first in every class"
          @click="like(taking, !isLiked)"
        />
      </span>
    </template>
    <section v-if="offer" class="part">
      <h3>Said to everybody at the set-up</h3>
      <p>“{{ offer }}”</p>
      <p class="note">No name and no number is said or shown in the room.</p>
    </section>
  </template>
</template>

<style scoped>
h3 {
  margin: 12px 0 4px;
}
.reason {
  margin-top: 6px;
  padding: 6px 10px;
  border-left: 4px solid var(--care);
  border-radius: 4px;
  background: var(--care-wash);
}
.reason.avoid {
  border-color: var(--avoid);
  background: var(--avoid-wash);
}
.reason.modify {
  border-color: var(--modify);
  background: var(--modify-wash);
}
.gate {
  margin-top: 6px;
  font-size: 14.5px;
}
ul {
  display: grid;
  gap: 4px;
}
li button {
  width: 100%;
  padding: 6px 10px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
li button[aria-pressed='true'] {
  border-color: var(--ink);
  outline: 1px solid var(--ink);
  background: var(--chosen-wash);
}
small {
  display: block;
  font-size: 14px;
  color: var(--ink-soft);
}
details {
  margin-top: 6px;
}
summary {
  cursor: pointer;
  font-size: 14.5px;
}
.note {
  margin-top: 6px;
  font-size: 14.5px;
  color: var(--ink-soft);
}
.acts {
  display: flex;
  flex-wrap: wrap;
}
.part {
  margin-top: 12px;
  border-top: 1px solid var(--line-soft);
}
</style>
