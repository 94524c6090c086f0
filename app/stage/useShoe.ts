import { useMemo } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useHandle } from "~app/ui/useHandle";
import { useSettings, useWording } from "~app/ui/useWording";
import { change, make } from "~core/record/change";
import { sameValue, type Edit } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { pairOf, type Limb } from "~core/foot/limb";
import { specForPair, type Specification } from "~core/shoe/specification";
import { fitChoice, NO_CHOICE, openChecks, standingSpec, visitShoe } from "~core/visit/visitShoe";
import type { StageContext } from "./stageContext";

/** What a hand changes on the bench: all of it is kept together when it comes to rest. */
export type ShoeDraft = Pick<
  ShoeRecord,
  "spec" | "from" | "because" | "alike" | "setting" | "breakover" | "kept"
>;
const DRAFT_KEYS = ["spec", "from", "because", "alike", "setting", "breakover", "kept"] as const;

const draftOf = (record: ShoeRecord | undefined): ShoeDraft => ({
  spec: record?.spec,
  from: record?.from,
  because: record?.because ?? "",
  alike: record?.alike ?? true,
  setting: record?.setting ?? NO_CHOICE.setting,
  breakover: record?.breakover ?? {},
  kept: record?.kept ?? {},
});

/** The shoe of one foot at this visit: what is advised, what is chosen, how it fits, and what is still open. */
export function useShoe(context: Pick<StageContext, "visit" | "file" | "feet" | "limb">) {
  const { visit, file, feet, limb } = context;
  const wording = useWording();
  const settings = useSettings();
  const { save, saveWith } = useEdits();
  const foot = feet[limb];
  const pairLimb = pairOf(limb);
  /* eslint-disable react-hooks/exhaustive-deps -- feet are worked out from `file` and `visit` */
  const shoe = useMemo(
    () => visitShoe({ visit, horse: file.horse, feet, limb }, settings, wording),
    [visit, file, limb, settings, wording.unit, wording.fraction],
  );
  /* eslint-enable react-hooks/exhaustive-deps */

  /** Edits that put these parts into a foot's record; the whole record where there is none yet. */
  const editsFor = (of: Limb, parts: Partial<ShoeDraft>, label: string): Edit[] => {
    const blank = footPlace("shoes", visit, of, "before") as ShoeRecord;
    const existing = feet[of].shoe;
    if (!existing) return [make("shoes", { ...blank, ...withoutUndefined(parts) }, label)];
    return DRAFT_KEYS.filter((key) => key in parts).map((key) =>
      change("shoes", existing, [key], parts[key], label),
    );
  };

  const stored = draftOf(foot.shoe);
  /** Edits that make of the draft what the hand wants, and of the pair's too where both are alike. */
  const editsTo = (now: ShoeDraft): Edit[] => {
    const changed = DRAFT_KEYS.filter((key) => !sameValue(stored[key], now[key]));
    if (changed.length === 0) return [];
    const label = `${wording.limb(limb)} shoe`;
    const edits = editsFor(limb, Object.fromEntries(changed.map((key) => [key, now[key]])), label);
    const tellsPair = changed.includes("spec") || changed.includes("alike");
    const pairSpec = now.spec && specForPair(now.spec, feet[pairLimb].shoe?.spec);
    if (now.alike && pairSpec && tellsPair && !sameValue(feet[pairLimb].shoe?.spec, pairSpec))
      edits.push(
        ...editsFor(
          pairLimb,
          { spec: pairSpec, from: "the other foot", because: now.because, alike: true },
          `${label}, and its pair`,
        ),
      );
    return edits;
  };
  const handle = useHandle<ShoeDraft>(stored, (now, flushSync) => {
    const edits = editsTo(now);
    return edits.length > 0 ? saveWith(edits, [], flushSync) : undefined;
  });
  const draft = handle.value;
  const spec = draft.spec ?? standingSpec(shoe, foot, file.horse.massKg);
  const record = foot.shoe;
  const bench = useMemo(
    () =>
      fitChoice(
        shoe,
        {
          spec,
          setting: draft.setting,
          breakover: draft.breakover,
          skip: record?.skip ?? {},
          kept: draft.kept,
        },
        spec,
        wording,
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- wording is the same while its unit and fraction are
    [shoe, spec, draft.setting, draft.breakover, draft.kept, record?.skip, wording.unit, wording.fraction],
  );

  const pairFoot = feet[pairLimb];
  /** Grams of the other shoe of the pair, as it would be made; undefined while none was chosen. */
  const pairGrams = useMemo(
    () => {
      const chosen = pairFoot.shoe;
      if (!chosen?.spec) return undefined;
      const place = { visit, horse: file.horse, feet, limb: pairLimb };
      return fitChoice(visitShoe(place, settings, wording), chosen, chosen.spec, wording).fit.mass;
    },
    // eslint-disable-next-line react-hooks/exhaustive-deps -- feet are worked out from `file` and `visit`
    [visit, file, pairLimb, settings, wording.unit],
  );

  /** The edits of any part of the draft. */
  const editsOf = (parts: (now: ShoeDraft) => Partial<ShoeDraft>): Edit[] =>
    editsTo({ ...stored, ...parts(stored) });
  const put = (parts: (now: ShoeDraft) => Partial<ShoeDraft>): void => {
    const edits = editsOf(parts);
    if (edits.length > 0) void save(...edits);
  };
  const inSpec =
    (parts: Partial<Specification>) =>
    (now: ShoeDraft): Partial<ShoeDraft> => ({
      spec: { ...(now.spec ?? spec), ...parts },
      from: now.from ?? "own",
    });
  /** The edit of one place of the record outside the draft: ticks, nails, prints. */
  const editAt = (path: readonly string[], now: unknown, label: string): Edit =>
    footEdit(footPlace("shoes", visit, limb, "before"), "shoes", foot.shoe, { path, now, label });
  return {
    shoe,
    draft,
    spec,
    bench,
    pairGrams,
    record,
    open: openChecks(bench.checks, draft.kept),
    /** True once something was chosen at this visit; until then it is the last shoe or the advice that stands. */
    chosen: draft.spec !== undefined,
    editsOf,
    /** The edits of fields of the specification by hand. */
    specEdits: (parts: Partial<Specification>): Edit[] => editsOf(inSpec(parts)),
    /** Keeps a change of any part of the draft. */
    change: put,
    /** The same while a hand drags: shown at once, kept when it is let go. */
    move: (parts: (now: ShoeDraft) => Partial<ShoeDraft>, rest: boolean) =>
      handle.move((now) => ({ ...now, ...parts(now) }), rest),
    /** Takes a whole specification; a typed line of why is kept beside it. */
    take: (next: Specification, from: NonNullable<ShoeRecord["from"]>) => put(() => ({ spec: next, from })),
    /** Changes fields of the specification by hand. */
    put: (parts: Partial<Specification>) => put(inSpec(parts)),
    editAt,
    keepAt: (path: readonly string[], now: unknown, label: string) => save(editAt(path, now, label)),
  };
}
export type Shoeing = ReturnType<typeof useShoe>;

const withoutUndefined = <T extends object>(parts: T): T =>
  Object.fromEntries(Object.entries(parts).filter(([, value]) => value !== undefined)) as T;
