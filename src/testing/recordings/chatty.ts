import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 So I wanted to tell you about my grandmother, who never in her life sat on a yoga mat.
0:07 She would sit by the stove in the evening with her hands in her lap, and you could not get a word out of her.
0:15 I used to think she was asleep. She was not. She heard everything we said about her.
0:23 And I think about that when people ask me what this practice is for. I don't have a clever answer.
0:32 The tradition has many, and some of them are beautiful, but I was never very good at remembering them.
0:41 Anyway. That is enough from me for the moment, though I warn you, there is more.
0:50 Lie down on your back with your knees bent and your feet flat on the floor.
0:58 Cross your right ankle over your left knee. This is figure four.
1:06 Reach through and hold the back of the left thigh, or leave the foot down. You choose. Settle in here.
1:16 My grandmother had a chair by that stove, and the chair had one leg that was shorter than the others.
1:24 Everybody in the family knew it, and nobody mended it, and she would rock a little without noticing.
1:33 I asked her once why she did not have it fixed. She said then she would have nothing to do.
1:42 I think about that in these shapes. There is always one leg that is shorter.
1:51 We want to get up and mend it. And here we are, with nothing to do but feel it.
2:00 So where are you gripping? In the face? In the hands? Is there a little bit you could give back to the floor?
2:12 And the breath comes and goes, and nobody asked it to.
2:40 You may find that what was strong a minute ago is less now, or has gone elsewhere.
3:20 Stay with it.
3:58 All right. Let go of the leg and uncross it. Put both feet down.
4:06 Let the knees go from side to side like a slow pendulum.
4:20 And we change sides. Left ankle over the right knee now.
4:28 Hold behind the right thigh, and settle in again.
4:40 She also kept one drawer that nobody was allowed to open. After the funeral we opened it, of course.
4:50 It was full of string. Pieces of string, sorted by their length, and one box with a label in her hand.
5:00 The label said: pieces too short to use.
5:08 I have thought about that for twenty years, and I still don't know what to say about it.
5:30 Notice which side is different tonight, without having to mend it.
6:20 One more minute.
7:16 Release the leg slowly. Both feet to the floor, and rest for a few breaths with the knees together.
7:50 Now let both knees fall over to the left for a twist, and open the right arm out along the floor.
7:58 A blanket between the knees if there is a gap. Stay here for three minutes.
8:40 And the weight of the legs does all of it.
10:58 Bring the knees back to the middle, one at a time.
11:04 Then both knees over to the right, and the left arm opens out. Three minutes.
12:30 Still here.
14:08 And slowly bring the knees back to the middle. Hug them in.
14:16 That's all from me tonight. Thank you for listening to an old story, and get home well.
`

export const chatty: Recording = {
  name: 'chatty',
  captions: captionsOf(script),
  holds: [
    { startS: 72, endS: 238, poseId: 'figure-four-lying', side: 'right' },
    { startS: 272, endS: 436, poseId: 'figure-four-lying', side: 'left' },
    { startS: 480, endS: 658, side: 'left', announcedS: 180 },
    { startS: 670, endS: 848, side: 'right', announcedS: 180 },
  ],
  talk: [[0, 48]],
}
