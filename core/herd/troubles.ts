import type { Level } from "../foot/level";
import type { FindKind } from "../foot/wear";
import { signOf, sizeFactor, type FootParameters } from "../foot/parametric/parameters";
import type { Side } from "../foot/limb";
import type { OneFootQuestion } from "../visit/oneFoot";
import type { HerdFoot, HerdPair } from "./soundFeet";

/** A definite trouble: what it does to a sound pair and to what is seen, and which finding has to say so, how loudly. */
export interface Trouble {
  /** How large it is, in words. */
  size: string;
  finding: string;
  levels: readonly Level[];
  shape?: (pair: HerdPair, side: Side) => void;
  seen?: (side: Side) => Partial<OneFootQuestion>;
}

const name = (side: Side) => (side === "medial" ? "Medial" : "Lateral");
const turnFoot = (made: HerdFoot, change: Partial<FootParameters>) => {
  made.foot = { ...made.foot, ...change };
};
const k = ({ mine }: HerdPair): number => sizeFactor(mine.foot);
const axis =
  (deg: number): Trouble["shape"] =>
  ({ mine, other }) => {
    for (const made of [mine, other]) turnFoot(made, { pasternAngleDeg: made.foot.dorsalAngleDeg - deg });
  };
const found = (kind: FindKind, levels: readonly Level[]): Trouble => ({
  size: "placed on the sole",
  finding: `found-${kind.replace(" ", "-")}`,
  levels,
  seen: (side) => ({
    look: { wear: {}, finds: { one: { kind, at: [signOf(side) * 30, 70], note: "" } } },
  }),
});
const heelsApart = (mm: number, side: Side, made: HerdFoot) => {
  const { medial, lateral } = made.foot.heelHeightMm;
  const mean = (medial + lateral) / 2;
  const half = (signOf(side) * mm) / 2;
  turnFoot(made, { heelHeightMm: { medial: mean - half, lateral: mean + half } });
};
const DRIFTING_UP: readonly Level[] = ["drifting", "act"];

