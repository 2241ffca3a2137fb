import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 So, that is the recording light on. Hello to those of you at home.
0:09 It was suggested to me that we do less with the legs this week, and more with the shoulders, after the gardening.
0:20 What is wanted is a chair, two bolsters if you are rich, one if you are not, and all the blankets.
0:32 Has everyone got a chair? Splendid. There's another behind the curtain.
0:44 To begin with, lie yourselves down and put the calves on the seat of the chair.
0:56 Shuffle in until the thighs are more or less straight up. A folded blanket goes beneath the head.
1:10 Somebody will want a weight on the belly, and there is a sandbag going spare.
1:22 There. Now let the chair do it. Seven minutes of that.
3:40 If it gets chilly, say so, and I shall bring a cover.
6:05 The lower back can be as wide as it likes.
8:24 Right. One leg and then the other, feet to the floor, and over on to your side.
8:38 A pause there, please, before you sit.
9:00 Up you come.
9:10 Push the chair away for now, we shall have it back later.
9:22 Take the bolster the long way and place it behind you, with a block under its top end so that it makes a ramp.
9:36 Sit with your bottom right against it, and recline. Arms out, palms to the ceiling.
9:50 The legs may be crossed or straight, I don't mind in the least.
10:00 And five minutes for the chest to remember it has a front.
12:30 No need to breathe in any particular way.
15:02 Draw the knees up, roll off to the right, and push yourselves upright.
15:16 Now then. Side-lying, with the bolster under the waist. Left side down to start.
15:30 Bottom arm long, and take the top arm over the ear until you feel a gentle pull.
15:44 Four minutes, and I'll say when.
17:20 You might bend the knees more if you wobble.
19:46 That's time. Press the top hand into the floor and come up sideways.
20:00 And round we go, right side down, please, exactly as you were.
20:16 Top arm over. Four minutes once more.
21:40 Lovely and quiet.
24:18 That's time. Hand to the floor, and up.
24:30 A little drink of water, those who want it. My sister rang this morning to say the swallows are back on the farm.
24:44 They come from the other end of the world and find the same barn, and I can't find my spectacles.
24:58 Well. Bolster across the mat for a simple forward bend over it. Sit with your legs crossed and the chair in front of you.
25:14 Fold the arms on the seat and lay the forehead on top.
25:26 Three minutes this way, and then we swap the shins.
28:30 Lift your head, change the cross of the legs, and down again.
28:44 Three more minutes.
31:46 Sit up, slowly. Blink.
31:56 And so to lying down flat. Everything you own under the knees and over the top of you. Quite dark if we can. Ten minutes, and I shan't say a word.
42:10 Come back in your own time. Wriggle something small. That's us. Good night.
`

/** A restorative evening in another way of speaking: what is done is hardly ever told as it is in the others. */
export const evening: Recording = {
  name: 'evening',
  captions: captionsOf(script),
  holds: [
    { startS: 84, endS: 504, announcedS: 420 },
    { startS: 602, endS: 902, announcedS: 300 },
    { startS: 946, endS: 1186, announcedS: 240 },
    { startS: 1218, endS: 1458, announcedS: 240 },
    { startS: 1528, endS: 1710, announcedS: 180 },
    { startS: 1724, endS: 1906 },
  ],
  talk: [
    [0, 43],
    [1472, 1497],
  ],
}
