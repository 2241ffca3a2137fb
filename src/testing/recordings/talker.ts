import { captionsOf } from './recording.ts'
import type { Recording } from './recording.ts'

const script = `
0:00 hi loves welcome back to the living room floor it's raining so we're going to be slow
0:06 grab a bolster or two pillows and a blanket and i'll meet you on your mat
0:12 so i've had one of those weeks you know where the list only ever gets longer
0:18 and my neighbour said to me you should try doing less and i laughed because that's my job
0:25 alright let's begin on our hands and knees
0:29 and from there bring the big toes together and take the knees nice and wide
0:35 sit your hips back toward your heels and slide the bolster under your chest
0:41 turn your head to the right and just let yourself be carried
0:46 so we're gonna be here for about four minutes
0:50 and while you're here i want to tell you about this idea of effort
0:56 because in our culture we think that rest is something you earn
1:02 and the older i get the more i think it's the other way round
1:08 you rest and then there is something to give
1:14 so see if you can notice the weight of your hips
1:20 and the breath moving into the back of the body
1:27 my grandmother used to nap every afternoon at two and nobody was allowed to ring the bell
1:34 and she lived to ninety six so you do the maths
1:40 keep softening through the jaw
2:30 let's turn the head to the other side so the neck is even
2:36 and settle again
2:40 i was reading this book about moss the other day and moss is in no hurry at all
2:47 it waits out a whole summer dry as paper and then one rain and it's green within the hour
2:55 so maybe be moss for a bit
3:40 you have about another minute here
4:20 few more breaths
4:44 okay slowly start to press into your hands and come on up
4:50 shake out your wrists set the bolster off to the side
4:56 and we're going to swing the legs out in front of us
5:02 bend your right knee and place the sole of that foot on the inside of the left thigh
5:09 so left leg is long and you can square yourself to it or not it doesn't matter in yin
5:16 on an exhale start to fold forward over that left leg
5:22 bolster on the leg if you like it there and forehead down
5:28 when you've found your place we stay for three and a half minutes
5:34 and again it's not about how far you go i have students who are bendy as noodles
5:41 and they feel nothing because there's nothing to feel
5:47 and i have others who are a plank like me and for us it's a feast
5:54 so enjoy the feast
6:01 breathing into the hamstring the back of the knee the whole back line
6:40 there's a poem i love it goes something like stay the field is listening
6:47 and i never know who wrote it so if you do put it in the comments
7:30 soften the forehead
8:20 a few breaths left
8:58 gently walk the hands back and roll up
9:04 lean back on the hands straighten out both legs give them a little shake
9:10 and we'll do the second side so left knee bends foot to the inside of the right thigh
9:18 and fold over the right leg
9:24 same three and a half minutes
9:30 and just notice how different this side is
9:36 you know it's funny we expect to be symmetrical and nothing alive is
9:42 trees aren't rivers aren't my car certainly isn't
9:50 so let the sides be different
10:40 let the back be round the head be heavy
11:30 and i'll be quiet for the last bit
12:52 okay coming out of that walking the hands in
12:58 shake the legs out
13:04 and then come all the way down onto your back
13:10 hug the knees in roll a little side to side
13:18 then let both knees drop over to the right arms out in a t
13:26 look to the left if the neck likes it three minutes here
13:34 and the thing with twists is there's nothing to do with the legs they fall by themselves
13:41 the whole job is letting the shoulder be heavy
13:48 i sometimes think of a wet towel thrown over a chair
14:50 breathe into the left ribs
16:20 last few breaths
16:30 bring the knees back through center
16:36 and over to the left arms wide
16:42 gaze to the right
16:48 three minutes again no rush
17:30 i hope the rain is still going wherever you are
18:30 keep letting go
19:44 and back to center hug the knees in
19:52 stretch the legs out long for your savasana
19:58 palms up eyes closed i'll ring the bell in five minutes
24:58 start to bring a little movement to the fingers
25:06 thank you so much for being here i'll see you next week
`

/** Hardly a quiet moment: whoever teaches tells stories through every hold. */
export const talker: Recording = {
  name: 'talker',
  captions: captionsOf(script, true),
  holds: [
    { startS: 46, endS: 284, announcedS: 240 },
    { startS: 328, endS: 538, announcedS: 210 },
    { startS: 564, endS: 772, announcedS: 210 },
    { startS: 806, endS: 990, side: 'right', announcedS: 180 },
    { startS: 1002, endS: 1184, side: 'left', announcedS: 180 },
  ],
  talk: [[0, 24]],
}
