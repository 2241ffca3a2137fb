import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 [Music]
0:12 Right, everybody, can you hear me at the back? Lovely. Shoes off or on, as you please.
0:22 We are all on chairs today, and nobody has to get down on the floor.
0:30 Sit to the front of the chair, feet flat, hands on your thighs.
0:38 Just sit there a minute and listen to the room.
1:40 Good. Now, circle the shoulders back, and again, and again.
1:52 And the other way, forwards.
2:10 Take hold of the seat with your left hand, and let the right ear come towards the right shoulder.
2:20 Stay there for five breaths.
2:52 Bring the head up. Other side: right hand holds the seat, left ear to the left shoulder.
3:04 And five breaths.
3:36 Head up. Lovely.
3:42 (somebody laughs) Yes, Ron, it cracks. Mine does as well.
3:50 Feet wide. Lean forward with your forearms on your thighs, and let the head hang.
4:02 Or take a cushion on your lap and rest on it. We will stay for two minutes.
5:00 The breath goes into your back.
6:06 Hands on your knees and slowly push yourself up. Head last.
6:16 Sit a moment. If you are giddy, tell me.
6:40 Cross the right ankle over the left knee, or only over the left shin.
6:50 Sit tall. If you want more, lean forward a little. A minute and a half, please.
7:30 You can hold the back of the chair.
8:24 Uncross, put the foot down, shake it.
8:32 And the left ankle over the right knee.
8:40 Sit tall again, and the same minute and a half.
10:12 And uncross.
10:18 Now turn your chair to face the wall. Mind the legs of the chairs.
10:34 Put both feet up on the second chair in front of you, straight legs.
10:48 Lean back. We are here for three minutes, so put a blanket on if you want one.
12:00 Margaret asked last week why we do it. My answer is that the legs carry you all day, and this once they need not.
12:14 And it is pleasant.
13:50 Bend the knees and put the feet down, one after the other.
14:00 Sit and feel the feet on the floor for a few breaths.
14:20 Hands on the belly. We breathe in for three, and out for four.
14:28 In, two, three. Out, two, three, four.
14:36 In, two, three. Out, two, three, four.
14:44 In, two, three. Out, two, three, four.
15:20 And stop counting.
15:30 Close your eyes and rest. Four minutes and then it is tea.
19:34 Open your eyes. Stretch if you like. Thank you all, and mind the step.
`

/** A class on chairs: a room that answers, breaths for a clock, and hardly a pose with a name. */
export const chairs: Recording = {
  name: 'chairs',
  captions: captionsOf(script),
  holds: [
    { startS: 140, endS: 172, side: 'right' },
    { startS: 184, endS: 216, side: 'left' },
    { startS: 242, endS: 366, announcedS: 120 },
    { startS: 410, endS: 504, side: 'right', announcedS: 90 },
    { startS: 520, endS: 612, side: 'left', announcedS: 90 },
    { startS: 648, endS: 830, announcedS: 180 },
  ],
  talk: [
    [12, 29],
    [223, 229],
  ],
}
