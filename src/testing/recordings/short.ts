import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:02 Today: hips. You need two blocks.
0:06 I will say when to move. Otherwise, please don't.
0:14 Table top.
0:18 Right knee to the right wrist, shin across, left leg back: swan.
0:26 Fold.
0:30 Four minutes on the clock.
2:00 If your knee complains, come off.
2:30 If it does not complain, be grateful to it.
4:34 Hands under you. Up.
4:42 Tuck the toes, table top.
4:50 Left side. Left knee to left wrist.
5:00 Fold. Four minutes.
9:04 Up. Table top.
9:16 Shoelace. Sit back between your heels, left knee over right knee.
9:30 Sit on a block if you are crooked.
9:36 Fold. Three minutes.
12:40 Up. Legs forward. Shake.
12:54 Right knee on top.
13:04 Three.
16:10 Up.
16:20 Squat. Heels down or on the blanket.
16:26 One minute.
17:28 Sit. Hands behind you. Look at the ceiling.
17:40 Two breaths.
17:50 Lie down. Savasana. Five minutes.
22:50 Sit up. Finished.
`

export const short: Recording = {
  name: 'short',
  captions: captionsOf(script),
  holds: [
    { startS: 28, endS: 274, poseId: 'folded-pigeon', side: 'right', announcedS: 240 },
    { startS: 302, endS: 544, poseId: 'folded-pigeon', side: 'left', announcedS: 240 },
    { startS: 576, endS: 760, poseId: 'stacked-knees', side: 'left', announcedS: 180 },
    { startS: 780, endS: 970, poseId: 'stacked-knees', side: 'right' },
    { startS: 984, endS: 1048, poseId: 'low-squat', announcedS: 60 },
  ],
  talk: [[2, 12]],
}
