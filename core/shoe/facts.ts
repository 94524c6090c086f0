import type { Limb, Side } from "../foot/limb";
import type { WearSector } from "../foot/wear";
import type { AnimalKind } from "../foot/toeYardstick";
import type { PrescriptionAsks } from "./prescription";

/** The work that a horse does, as far as it decides what goes on its feet. */
export const WORKS = [
  "hacking",
  "fast work on turf",
  "jumping",
  "long distances",
  "sliding stops",
  "haulage",
  "driving",
  "no work",
] as const;
export type Work = (typeof WORKS)[number];

export const FOOTINGS = [
  "road",
  "stony track",
  "firm turf",
  "wet turf",
  "soft arena",
  "deep ground",
] as const;
export type Footing = (typeof FOOTINGS)[number];

export const EFFORTS = ["light", "hard"] as const;
export type Effort = (typeof EFFORTS)[number];

export const TURNOUTS = ["alone", "in a herd", "stabled"] as const;
export type Turnout = (typeof TURNOUTS)[number];

/** How it goes, as far as it touches itself or loses shoes. */
export const GOES = [
  "overreaches",
  "forges",
  "brushes",
  "treads on itself",
  "drags a toe",
  "straight stifle",
  "spreads in the stop",
  "pulls shoes off",
] as const;
export type Goes = (typeof GOES)[number];

/** What a vet has to have said something about before it is shod. */
export const CONDITIONS = [
  "sore heels",
  "laminitis",
  "white-line disease",
  "missing wall",
  "fracture",
] as const;
export type Condition = (typeof CONDITIONS)[number];

/** How a horse is used and how it goes: what its own page keeps. */
export interface ShoeingLife {
  work: readonly Work[];
  footing: readonly Footing[];
  effort?: Effort | undefined;
  turnout?: Turnout | undefined;
  goes: readonly Goes[];
  conditions: readonly Condition[];
  /** Soles and growth let it go bare, by the user's own judgement. */
  growsMoreThanItWears?: boolean | undefined;
  /** Pasterns that are long for its size, by eye. */
  longPasterns?: boolean | undefined;
}
export const NO_LIFE: ShoeingLife = { work: [], footing: [], goes: [], conditions: [] };

/** What stood out on one side last time, and how the foot landed then and lands now. */
export interface LastOneSide {
  side: Side;
  mm: number;
  landedThen?: Side | "level" | undefined;
  landsNow?: Side | "level" | undefined;
}

/**
 * All that the rules of advice look at: the horse, this foot, and what a vet prescribed. What was not measured or watched
 * is missing: it is not taken as sound. mm and deg.
 */
export interface ShoeFacts extends ShoeingLife {
  limb: Limb;
  kind: AnimalKind;
  massKg: number;
  /** True where this foot is kept bare. */
  keptBare: boolean;
  /** Side it was seen to land on, and the side that its shoe is worn on. */
  landsOn?: Side | undefined;
  wornOn?: Side | undefined;
  /** Heel that is crushed, side or both. */
  crushed: readonly Side[];
  lowHeels: boolean;
  heelsRunForward: boolean;
  /** Frog past the heels' plane, + = proud. */
  frogProudMm?: number | undefined;
  /** Hoof-pastern axis broken back by this much, after the trim. */
  brokenBackDeg?: number | undefined;
  /** A pastern flatter than an ordinary one; with long pasterns or sore heels it is a long sloping one. */
  slopingPastern: boolean;
  /** Side of a crack at a quarter. */
  crackAt?: Side | undefined;
  /** By the depth of the sulcus beside the frog; missing where nobody measured it. */
  thinSole?: boolean | undefined;
  poorWall: boolean;
  whiteLineSeparated: boolean;
  /** Horn of the wall where it is thickest: its thickness less its white line. */
  hornMm?: number | undefined;
  /** Wall that takes neither nail nor clip. */
  unsoundWall: readonly WearSector[];
  /** How far the limb leans from upright, without sign. */
  limbDeviationDeg?: number | undefined;
  /** Half width of the side that is landed on less the other's, at the widest part. */
  halfWidthMm?: number | undefined;
  toeDirection?: "toe-in" | "straight" | "toe-out" | undefined;
  base?: "narrow" | "under the limb" | "wide" | undefined;
  /** Breakover wanted behind the toe, and turned towards lateral. */
  breakoverBack: number;
  breakoverTurnDeg?: number | undefined;
  lastOneSide?: LastOneSide | undefined;
  prescription?: (PrescriptionAsks & { by: string; until: string; says: string }) | undefined;
}

/** The facts of a foot on which nothing was watched, found or measured: only the horse and its life speak. */
export const factsOfLife = (
  foot: Pick<ShoeFacts, "limb" | "kind" | "massKg">,
  life: ShoeingLife = NO_LIFE,
): ShoeFacts => ({
  ...NO_LIFE,
  ...life,
  ...foot,
  keptBare: false,
  crushed: [],
  lowHeels: false,
  heelsRunForward: false,
  slopingPastern: false,
  poorWall: false,
  whiteLineSeparated: false,
  unsoundWall: [],
  breakoverBack: 0,
});

export const onTurf = ({ footing }: ShoeFacts): boolean =>
  footing.includes("firm turf") || footing.includes("wet turf");
export const onSoft = ({ footing }: ShoeFacts): boolean =>
  footing.includes("soft arena") || footing.includes("deep ground");
export const onRoad = ({ footing }: ShoeFacts): boolean =>
  footing.includes("road") || footing.includes("stony track");
/** Firm where nothing soft is named. */
export const onFirm = (facts: ShoeFacts): boolean => !onSoft(facts) && !facts.footing.includes("wet turf");
