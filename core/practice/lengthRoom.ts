import { isFore, LIMBS, type Limb } from "../foot/limb";
import { ordinaryFoot } from "../foot/parametric/fit";
import type { FootParameters } from "../foot/parametric/parameters";
import { stockOfFit } from "../forge/fitStock";
import { SECTIONS, type Section } from "../forge/sections";
import type { Stock } from "../forge/stock";
import { fitTwoMeasures } from "../forge/twoMeasures";
import { seededRandom } from "../math/random";
import type { Fit } from "../shoe/fit";
import { ordinaryShoe, type Specification } from "../shoe/specification";
import { atLevel, worthOf } from "./level";
import type { Miss } from "./tryRecord";

/** A shoe to cut stock for. */
export interface LengthTask {
  limb: Limb;
  foot: FootParameters;
  /** Of the shoe where it is to be, mm. */
  width: number;
  length: number;
  section: Section;
  creased: boolean;
  fit: Fit;
  stock: Stock;
}

/** A miss of as much is worth half, mm: half an inch of bar. Assumption. */
const HALF_MM = 12.7;
/** Sections of an ordinary day, for whoever begins. */
const ORDINARY_WEBS = [20, 22] as const;

/** A foot and a bar; the same seed and level give the same ones. */
export function lengthTask(seed: number, level: number): LengthTask {
  const random = seededRandom(seed);
  const limb = LIMBS[Math.floor(random() * LIMBS.length)] ?? "LF";
  const spread = atLevel(level, [0.35, 1]);
  const massKg = 520 + (random() - 0.5) * 560 * spread;
  const foot = ordinaryFoot(limb, { kind: "horse", massKg });
  const sections =
    level <= 3
      ? SECTIONS.filter(({ width }) => width >= ORDINARY_WEBS[0] && width <= ORDINARY_WEBS[1])
      : SECTIONS;
  const section = sections[Math.floor(random() * sections.length)] as Section;
  const creased = random() < atLevel(level, [1, 0.5]);
  const width = Math.round(foot.widthMm * (1 + 0.04 * (2 * random() - 1)));
  const length = Math.round(width * (isFore(limb) ? 1.02 : 1.07) * (1 + 0.04 * (2 * random() - 1)));
  const spec: Specification = {
    ...ordinaryShoe(limb, massKg),
    width: section.width,
    thickness: section.thickness,
    crease: creased ? "creased" : "stamped",
  };
  const fit = fitTwoMeasures({ end: isFore(limb) ? "fore" : "hind", width, length, spec });
  const stock = stockOfFit(fit, undefined, { width, length });
  if (!stock.ok) throw new RangeError(stock.issues[0]?.message);
  return { limb, foot, width, length, section, creased, fit, stock: stock.value };
}

/** What a length that was said comes to. */
export interface ScoredLength {
  /** Said minus the nearer of the two ways, mm; 0 between them. */
  off: number;
  score: number;
  misses: Miss[];
}

/** A length is right between the two ways, or in what would be cut for them; else it misses by what is wanting, mm. */
export function scoreLength({ stock, section }: LengthTask, saidMm: number): ScoredLength {
  const ends = [stock.rule.total, stock.outline?.total ?? stock.rule.total, stock.cutMm, stock.total];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const off = saidMm < low ? saidMm - low : saidMm > high ? saidMm - high : 0;
  return {
    off,
    score: 100 * worthOf(off, HALF_MM),
    misses: [{ of: `Web ${section.width} mm`, unit: "mm", off }],
  };
}
