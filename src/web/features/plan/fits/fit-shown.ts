import { ref } from 'vue'

/** Whether the fits are shown: opened by a key, from the bar, from a finding. */
export const fitShown = ref(false)

/** What of them: ways to the length, or another order. */
export type FitView = 'length' | 'order'
export const fitView = ref<FitView>('length')

/** Shows the fits: the ways to the length unless the order is asked for. */
export function showFits(view: FitView = 'length'): void {
  fitView.value = view
  fitShown.value = true
}
