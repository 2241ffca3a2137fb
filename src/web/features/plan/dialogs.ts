import { ref } from 'vue'

/** What of the fits is shown: ways to the length, or another order. */
export type FitView = 'length' | 'order'

/** Which dialog stands open over Plan, and what it shows. */
export type OpenDialog =
  | { readonly is: 'fit'; readonly view: FitView }
  | { readonly is: 'balance' }
  | { readonly is: 'keys' }
  /** The session this one is held against; '' while it is still to be chosen. */
  | { readonly is: 'compare'; readonly with: string }

/** One at a time, in this window; closed with the session it speaks of. */
export const openDialog = ref<OpenDialog>()

export const showFits = (view: FitView = 'length'): void => {
  openDialog.value = { is: 'fit', view }
}
export const showCompare = (id: string): void => {
  openDialog.value = { is: 'compare', with: id }
}
export const closeDialog = (): void => {
  openDialog.value = undefined
}
