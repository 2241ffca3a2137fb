/** The wording of the cautions reference, section 6. */
export const disclaimer =
  'This tool lists common cautions for teachers. It is not medical advice, cannot judge a person, and is incomplete. A missing warning does not mean a practice is suitable. Your student’s own doctor, midwife or other licensed professional decides; where they disagree with this tool, follow them. When unsure, leave it out and ask. In an emergency, call your local emergency number.'

export const teacherPrompt =
  'Tell me privately about anything that could affect how you move, rest or breathe. You may leave it unsaid, skip anything, or stop without giving a reason.'

export const noCautionListed =
  'No usual caution is listed here for what you entered. That is not a green light. Ask, watch, and check with a professional if in doubt.'

export const stopCard = {
  lead: 'Ease out, breathe as you like and tell the teacher if you notice:',
  signs: [
    'pain that is sharp, in a joint, or runs along an arm or leg; tingling, numbness or a cold limb',
    'dizziness, sickness, headache, pressure in the eyes or ears, blurred sight',
    'a breath you have to hold, chase or force; a pounding or skipping heart',
    'fear, panic, or feeling far away; or simply a clear wish to stop',
  ],
  comingOut: 'Come out slowly: bend, roll, pause, hands down, head last.',
  emergency:
    'Get emergency help for chest pain, fainting, trouble breathing, sudden severe headache, weak face or limb, confused speech, a fit, sudden sight loss, or bleeding or fluid loss in pregnancy.',
} as const

/** First aid as the card has it; local training stands above it [cautions 4.1]. */
export const firstAid = {
  lead: 'First aid, as your local training has it:',
  lines: [
    'Faint: lie flat, legs up. Not so in pregnancy (on the left side), breathless or with heart failure (sit up), or hurt.',
    'Not awake within a minute, or not breathing normally: emergency call, resuscitate.',
    'Low sugar: sugar only if awake and swallowing.',
    'A fit: clear the space, time it, hold nobody down; on the side once it stops. Call if it is the first, over 5 minutes, comes again, with an injury, with diabetes or in pregnancy.',
  ],
} as const
