import { presentFinds, type Look } from "../records/look";
import { FIND_KINDS, type FindKind } from "../wear";
import type { FootFacts } from "./facts";
import type { Level } from "../level";
import { SIDES } from "../limb";
import { sentenceCase } from "../wording";
import type { Rule } from "./rule";
import { counted } from "../../units/counted";

/** What a thing found on the cleaned foot means by itself. Source: trade practice; the vet's are the vet's everywhere. */
const FOUND: Partial<
  Record<FindKind, { level: Level; subject: Rule["subject"]; says: string; next: string }>
> = {
  crack: {
    level: "drifting",
    subject: "wall",
    says: "A crack in the wall",
    next: "Ask why it split: dry horn, a lever at the toe, a flare, an old injury of the coronet. Take the lever off; keep to the date.",
  },
  thrush: {
    level: "drifting",
    subject: "frog",
    says: "Thrush",
    next: "Clean to sound frog, keep it dry and open to air, treat it as the vet or the label says; look again at the next visit.",
  },
  "deep cleft": {
    level: "act",
    subject: "frog",
    says: "A deep sore cleft",
    next: "Clean and treat it before the heels are moved; no packing over it. If it is sore to the touch for two visits, ask the vet.",
  },
  bruise: {
    level: "drifting",
    subject: "sole",
    says: "A bruise",
    next: "Relieve the place, in foot and shoe; ask what it stood on. Sore or warm: the vet.",
  },
  "white line": {
    level: "act",
    subject: "wall",
    says: "The white line has separated",
    next: "Clean to its end, take the lever off that wall, no nail there; keep it dry. If it runs up out of sight, the vet.",
  },
  cavity: {
    level: "act",
    subject: "wall",
    says: "A cavity",
    next: "Probe it gently and note how far it goes; no nail, no bearing over it. If it runs up out of sight, the vet.",
  },
  puncture: {
    level: "ask the vet",
    subject: "sole",
    says: "A puncture",
    next: "Leave what is in it if the vet can come soon; photograph, protect, and ask about tetanus.",
  },
  discharge: {
    level: "ask the vet",
    subject: "hairline",
    says: "Discharge, or a soft hairline",
    next: "The vet, before anything is nailed or pared.",
  },
  "crushed heel": {
    level: "drifting",
    subject: "heels",
    says: "A heel is crushed",
    next: "Back to horn that stands; spread the load behind it while it grows down.",
  },
  "folded bar": {
    level: "drifting",
    subject: "heels",
    says: "A bar has folded over",
    next: "Take the fold off, not the bar: it is looked at from the frog's side, with the sole's colour as the stop.",
  },
};
const SAID = Object.keys(FOUND) as FindKind[];

const findsOf = (look: Look | undefined, kind: FindKind) =>
  presentFinds(look).flatMap(([, find]) => (find.kind === kind ? [find] : []));

/** One rule for each kind of thing that is found on a cleaned foot. */
const KINDS: readonly Rule[] = SAID.flatMap((kind) => {
  const found = FOUND[kind];
  if (!found) return [];
  return {
    id: `found-${kind.replace(" ", "-")}`,
    subject: found.subject,
    when: `${FIND_KINDS[kind]} was found on the foot`,
    next: found.next,
    see: ({ look }: FootFacts) => {
      const finds = findsOf(look, kind);
      if (finds.length === 0) return undefined;
      const notes = finds.flatMap(({ note }) => (note ? [note] : []));
      return {
        level: found.level,
        text: `${found.says}${finds.length > 1 ? `, ${finds.length} places` : ""}${notes.length ? `: ${notes.join("; ")}` : ""}.`,
        evidence: "As it was found and placed on the sole.",
      };
    },
  };
});

/** The rule for quarters whose tubules lie one way. */
const tubules = (id: string, runs: "run forward" | "bent out", next: string): Rule => ({
  id,
  subject: "wall",
  when: `The tubules of a quarter are ${runs === "run forward" ? "running forward" : runs}`,
  next,
  see: ({ look, wording }) => {
    const sides = SIDES.filter((side) => look?.tubules?.[side] === runs);
    const [only] = sides;
    if (!only) return undefined;
    return {
      level: "drifting",
      text: `The tubules ${runs === "run forward" ? runs : "bend out"} ${sides.length === 2 ? "in both quarters" : `in the ${wording.side(only)} quarter`}.`,
      evidence: "As the wall shows them: tubules lie the way the wall has been pushed.",
    };
  },
});

/** Rules about what was found when the foot was cleaned. */
export const FOUND_RULES: readonly Rule[] = [
  {
    id: "crack-overdue",
    subject: "wall",
    when: "A crack in the wall and the interval already past",
    next: "Shorten the interval: the last week is the one to protect. Take the lever off the crack today.",
    insteadOf: ["found-crack"],
    see: ({ look, daysOver }) => {
      if (findsOf(look, "crack").length === 0 || daysOver === undefined || daysOver <= 0) return undefined;
      return {
        level: "act",
        text: `A crack, and the foot is ${counted(daysOver, "day")} past its date.`,
        evidence: "An overdue foot is a long foot: more lever on the wall at every step.",
      };
    },
  },
  ...KINDS,
  {
    id: "heel-horn",
    subject: "heels",
    when: "The horn of a heel is soft or crushed",
    next: "Back to horn that stands; spread the load behind it, and ask about wet and about the shoe's end.",
    insteadOf: ["found-crushed-heel"],
    see: ({ look, wording }) => {
      const weak = SIDES.flatMap((side) => {
        const horn = look?.heelHorn?.[side];
        return horn && horn !== "strong" ? [{ side, horn }] : [];
      });
      if (weak.length === 0) return undefined;
      const crushed = weak.some(({ horn }) => horn === "crushed");
      const alike = weak.length === 2 && weak[0]?.horn === weak[1]?.horn;
      return {
        level: crushed ? "act" : "drifting",
        text: alike
          ? `Both heels are ${weak[0]?.horn ?? ""}.`
          : `${sentenceCase(weak.map(({ side, horn }) => `the ${wording.side(side)} heel is ${horn}`).join(", "))}.`,
        evidence: "As the horn felt under thumb and knife.",
      };
    },
  },
  tubules(
    "tubules-forward",
    "run forward",
    "That quarter carries more than it can: bring the heel back to where its tubules stand straight, a little at a time.",
  ),
  tubules(
    "tubules-out",
    "bent out",
    "That wall is levered outwards at every step: dress it from outside where horn is to spare, and look at the limb above.",
  ),
];
