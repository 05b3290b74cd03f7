/** A part of the guide: what it is about, what is said, and which of the app's pictures goes with it. */
export interface GuidePart {
  title: string;
  paragraphs: readonly string[];
  /** Name of a picture in public/guide/, and what is to be seen on it. */
  picture?: { name: string; label: string };
}

/** The guide, in the order of a first day. The same text stands in docs/guide.md. */
export const GUIDE: readonly GuidePart[] = [
  {
    title: 'A first evening',
    paragraphs: [
      'Open Boat and say what is fitted: transducers, screen, where things stand. Ten minutes are enough, and you can change it later.',
      'Open Plan. Tap each part of the sentence: fish, depths, water, how you fish. The card below is your start setup.',
      'Tap a line of the card to see its reason and the other ways people set it. Hold a line at your own value if you know better.',
      'Take it to the bench. The simulator draws what your sounder would draw. Turn dials until the fish stand out, and see what each turn costs.',
    ],
    picture: { name: 'plan', label: 'Plan: the brief as a sentence, what to expect, and the card' },
  },
  {
    title: 'A first day on the water',
    paragraphs: [
      'Open Deck. It shows the setup five lines a page. Set them on your unit and tick them off.',
      'Tap Data to use the phone’s position, your boat’s network, or the simulated boat for practice.',
      'See something? Press Mark, touch where it is on the screen bar, and say what it is. The app works out where the transducer was then.',
      'Before you know, make a call and say how sure you are. Later one tap tells how it came out.',
      'One person steers, and does not tune. Keep a look-out. The app is not for navigation.',
    ],
    picture: { name: 'deck', label: 'Deck: the setup in use, large' },
  },
  {
    title: 'What each screen is for',
    paragraphs: [
      'Plan: a start setup for a depth and a fish, with reasons.',
      'Tune: the bench, where every dial can be turned over water whose truth is known.',
      'Read: what the marks are, why, and what else they could be. It takes passes, recordings and pictures of your own screen.',
      'Deck: one hand on the water: setup, marks, the way back, lure and spot clock.',
      'Log: what the days taught, tomorrow’s card, and what you saved.',
      'Train: short drills on made water, on your own rig and tomorrow’s depth.',
      'Boat: your rig’s numbers, and answers for any depth.',
    ],
    picture: { name: 'read', label: 'Read: marks outlined, each with its reason' },
  },
  {
    title: 'How to read confidence',
    paragraphs: [
      'The reader says how sure it is, as a share. Of marks it calls 80 % sure, about eight of ten should be right. On water it does not know it is less.',
      '“Likely 30–70 %” is an interval: the true share lies in it nineteen times of twenty. With few answers it is wide. That is honest, not a fault.',
      'Every call has a rival. Do the one thing that tells them apart before you trust it: pass again, change the beam, drop on it.',
      'The app reads marks. It never knows the kind of fish.',
    ],
  },
  {
    title: 'Train',
    paragraphs: [
      'Ten rounds take about three minutes. Answer, say how sure you are, and see the water cut open at once.',
      'What you get wrong comes again sooner. Rounds grow harder as you get them right.',
      'Give a sitting to someone as a link or a file, and compare your answers.',
    ],
    picture: { name: 'train', label: 'A drill after its answer: the picture, the truth and why' },
  },
  {
    title: 'Your data',
    paragraphs: [
      'Nothing leaves the device. There is no account, and the app asks no other computer for anything.',
      'All of it lies in this browser. Clearing the browser’s data deletes it. In the menu under Saved on this device you save a backup and bring one in.',
      'A backup from another device comes in beside what is here. Where two differ, both are kept.',
    ],
  },
  {
    title: 'To have it on a phone, and to host it',
    paragraphs: [
      'Open the address once, then add it to the home screen. After that it works with no signal.',
      'The folder dist/ runs from any web server with https. Without https a browser gives no tilt sensor and does not keep the app.',
      'On the boat, npm run serve with --feed and the address of your network gives Deck depth, speed and position. Only pages of that server can listen.',
      'With --call-out a guest opens /call-out on a second phone and sees what you call out from Deck, Spot.',
    ],
  },
];
