import { addDays, type IsoDate } from "~core/calendar/date";
import type { Case } from "~core/case/caseRecord";
import type { Limb } from "~core/foot/limb";

/** What a made-up case is written down from: the day that the demo is made for, and its horse's visits. */
interface CaseDays {
  today: IsoDate;
  /** The nth last visit, 1 = the last. */
  back: (n: number) => IsoDate;
}

type CasePlan = (days: CaseDays) => Omit<Case, "id" | "horseId" | "vetAgreed" | "reopened" | "status">;

const FRONT: Limb[] = ["LF", "RF"];
const nothingTold = { drugs: "", feed: "", metabolic: "" };
const logged = (...entries: [on: IsoDate, by: string, says: string][]): Case["log"] =>
  Object.fromEntries(entries.map(([on, by, says], at) => [`entry-${at + 1}`, { on, by, says }]));

/** The cases of the demo round, by horse. */
export const CASES: Readonly<Record<string, CasePlan>> = {
  // A staged raise that has done its work: ready to leave its stage.
  "Major Oak": ({ today, back }) => ({
    kind: "sore heels",
    title: "Sore heels in front",
    feet: FRONT,
    lead: "vet",
    vet: "Tamsin Rookhope, 00000 100201",
    opened: back(3),
    onset: addDays(back(3), -40),
    prescription: {
      by: "Tamsin Rookhope, vet",
      written: back(3),
      until: addDays(today, 48),
      feet: FRONT,
      says: "Raised and straight bar until the heels are within 5° of the wall, then level.",
      weeks: 6,
      type: "straight bar",
      toeEdge: "rolled",
      raiseDeg: 3,
    },
    stages: [
      {
        id: "raised",
        name: "Raised 3°, straight bar",
        says: "The raise is temporary: it comes out as soon as the heels carry.",
        feet: FRONT,
        shoeings: 3,
        asks: { type: "straight bar", toeEdge: "rolled", raiseDeg: 3 },
        exit: [
          { kind: "heels like wall", within: 5 },
          { kind: "stands on it", visits: 2 },
          { kind: "shoeings", least: 3 },
        ],
      },
      {
        id: "level",
        name: "Level, straight bar",
        says: "",
        feet: FRONT,
        shoeings: 2,
        asks: { type: "straight bar", toeEdge: "rolled", raiseDeg: 0 },
        exit: [{ kind: "axis straight", within: 2 }, { kind: "vet agrees" }],
      },
      {
        id: "plain",
        name: "Plain, rolled toe",
        says: "",
        feet: FRONT,
        asks: { type: "plain", raiseDeg: 0 },
        exit: [],
      },
    ],
    moves: {},
    progress: FRONT.flatMap((limb) => [
      { name: "heel angle" as const, limb },
      { name: "axis" as const, limb, target: 0 },
    ]),
    log: logged(
      [
        back(3),
        "Tamsin Rookhope",
        "Sore to heel tests in both fronts. Raise, bar, rolled toe; see again in six weeks.",
      ],
      [back(2), "", "Lands flat at the walk again. Owner keeps him on a soft surface."],
      [back(1), "", "Heels stand up. Vet to be asked whether the raise may come out."],
    ),
    told: { ...nothingTold, drugs: "None since the second shoeing, the owner says." },
  }),
  // Under a plan with films at two dates.
  Damson: ({ today, back }) => ({
    kind: "laminitis",
    title: "Laminitis, both fronts",
    feet: FRONT,
    lead: "vet",
    vet: "Tamsin Rookhope, 00000 100201",
    opened: back(4),
    onset: addDays(back(4), -9),
    prescription: {
      by: "Tamsin Rookhope, vet",
      written: back(4),
      until: addDays(today, 40),
      feet: FRONT,
      says: "Trim to the radiographs, toe back, heels down only as the sole allows. Films again before the toe is shortened.",
      weeks: 5,
      type: "bare",
    },
    stages: [
      {
        id: "sole",
        name: "Sole first",
        says: "Nothing off the sole. Heels as the film allows.",
        feet: FRONT,
        shoeings: 4,
        asks: { type: "bare" },
        exit: [
          { kind: "sole depth", least: 13 },
          { kind: "capsule rotation", within: 4 },
          { kind: "vet agrees" },
        ],
      },
      {
        id: "toe",
        name: "Toe back to the bone",
        says: "",
        feet: FRONT,
        asks: {},
        exit: [],
      },
    ],
    moves: {},
    progress: FRONT.flatMap((limb) => [
      { name: "palmar angle" as const, limb, target: 8 },
      { name: "sole depth" as const, limb, target: 13 },
      { name: "capsule rotation" as const, limb, target: 0 },
    ]),
    log: logged(
      [back(4), "Tamsin Rookhope", "Films of both fronts. Soaked hay, no grass."],
      [back(2), "", "Walks out of the box by herself."],
      [addDays(today, -12), "Tamsin Rookhope", "Films again: better, not there yet."],
    ),
    told: {
      drugs: "As the vet gave them, five days",
      feed: "Soaked hay, no grass",
      metabolic: "Tested, under treatment",
    },
  }),
  // A resected wall followed in pictures.
  Mossback: ({ back }) => ({
    kind: "resected wall",
    title: "Resected quarter",
    feet: ["LF"],
    lead: "farrier",
    vet: "Tamsin Rookhope, 00000 100201",
    opened: back(7),
    surgery: addDays(back(7), -3),
    stages: [
      {
        id: "open",
        name: "Open, unloaded",
        says: "The quarter is left unloaded, clean and dry. No filling while it is soft.",
        feet: ["LF"],
        shoeings: 6,
        asks: {},
        exit: [
          { kind: "defect under", under: 5 },
          { kind: "grown down", least: 50 },
        ],
      },
      { id: "sound", name: "Nailed all round", says: "", feet: ["LF"], asks: {}, exit: [] },
    ],
    moves: {},
    progress: [
      { name: "defect length", limb: "LF", target: 0 },
      { name: "defect below hairline", limb: "LF" },
    ],
    log: logged(
      [back(7), "Tamsin Rookhope", "Undermined wall taken off over the outer quarter, 38 mm high."],
      [back(4), "", "Dry and hard all over."],
    ),
    told: nothingTold,
  }),
  // A prescription that runs out this week.
  Sixpence: ({ today, back }) => ({
    kind: "injury",
    title: "Strained ligament, right fore",
    feet: ["RF"],
    lead: "vet",
    vet: "Osric Penhaligon-Tew, 00000 100202",
    opened: back(2),
    onset: addDays(back(2), -12),
    prescription: {
      by: "Osric Penhaligon-Tew, vet",
      written: addDays(back(2), -2),
      until: addDays(today, 3),
      feet: ["RF"],
      says: "Wide at the heels, support to the bulbs, until scanned again.",
      type: "egg bar",
    },
    stages: [],
    moves: {},
    progress: [],
    log: logged([back(2), "Osric Penhaligon-Tew", "Scan: strain. Box rest, egg bar on the right fore."]),
    told: { ...nothingTold, drugs: "Two weeks, as prescribed" },
  }),
};

/** The cases of one horse of the round, as its visits have gone. */
export function casesOf(name: string, horseId: string, today: IsoDate, visits: readonly IsoDate[]): Case[] {
  const plan = CASES[name];
  if (!plan) return [];
  const back = (n: number): IsoDate => visits.at(-Math.min(n, visits.length)) ?? today;
  return [
    { id: `${horseId}-case`, horseId, status: "open", vetAgreed: {}, reopened: [], ...plan({ today, back }) },
  ];
}

/** How far the heels of a foot were flatter than its wall at the nth last visit, where a case follows it, deg. */
export const HEEL_GAPS: Readonly<Record<string, readonly number[]>> = { "Major Oak": [4, 6.5, 9, 11.5] };

/** At so many last visits the horse stood on the feet of its case quietly; before that it shifted off them. */
export const STOOD_QUIETLY: Readonly<Record<string, number>> = { "Major Oak": 2, Damson: 1 };
