import { useEffect, useMemo, useRef } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { sameValue, withValueAt, type Edit } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { pairOf, type Limb } from "~core/foot/limb";
import type { Specification } from "~core/shoe/specification";
import { fitChoice, NO_CHOICE, openChecks, standingSpec, visitShoe } from "~core/visit/visitShoe";
import type { StageContext } from "./stageContext";
import { useLive } from "./useLive";

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
export function useShoe(context: StageContext) {
  const { visit, file, feet, limb } = context;
  const wording = useWording();
  const settings = useSettings();
  const { settleAll } = useEdits();
  const foot = feet[limb];
  const pairLimb = pairOf(limb);
  // Records as they were last sent, until the store has answered: the next edit starts from them, not beside them.
  const typedDrafts = useRef<string[]>([]);
  const made = useRef<Partial<Record<Limb, ShoeRecord>>>({});
  const pending = useRef(0);
  useEffect(() => {
    if (pending.current === 0) made.current = {};
  }, [file]);
  const latest = (of: Limb): ShoeRecord | undefined => made.current[of] ?? feet[of].shoe;
  const send = async (edits: Edit[], drafts: string[] = []) => {
    pending.current += 1;
    try {
      await settleAll(edits, drafts);
    } finally {
      pending.current -= 1;
    }
  };
  /* eslint-disable react-hooks/exhaustive-deps -- feet are worked out from `file` and `visit` */
  const shoe = useMemo(
    () => visitShoe({ visit, horse: file.horse, feet, limb }, settings, wording),
    [visit, file, limb, settings, wording.unit, wording.fraction],
  );
  /* eslint-enable react-hooks/exhaustive-deps */

  /** Edits that put these parts into a foot's record; the whole record where there is none yet. */
  const editsFor = (
    of: Limb,
    parts: Partial<ShoeDraft>,
    was: Partial<ShoeDraft> | undefined,
    label: string,
  ): Edit[] => {
    const blank = footPlace("shoes", visit, of, "before") as ShoeRecord;
    const existing = latest(of);
    made.current[of] = { ...(existing ?? blank), ...withoutUndefined(parts) };
    if (!existing)
      return [{ table: "shoes", id: blank.id, path: [], was: undefined, now: made.current[of], label }];
    return DRAFT_KEYS.filter((key) => key in parts).map((key) => ({
      ...footEdit(blank, "shoes", existing, { path: [key], now: parts[key], label }),
      was: was && key in was ? was[key] : existing[key],
    }));
  };

  const stored = draftOf(foot.shoe);
  const live = useLive<ShoeDraft>(stored, (was, now) => {
    const changed = DRAFT_KEYS.filter((key) => !sameValue(was[key], now[key]));
    if (changed.length === 0) return send([], typedDrafts.current.splice(0));
    const label = `${wording.limb(limb)} shoe`;
    const parts = Object.fromEntries(changed.map((key) => [key, now[key]])) as Partial<ShoeDraft>;
    const edits = editsFor(limb, parts, was, label);
    const other = latest(pairLimb);
    const follows =
      now.alike && now.spec && (changed.includes("spec") || changed.includes("alike"))
        ? !sameValue(other?.spec, now.spec)
        : false;
    if (follows && now.spec)
      edits.push(
        ...editsFor(
          pairLimb,
          { spec: now.spec, from: "the other foot", because: now.because, alike: true },
          undefined,
          `${label}, and its pair`,
        ),
      );
    const drafts = typedDrafts.current;
    typedDrafts.current = [];
    return send(edits, drafts);
  });
  const draft = live.value;
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

  /** Any part of the draft, kept at once; what was typed for it stops being a draft in the same breath. */
  const change = (make: (now: ShoeDraft) => Partial<ShoeDraft>, draftKey?: string) => {
    if (draftKey !== undefined) typedDrafts.current.push(draftKey);
    live.move((now) => ({ ...now, ...make(now) }), false);
    live.settle();
  };
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
    change,
    /** The same while a hand drags: shown at once, kept when it stands still. */
    move: (make: (now: ShoeDraft) => Partial<ShoeDraft>, rest: boolean) =>
      live.move((now) => ({ ...now, ...make(now) }), rest),
    /** Takes a whole specification; a typed line of why is kept beside it. */
    take: (next: Specification, from: NonNullable<ShoeRecord["from"]>) => {
      change(() => ({ spec: next, from }));
    },
    /** Changes fields of the specification by hand. */
    put: (parts: Partial<Specification>, draftKey?: string) => {
      change((now) => ({ spec: { ...(now.spec ?? spec), ...parts }, from: now.from ?? "own" }), draftKey);
    },
    /** One place of the record outside the draft: ticks, nails, prints. */
    keepAt: (path: readonly string[], now: unknown, label: string) => {
      const blank = footPlace("shoes", visit, limb, "before") as ShoeRecord;
      const existing = latest(limb);
      const edit = footEdit(blank, "shoes", existing, { path, now, label });
      made.current[limb] = (existing ? withValueAt(existing, path, now) : edit.now) as ShoeRecord;
      return send([edit]);
    },
  };
}
export type Shoeing = ReturnType<typeof useShoe>;

const withoutUndefined = <T extends object>(parts: T): T =>
  Object.fromEntries(Object.entries(parts).filter(([, value]) => value !== undefined)) as T;
