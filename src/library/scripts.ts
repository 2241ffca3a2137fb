import type { NamedScript, Sentence } from '#model/script'

/** A part of a script: its name, and each of its sentences with the seconds of quiet after it. */
const part = (name: string, ...lines: readonly (readonly [text: string, pauseAfterS: number])[]): Sentence[] =>
  lines.map(([text, pauseAfterS], at) => ({ text, pauseAfterS, ...(at === 0 ? { part: name } : {}) }))

const script = (id: string, name: string, before: readonly Sentence[], after: readonly Sentence[]): NamedScript => ({
  ...{ id, name },
  sentences: [...before, ...after],
  quietAfter: before.length,
})

const bodyScan = script(
  'body-scan',
  'Body scan, feet to face',
  [
    ...part(
      'Arriving',
      ['Let the floor carry everything that lies on it.', 6],
      ['There is nothing to do in the next minutes; what you hear, you can follow or let pass.', 8],
    ),
    ...part(
      'Feet',
      ['Bring your attention to the feet: heels, soles, and each toe.', 6],
      ['Let them fall as they fall.', 8],
    ),
    ...part(
      'Legs',
      ['Up the calves, around the knees, along the thighs.', 6],
      ['Feel how heavy the legs are, and how little they need you.', 8],
    ),
    ...part(
      'Pelvis',
      ['The back of the pelvis is wide, and it is held.', 6],
      ['Let the buttocks and the groins go quiet.', 8],
    ),
    ...part('Belly', ['The belly moves with the breath, up and down, without help.', 6], ['Leave it soft.', 8]),
    ...part('Back', ['Feel where the back touches what is under it, and where it does not.', 6], ['Both are fine.', 8]),
    ...part('Chest', ['The ribs open and close, at the front, at the sides, at the back.', 8]),
    ...part(
      'Hands and arms',
      ['From the shoulders down to the finger tips, let the arms be laid down.', 6],
      ['The hands hold nothing.', 8],
    ),
    ...part('Neck and throat', ['The weight of the head goes into its support; the throat is free.', 8]),
    ...part(
      'Face',
      ['The jaw loosens, the tongue lies in the mouth.', 6],
      ['The eyes sink back, the forehead widens.', 8],
    ),
    ...part('The whole body', ['Feel all of it at once, as one thing that is breathing.', 10]),
  ],
  part(
    'Coming back',
    ['Hear the room again, near sounds and far ones.', 8],
    ['Let the breath become a little fuller, when it wants to.', 8],
    ['Stay until you are told how to come out, there is time.', 4],
  ),
)

const settling = script(
  'settling-to-the-breath',
  'Settling to the breath',
  [
    ...part(
      'The seat',
      ['Let the weight go down into what you sit or lie on.', 6],
      ['If anything presses or pulls, change it now.', 10],
    ),
    ...part(
      'Where it is felt',
      ['Notice that you are breathing, without making it better.', 8],
      ['Where is it felt most: the nose, the ribs, the belly?', 10],
      ['Stay with that place.', 12],
    ),
    ...part(
      'In and out',
      ['An inhale begins by itself, and ends by itself.', 10],
      ['An exhale leaves, and for a moment nothing is needed.', 12],
      ['When you find that you are thinking, that is fine; the next breath is there.', 12],
    ),
  ],
  part(
    'On from here',
    ['Feel the place where you sit once more.', 6],
    ['Keep a little of this quiet in what comes next.', 4],
  ),
)

const closing = script(
  'a-closing',
  'A closing',
  [
    ...part(
      'Lying down',
      ['This is the last rest of the class, and it belongs to you.', 6],
      ['Let the breath go its own way, with no count and no task.', 8],
    ),
    ...part(
      'What was',
      ['Everything that was done today may sink in.', 8],
      ['What worked is here, what did not work may go.', 8],
      ['You need not remember any of it.', 8],
    ),
  ],
  part(
    'Before coming up',
    ['The rest comes to its end, and there is no hurry.', 8],
    ['Notice how you are now, whatever that is.', 8],
    ['In a moment the fingers and toes may begin to move.', 4],
  ),
)

/** The scripts that ship: each is a copy once it stands in a block, and can be changed there. */
export const shippedScripts: readonly NamedScript[] = [bodyScan, settling, closing]
