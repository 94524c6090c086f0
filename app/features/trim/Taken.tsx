import { LessMore } from "~app/ui/LessMore";
import { NumberInput } from "~app/ui/NumberInput";
import { useId } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useFields, type Field } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { footEdit } from "~core/record/footRecords";
import { CUT_NAMES, type CutName } from "~core/trim/trimRecord";
import { ok } from "~core/result";
import type { Bench } from "./useBench";
import { cutInField, cutStep, readCut } from "../../stage/cutText";

/** What the hand really took at one place; past the limit it is marked and asked about, never refused. */
export function Taken({ bench, cut }: { bench: Bench; cut: CutName }) {
  const wording = useWording();
  const { save } = useEdits();
  const ids = useId();
  const { trim, blank, plan, missing } = bench;
  const name = wording.inOwnWords(CUT_NAMES[cut]);
  const stored = trim?.cuts[cut];
  const edit = (was: number | undefined, now: number | undefined) =>
    footEdit(blank, "trims", trim, { path: ["cuts", cut], was, now, label: `taken at the ${name}` });
  const fields: Record<"mm" | "seen", Field<number | string>> = {
    mm: {
      draftKey: `${blank.id}.${cut}`,
      stored,
      show: (mm) => cutInField(Number(mm), wording),
      read: (text) => readCut(cut, text, wording),
      edit: (was, now) => edit(was as number | undefined, now as number | undefined),
    },
    seen: {
      draftKey: `${blank.id}.past.${cut}`,
      stored: trim?.past[cut],
      show: String,
      read: (text) => ok(text.trim() === "" ? undefined : text),
      edit: (was, now) =>
        footEdit(blank, "trims", trim, { path: ["past", cut], was, now, label: `seen at the ${name}` }),
    },
  };
  const { view, type, settle } = useFields(fields);
  const { text, issue, value } = view("mm");
  const mm = typeof value === "number" ? value : undefined;
  const limit = plan && missing.length === 0 ? plan.limits.most[cut] : undefined;
  const past = mm !== undefined && limit !== undefined ? mm - limit : 0;
  const step = (by: number) => void save(edit(stored, Math.max(0, (stored ?? 0) + by)));
  return (
    <div className="taken" data-past={past > 0.01}>
      <span className="quiet">taken</span>
      <LessMore
        less={`Less taken at the ${name}`}
        more={`More taken at the ${name}`}
        onStep={(direction) => step(direction * cutStep(wording))}
      >
        <NumberInput
          label={`Taken at the ${name}`}
          placeholder="–"
          view={{ text, issue }}
          saidBy={issue || past > 0.01 ? `${ids}-said` : undefined}
          onType={(next) => type("mm", next)}
          onSettle={() => settle("mm")}
        />
        <span className="quiet">{wording.unit}</span>
      </LessMore>
      {issue && (
        <p className="ember" role="alert" id={`${ids}-said`}>
          {issue.message}
        </p>
      )}
      {!issue && past > 0.01 && limit !== undefined && (
        <div className="taken-past" id={`${ids}-said`}>
          <p className="ember">
            <b>
              <Fractions text={`${wording.cut(past)} past the limit of ${wording.cut(limit)}.`} />
            </b>{" "}
            Stop here. Pink, springy or warm? Blood: stop, clean, dress, call the vet.
          </p>
          <label>
            What do you see there?
            <NumberInput
              inputMode="text"
              view={view("seen")}
              onType={(next) => type("seen", next)}
              onSettle={() => settle("seen")}
            />
          </label>
        </div>
      )}
    </div>
  );
}