/** Troubles at a definite size, that a hand and an eye have to find. Sizes: trade practice, clinically plain. */
export const TROUBLES: Record<string, Trouble> = {
  "broken back": { size: "axis -9°", finding: "broken-back", levels: DRIFTING_UP, shape: axis(-9) },
  "broken forward": { size: "axis +9°", finding: "broken-forward", levels: DRIFTING_UP, shape: axis(9) },
  "underrun heels": {
    size: "heel 16° shallower than the wall",
    finding: "underrun",
    levels: ["act"],
    shape: ({ mine }) => turnFoot(mine, { heelAngleDeg: mine.foot.dorsalAngleDeg - 16 }),
  },
  "run toe": {
    size: "toe 18 mm ahead on a foot of size 1, wall dished 5°",
    finding: "toe-run",
    levels: DRIFTING_UP,
    shape: (pair) => turnFoot(pair.mine, { dishDeg: 5, toeRunMm: pair.mine.foot.toeRunMm + 18 * k(pair) }),
  },
  "long toe": {
    size: "22 mm over its target",
    finding: "toe-long",
    levels: ["act"],
    shape: ({ mine }) =>
      turnFoot(mine, {
        toeLengthMm: mine.foot.toeLengthMm + 22,
        toeRunMm: mine.foot.toeRunMm + 22 * 0.64,
        dishDeg: 0,
      }),
  },
  "dish past dressing": {
    size: "dish 10°",
    finding: "dish-vet",
    levels: ["ask the vet"],
    shape: ({ mine }) => turnFoot(mine, { dishDeg: 10 }),
  },
  "low bone suspected": {
    size: "axis -10°, hairline 32°, heel a quarter of the toe",
    finding: "low-bone",
    levels: ["ask the vet"],
    shape: (pair) => {
      axis(-10)?.(pair, "medial");
      const { mine } = pair;
      mine.hairlineDeg = 32;
      const heel = (mine.foot.toeLengthMm / 4) * Math.sin((mine.foot.heelAngleDeg * Math.PI) / 180);
      turnFoot(mine, { heelHeightMm: { medial: heel, lateral: heel } });
    },
  },
  "sheared heels": {
    size: "heels 12 mm apart, hairline tilted 6° the same way",
    finding: "sheared-heels",
    levels: ["act"],
    shape: ({ mine }, side) => {
      heelsApart(12, side, mine);
      mine.tiltDeg = signOf(side) * 6;
    },
  },
  "heels uneven": {
    size: "7 mm",
    finding: "heels-uneven",
    levels: DRIFTING_UP,
    shape: ({ mine }, side) => heelsApart(7, side, mine),
  },
  "hairline tilted": {
    size: "5°",
    finding: "hairline-tilted",
    levels: DRIFTING_UP,
    shape: ({ mine }, side) => {
      mine.tiltDeg = signOf(side) * 5;
    },
  },
  "hairline pushed up": {
    size: "seen standing",
    finding: "hairline-pushed",
    levels: ["drifting"],
    seen: (side) => ({
      watching: { deviation: {}, hairline: { [`quarter${name(side)}`]: "pushed up" } },
    }),
  },
  "heels run forward": {
    size: "16 mm ahead on a foot of size 1",
    finding: "heels-forward",
    levels: DRIFTING_UP,
    shape: (pair) => turnFoot(pair.mine, { heelRunMm: 16 * k(pair) }),
  },
  "curled heel, bent bar": {
    size: "14 mm further forward on a foot of size 1",
    finding: "bars-bent",
    levels: DRIFTING_UP,
    shape: (pair, side) =>
      turnFoot(pair.mine, {
        curlMm: {
          medial: side === "medial" ? 14 * k(pair) : 0,
          lateral: side === "lateral" ? 14 * k(pair) : 0,
        },
      }),
  },
  "contracted heels": {
    size: "a quarter closer together than sound ones, frog 0.75 of its sulcus",
    finding: "contracted-heels",
    levels: DRIFTING_UP,
    shape: ({ mine }) => {
      mine.heelsTogether = 0.75;
      turnFoot(mine, { frog: { ...mine.foot.frog, widthRatio: 0.75 } });
    },
  },
  "frog shrinking": {
    size: "0.65 of its sulcus wide",
    finding: "frog-shrinking",
    levels: DRIFTING_UP,
    shape: ({ mine }) => turnFoot(mine, { frog: { ...mine.foot.frog, widthRatio: 0.65 } }),
  },
  "frog stretched": {
    size: "0.18 beyond its true apex",
    finding: "frog-stretched",
    levels: DRIFTING_UP,
    shape: ({ mine }) => turnFoot(mine, { frog: { ...mine.foot.frog, stretch: 0.18 } }),
  },
  "thin sole": {
    size: "sulcus 7 mm deep",
    finding: "thin-sole",
    levels: ["act"],
    shape: ({ mine }) => {
      mine.sulcusDepthMm = 7;
    },
  },
  "flare on one foot": {
    size: "14 mm wider to one side on a foot of size 1, its pair sound",
    finding: "one-sided",
    levels: ["act"],
    shape: (pair, side) => {
      turnFoot(pair.mine, { lateralWiderMm: signOf(side) * 14 * k(pair) });
      turnFoot(pair.other, { lateralWiderMm: 0 });
    },
  },
  "flare on both feet": {
    size: "14 mm wider to one side on a foot of size 1, both of the pair",
    finding: "flared",
    levels: DRIFTING_UP,
    shape: (pair, side) => {
      for (const made of [pair.mine, pair.other])
        turnFoot(made, { lateralWiderMm: signOf(side) * 14 * k(pair) });
    },
  },
  "uneven wall": {
    size: "one quarter 9 mm thicker than its wall",
    finding: "wall-uneven",
    levels: DRIFTING_UP,
    shape: ({ mine }, side) => {
      const place = mine.walls[`quarter${name(side)}`];
      mine.walls = { ...mine.walls, [`quarter${name(side)}`]: { ...place, thickness: place.thickness + 9 } };
    },
  },
  "white line past dressing": {
    size: "9 mm at the toe",
    finding: "white-line",
    levels: ["ask the vet"],
    shape: ({ mine }) => {
      mine.walls = { ...mine.walls, toe: { ...mine.walls.toe, whiteLine: 9 } };
    },
  },
  "club foot": {
    size: "11° steeper than its pair, heels 12 mm taller",
    finding: "club-foot",
    levels: ["ask the vet"],
    shape: ({ mine, other }) => {
      const heel = mine.foot.heelHeightMm.medial + 12;
      turnFoot(mine, {
        dorsalAngleDeg: other.foot.dorsalAngleDeg + 11,
        pasternAngleDeg: other.foot.pasternAngleDeg + 9,
        heelHeightMm: { medial: heel, lateral: heel },
      });
    },
  },
  "unlike its pair": {
    size: "9 mm narrower",
    finding: "pair-mismatch",
    levels: ["drifting"],
    shape: ({ mine, other }) => turnFoot(mine, { widthMm: other.foot.widthMm - 9 }),
  },
  "marks that disagree": {
    size: "bar ends and widest part 15 mm apart on a foot of size 1",
    finding: "cor-disagrees",
    levels: ["drifting"],
    shape: (pair) => {
      pair.mine.centreOff = { bars: -7.5 * k(pair), widest: 7.5 * k(pair) };
    },
  },
  "rings diverge": {
    size: "a ring 22 mm down at the toe, 36 at the heel",
    finding: "rings-diverge",
    levels: ["ask the vet"],
    shape: ({ mine }) => {
      mine.ring = { toeMm: 22, heelMm: 36 };
    },
  },
  crack: found("crack", ["drifting"]),
  "crack, overdue": {
    ...found("crack", ["act"]),
    size: "and a week past its date",
    finding: "crack-overdue",
    seen: (side) => ({
      ...found("crack", ["act"]).seen?.(side),
      date: "2026-03-02",
      due: "2026-02-23",
    }),
  },
  thrush: found("thrush", ["drifting"]),
  "deep sore cleft": found("deep cleft", ["act"]),
  bruise: found("bruise", ["drifting"]),
  "white line separated": found("white line", ["act"]),
  puncture: found("puncture", ["ask the vet"]),
  "lands on one side": {
    size: "seen",
    finding: "lands-one-side",
    levels: ["drifting"],
    seen: (side) => ({
      watching: { deviation: {}, hairline: {}, lands: [signOf(side) * 45, 60] },
    }),
  },
  "landing against wear": {
    size: "lands on one side, worn on the other",
    finding: "landing-wear",
    levels: ["drifting"],
    seen: (side) => ({
      watching: { deviation: {}, hairline: {}, lands: [signOf(side) * 45, 60] },
      look: {
        finds: {},
        wear: {
          [`quarter${name(side === "medial" ? "lateral" : "medial")}`]: "through",
          [`heel${name(side === "medial" ? "lateral" : "medial")}`]: "thin",
        },
      },
    }),
  },
};
