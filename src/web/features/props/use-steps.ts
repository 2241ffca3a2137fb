import { nanoid } from 'nanoid'
import { computed, ref, watch } from 'vue'
import type { Ref } from 'vue'
import type { HoldBlock, SetUpStep } from '#model/block'
import { changeover } from '#core/handling'
import type { SetUpItem } from '#model/set-up'
import { mirrorText, momentS, storeSideText, withFields } from '#core/session'
import type { FieldsOf } from '#core/session'
import { actionWords } from '#words/handling'
import { capital } from '#words/text'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import type { Used } from './used.ts'

/** A step of the set-up in the hold that is looked at. */
export interface StepSeen {
  readonly id: string
  readonly atS: number
  readonly items: SetUpStep['items']
  /** What is said, as it is said on the first side; absent where nothing is. */
  readonly text: string | undefined
  /** What is done, in words. */
  readonly does: string
}

/** A new step stands so far into what is left of the hold. */
const usualShare = 0.5

/** The steps of the set-up in the hold that is looked at, and which of them is. */
export function useSteps(chosen: Readonly<Ref<Used | undefined>>) {
  const store = useSessionStore()
  const stepId = ref<string>()
  watch(
    () => chosen.value?.key,
    () => (stepId.value = undefined),
  )
  const hold = computed((): HoldBlock | undefined =>
    chosen.value?.block.kind === 'hold' ? chosen.value.block : undefined,
  )
  /** The shorter side's time: a step has to have its place on both. */
  const holdS = computed(() => {
    const resolved = store.timeline?.blocks.find(({ block }) => block.block.id === hold.value?.id)?.block
    return resolved?.kind === 'hold' ? Math.min(...resolved.sides.map((side) => side.holdS)) : undefined
  })
  const steps = computed(() =>
    stepsSeen(hold.value, chosen.value, holdS.value ?? 0, store.document?.level ?? 'regular'),
  )
  const step = computed(() => steps.value.find(({ id }) => id === stepId.value))

  return {
    steps,
    step,
    holdS,
    ...stepActs({ hold, holdS, steps, stepId, startItems: () => chosen.value?.items ?? [] }),
  }
}

interface Seen {
  readonly hold: Readonly<Ref<HoldBlock | undefined>>
  readonly holdS: Readonly<Ref<number | undefined>>
  readonly steps: Readonly<Ref<readonly StepSeen[]>>
  readonly stepId: Ref<string | undefined>
  readonly startItems: () => readonly SetUpItem[]
}

/** Every change of the steps, each an edit of the session. */
function stepActs({ hold, holdS, steps, stepId, startItems }: Seen) {
  const store = useSessionStore()
  const stored = (): readonly SetUpStep[] => hold.value?.steps ?? []
  const secondsOf = ({ at }: SetUpStep): number => momentS(at, holdS.value ?? 0)
  function write(next: readonly SetUpStep[], words: string): void {
    if (!hold.value) return
    const ordered = [...next].sort((a, b) => secondsOf(a) - secondsOf(b))
    const block = withFields<HoldBlock>(hold.value, { steps: ordered.length === 0 ? undefined : ordered })
    store.edit({ type: 'replace', block }, words)
  }
  function changeStep(by: FieldsOf<SetUpStep>): void {
    write(
      stored().map((one) => (one.id === stepId.value ? withFields(one, by) : one)),
      'change a step of the set-up',
    )
  }
  return {
    changeStep,
    lookAtStep: (id: string | undefined): void => {
      stepId.value = id
    },
    addStep: (): void => {
      const id = nanoid(8)
      const former = steps.value.at(-1)
      const fromS = former?.atS ?? 0
      const at = { fromStartS: Math.round(fromS + ((holdS.value ?? 0) - fromS) * usualShare) }
      write([...stored(), { id, at, items: [...(former?.items ?? startItems())] }], 'add a step of the set-up')
      stepId.value = id
    },
    /** Written for the left side, as cues are. */
    sayStep: (typed: string): void => {
      const former = stored().find(({ id }) => id === stepId.value)?.text ?? ''
      changeStep({ text: typed.trim() === '' ? undefined : storeSideText(former, typed.trim(), 'left') })
    },
    removeStep: (): void => {
      write(
        stored().filter(({ id }) => id !== stepId.value),
        'leave a step of the set-up out',
      )
      stepId.value = undefined
    },
  }
}

function stepsSeen(
  hold: HoldBlock | undefined,
  used: Used | undefined,
  holdS: number,
  level: Parameters<typeof changeover>[0]['level'],
): readonly StepSeen[] {
  const steps = hold?.steps ?? []
  return steps.map(({ id, at, items, text }, index) => {
    const from = steps[index - 1]?.items ?? used?.items ?? []
    const change = changeover({ from, to: items, level })
    const does = change.ok ? change.value.actions.map(actionWords).join('; ') : ''
    return {
      id,
      atS: momentS(at, holdS),
      items,
      text: text === undefined ? undefined : mirrorText(text, 'left'),
      does: does === '' ? 'Nothing changes yet' : capital(does),
    }
  })
}
