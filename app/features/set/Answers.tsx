import { Chip } from "~app/ui/Chip";
import { Input } from "antd";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useField } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { ANSWERS, type Answer } from "~core/case/observation";
import { change } from "~core/record/change";
import { ok } from "~core/result";
import type { StageContext } from "~app/stage/stageContext";
import "~app/stage/watch.css";

/** How the horse answers on this foot, beside what it did before: an observation, not a finding. */
export function Answers({ visit, file, limb }: StageContext) {
  const { save } = useEdits();
  const wording = useWording();
  const now = visit.observed[limb];
  const label = `how it answers on the ${wording.limb(limb)}`;
  const keep = (seen: Answer[], note: string) =>
    change(
      "visits",
      visit,
      ["observed", limb],
      seen.length > 0 || note !== "" ? { seen, note } : undefined,
      label,
    );
  const note = useField<string>({
    draftKey: `${visit.id}/observed/${limb}`,
    stored: now?.note ?? "",
    show: (text) => text,
    read: (text) => ok(text),
    edit: (_was, text) => keep(now?.seen ?? [], text ?? ""),
  });
  const past = file.visits
    .filter(
      ({ id, date, observed }) =>
        id !== visit.id && date <= visit.date && (observed[limb]?.seen.length ?? 0) > 0,
    )
    .slice(-4)
    .toReversed();
  return (
    <section className="set-answers" aria-label="How it answers on this foot">
      <h2>How it answers</h2>
      <div className="set-answer-row">
        {ANSWERS.map((one) => {
          const on = now?.seen.includes(one) ?? false;
          return (
            <Chip
              key={one}
              on={on}
              onClick={() =>
                void save(
                  keep(
                    on ? (now?.seen ?? []).filter((seen) => seen !== one) : [...(now?.seen ?? []), one],
                    now?.note ?? "",
                  ),
                )
              }
            >
              {one}
            </Chip>
          );
        })}
      </div>
      <Input
        aria-label="Note on how it answers"
        placeholder="In a word: on which nail, held how long"
        maxLength={200}
        value={note.text}
        data-typed={note.typed}
        onChange={(event) => note.type(event.target.value)}
        onBlur={() => note.settle()}
      />
      {past.length > 0 && (
        <p className="quiet">
          Before:{" "}
          {past
            .map(({ date, observed }) => `${shortDay(date)} ${observed[limb]?.seen.join(", ") ?? ""}`)
            .join(" · ")}
        </p>
      )}
    </section>
  );
}
