/** Ends every cue that asks for stillness; no setting removes it [decisions]. */
export const ifAnythingTingles = 'move if anything tingles or hurts'
/** Added to every cue that asks for a roll; no setting removes it [decisions]. */
export const orPreferred = 'or the side you prefer'
