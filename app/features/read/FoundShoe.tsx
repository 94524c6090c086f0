import { TextButton } from "~app/ui/TextButton";
import { Fractions } from "~app/ui/Fractions";
import { PickOne } from "~app/ui/PickOne";
import { TypedField } from "~app/ui/TypedField";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { Choice } from "~app/stage/Choice";
import type { StageContext } from "~app/stage/stageContext";
import { daysBetween } from "~core/calendar/date";
import type { SoleSurvey } from "~core/foot/survey/survey";
import { lengthInField } from "~core/foot/wording";
import { footEdit, footPlace } from "~core/record/footRecords";
import { signedBefore } from "~core/record/visit";
import { fail, ok, type Result } from "~core/result";
import {
  FOUND_LENGTHS,
  foundEffects,
  foundGave,
  foundShoeSchema,
  gaveInWords,
  SHOE_STATES,
  type FoundLength,
  type FoundShoe as Found,
} from "~core/shoe/foundShoe";
import { PADS, SHOE_TYPES } from "~core/shoe/specification";
import { parseAngle } from "~core/units/angle";
import { parseLength } from "~core/units/length";

interface FoundShoeProps {
  context: StageContext;
  /** The foot's survey, for what the shoe gave it. */
  survey: Pick<SoleSurvey, "front" | "support">;
}

/** The shoe as it was found on the foot: how it sat, what it was, what it gave; even on a first visit. */
export function FoundShoe({ context: { visit, file, limb, feet }, survey }: FoundShoeProps) {
  const wording = useWording();
  const { save } = useEdits();
  const blank = footPlace("shoes", visit, limb, "before");
  const { shoe, lastShoe } = feet[limb];
  const found: Found = shoe?.found ?? {};
  const due = signedBefore(file.visits, visit)?.next?.due;
  const beforeItsDay = due !== undefined && daysBetween(visit.date, due) > 0;
  const editAt = (key: keyof Found, now: unknown, ...was: [unknown?]) => {
    const label = `${wording.limb(limb)} shoe as found`;
    if (!shoe?.found)
      return footEdit(blank, "shoes", shoe, { path: ["found"], was: undefined, now: { [key]: now }, label });
    return footEdit(blank, "shoes", shoe, {
      path: ["found", key],
      now,
      label,
      ...(was.length > 0 && { was: was[0] }),
    });
  };
  /** Refused where the record itself would refuse it, in its own words. */
  const checked = <T,>(key: keyof Found, value: T): Result<T> => {
    const read = foundShoeSchema.safeParse({ [key]: value });
    return read.success
      ? ok(value)
      : fail("out-of-range", key, read.error.issues[0]?.message ?? "Not read.", value);
  };
  const field = (key: FoundLength) => {
    const angle = key === "wedgeDeg";
    return (
      <TypedField<number>
        key={key}
        label={FOUND_LENGTHS[key]}
        unit={angle ? "°" : wording.unit}
        draftKey={`${blank.id}.found.${key}`}
        stored={found[key]}
        show={(value) => (angle ? String(value) : lengthInField(value, wording))}
        read={(text) => {
          if (text.trim() === "") return ok(undefined);
          const read = angle ? parseAngle(text) : parseLength(text, wording.unit);
          return read.ok ? checked(key, read.value) : read;
        }}
        edit={(was, now) => editAt(key, now, was)}
      />
    );
  };
  const nails = (key: "nailsMedial" | "nailsLateral") => (
    <TypedField<number>
      key={key}
      label={`Nails, ${wording.side(key === "nailsMedial" ? "medial" : "lateral")}`}
      unit=""
      draftKey={`${blank.id}.found.${key}`}
      stored={found[key]}
      show={String}
      read={(text) => (text.trim() === "" ? ok(undefined) : checked(key, Number(text.replace(",", "."))))}
      edit={(was, now) => editAt(key, now, was)}
    />
  );
  const gave = gaveInWords(foundGave(found, survey), wording);
  const spec = lastShoe?.spec;
  return (
    <section className="found-shoe" aria-label="The shoe as found">
      <h3>The shoe as found</h3>
      <Choice
        label="How it sat"
        options={SHOE_STATES}
        usual="as it was nailed"
        value={found.state}
        onChoose={(state) => void save(editAt("state", state))}
      />
      {foundEffects(found, beforeItsDay).map(({ says, moves }) => (
        <p key={says} className={moves === "caution" ? "ember" : "quiet"}>
          {says}
        </p>
      ))}
      {spec && !found.type && (
        <TextButton
          onClick={() =>
            void save(
              footEdit(blank, "shoes", shoe, {
                path: ["found"],
                now: {
                  ...found,
                  type: spec.type,
                  pad: spec.pad,
                  ...(spec.raise && { wedgeDeg: spec.raise.degrees }),
                  nailsMedial: spec.nailsMedial,
                  nailsLateral: spec.nailsLateral,
                  by: "last visit",
                  since: lastShoe.date,
                },
                label: `${wording.limb(limb)} shoe as found`,
              }),
            )
          }
        >
          It is the one put on last time
        </TextButton>
      )}
      <div className="found-fields">
        <label className="spec-field">
          <span>Kind</span>
          <PickOne<string>
            label="Kind of the old shoe"
            value={found.type ?? ""}
            options={[
              { value: "", label: "not said" },
              ...SHOE_TYPES.map((value) => ({ value, label: value })),
            ]}
            onPick={(type) => void save(editAt("type", type || undefined))}
          />
        </label>
        <label className="spec-field">
          <span>Pad</span>
          <PickOne<string>
            label="Pad under the old shoe"
            value={found.pad ?? ""}
            options={[{ value: "", label: "not said" }, ...PADS.map((value) => ({ value, label: value }))]}
            onPick={(pad) => void save(editAt("pad", pad || undefined))}
          />
        </label>
        {(Object.keys(FOUND_LENGTHS) as FoundLength[]).map(field)}
        {nails("nailsMedial")}
        {nails("nailsLateral")}
        <TypedField<string>
          words
          label="Made by"
          unit=""
          draftKey={`${blank.id}.found.by`}
          stored={found.by}
          show={(text) => text}
          read={(text) => (text.trim() === "" ? ok(undefined) : checked("by", text.trim()))}
          edit={(was, now) => editAt("by", now, was)}
        />
      </div>
      {gave && (
        <p className="found-gave">
          It gave: <Fractions text={gave} />.
        </p>
      )}
    </section>
  );
}
