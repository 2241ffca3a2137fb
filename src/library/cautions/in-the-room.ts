/** What a teacher has at hand in the room: the reference's sections 3.1 and 4. */
export const backOff = {
  what: 'Ease by a fifth to a half, or add a prop',
  signs: [
    'pinching, shaking or burning',
    'jaw or breath tightening, an urge to brace',
    'a stretch felt in a joint instead of the muscle',
    'a sensation still rising after 30 to 60 seconds',
  ],
} as const

export const comeOutNow = {
  what: 'Come out now; if it does not fade within 2 to 3 minutes, or returns, no more today: see a professional',
  signs: [
    'tingling, numbness, cold or a change of colour',
    'electric or sharp pain, any joint pain, pain that travels down a limb',
    'dizziness, nausea, headache, pressure in the eyes',
    'held or ragged breath, panic, a blank or far-away feeling',
    'womb tightening',
  ],
} as const

export const emergency = {
  what: 'Emergency: call your local number',
  signs: [
    'chest pain, collapse, a fit',
    'a drooping face, a weak limb, trouble speaking; sudden worst headache',
    'breathlessness that does not settle; loss of sight',
    'numbness between the legs, a change of bladder or bowel; one hot swollen leg',
    'in pregnancy bleeding, fluid or fewer movements: the maternity line or emergency',
    'a hard painful hernia; sudden deformity; a wish to harm oneself',
  ],
} as const

export const firstAid = [
  'Follow your local training.',
  'Faint: lay flat, legs up; not in pregnancy (on the left side), not when breathless or with heart failure (sit up), not when hurt. Not awake within a minute or not breathing normally: emergency call, resuscitate.',
  'Low sugar: sugar only if awake and swallowing.',
  'Fit: clear space, time it, do not restrain, on the side when movements stop; call if first, over 5 minutes, repeated, injured, diabetic or pregnant.',
] as const

/** The full order belongs to the closing; between poses coming out takes 0:10 to 0:30. */
export const comingOutOrder = [
  'open the eyes or let light in',
  'fuller natural breath',
  'fingers and toes',
  'bend the knees or slide the limbs in, hands helping',
  'take props away',
  'roll to the side a person’s reasons prefer',
  'rest 30 to 60 seconds; 2 minutes with low pressure, dizzying medicine, elders or pregnancy',
  'press up with the hands, head last',
  'sit one minute, then stand near a wall',
] as const

export const comingOutByShape = [
  'Legs up: bend the knees to the chest, roll, never drop the legs.',
  'Pelvis raised: lift, slide the prop out, lower.',
  'Folds: hands walk up, the spine lengthens, head last.',
  'Lunges and folded shins: hands take the weight first.',
  'Twists: unwind slowly, 30 seconds in the middle.',
  'Kneeling: lean forward, free one shin at a time.',
  'Head low: a pause half-way.',
  'After each hold 30 to 60 seconds of neutral rest; a mild opposite move, never a forceful one.',
] as const

export const warmAndCold = [
  'Warm tissue gives false range; cold tissue resists: a small warm-up, then holds at 60–80 % of range.',
  'Long stillness cools the body: blanket, socks.',
  'No heated room in pregnancy or with heart disease, high or low blood pressure, epilepsy, diabetes, dizzying medicine, migraine, under 18 or when frail.',
  'No deep stretch straight after hard exercise, or while painkillers, numbing drugs or alcohol mask warning pain.',
] as const

export const youngAndOld = [
  'Under 18: a guardian’s consent; never alone behind a closed door; half holds; no strong breath, inversions, locks, heavy weights or deep passive end range; no fasting; no long silent inward focus.',
  'About 65 and over, or frail: chair first, wall near, floor only if they can rise; assume low bone density, faintness on rising and dizzying medicine until asked; head padded; slower cues, larger print, louder sound; no neck extremes.',
] as const

export const beforeBreathWork = [
  'Ask for food, nose, dizziness, fever, new medicine, pregnancy, recent surgery.',
  'Through the nose unless blocked or the technique says otherwise; loose waist and collar; the back carried if needed.',
  'Never in or near water, driving, in hot rooms, or after alcohol.',
  'Strong techniques never lying down; never rapid breathing followed by a pause: it can end in a sudden blackout.',
  'People with diabetes eat and take their medicine as prescribed: the food gap yields, strong techniques are left out instead.',
  'Any stop sign: let go at once, natural breath, eyes open, three minutes at least, no second try today. Never breathe into a bag.',
] as const

/** Where the evidence is weakest; such cautions are marked as teaching custom. */
export const weakestEvidence =
  'Hold times, breath counts and stages, rules for menstruation, the side to roll to, gentle twists in early pregnancy, "releasing stored emotion", and what a long exhale does to mood rest on custom more than on evidence.'
