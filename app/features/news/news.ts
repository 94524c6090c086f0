interface News {
  /** The day of the version. */
  on: string;
  title: string;
  points: { text: string; to?: string; where?: string }[];
}

/** What is new, newest first, in the user's words: what one can do now, and where. */
export const NEWS: readonly News[] = [
  {
    on: "2026-12-02",
    title: "Nothing typed is lost",
    points: [
      { text: "Forms keep every keystroke: over a reload, a press on Today, a browser that was killed." },
      {
        text: "A horse, yard or visit that is in the records twice is made one with a press.",
        to: "/files",
        where: "Files",
      },
      {
        text: "A photograph without room in the browser stays in the page, and can be saved as a file.",
      },
      {
        text: "The card has a spot that tells a mirrored picture. Older prints are read as before.",
        to: "/card",
        where: "The card",
      },
      {
        text: "Any number of yards on the board; what is pinned stays; booked times lie between jobs.",
        to: "/rounds",
        where: "Rounds",
      },
    ],
  },
  {
    on: "2026-11-30",
    title: "Two devices, files that never lose",
    points: [
      {
        text: "Bring the phone’s backup in on the laptop: what is new on either side comes together, and what both changed is asked, value by value.",
        to: "/files",
        where: "Files",
      },
      {
        text: "Backups write themselves into a folder of yours, or go behind a passphrase.",
        to: "/files",
        where: "Files",
      },
      {
        text: "Every table leaves as CSV with its units; what each file holds is written down.",
        to: "/files",
        where: "Files",
      },
      {
        text: "Today says what stands in this browser alone, once that is much, and if the browser has thrown it away.",
      },
      { text: "A first day in five steps, with your own horse." },
      { text: "A tab with something half typed stays as it is when another changes over to a new version." },
    ],
  },
  {
    on: "2026-11-29",
    title: "The picture reads itself",
    points: [
      { text: "The card finds itself; after three taps the other marks are suggested, each with its doubt." },
      {
        text: "Pictures are taken inside Plumbline: slant, distance and light are told, and the shutter goes by itself.",
      },
      {
        text: "The lens of your camera, from five pictures of the printed card.",
        to: "/card",
        where: "Scale card",
      },
      {
        text: "Rooms to practise measuring, reading, cutting and stock lengths.",
        to: "/practice",
        where: "Practice",
      },
    ],
  },
];
