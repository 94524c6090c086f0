import { SideView } from "~app/drawing/SideView";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { TextButton } from "~app/ui/TextButton";
import { useWording } from "~app/ui/useWording";
import { LineOfWhy } from "~app/stage/LineOfWhy";
import { cutsInWords } from "~core/trim/planWords";
import { stagedInWords } from "~core/trim/choiceWords";
import type { Bench } from "./useBench";

/** A trim that asks too much of one visit, as a row of feet with their days; or all at once, with a line of why. */
export function Stages({ bench }: { bench: Bench }) {
  const wording = useWording();
  const { staged, stages, asked, blank, trim } = bench;
  if (!staged.ok || staged.value.visits === 1) return null;
  const why = trim?.atOnceWhy;
  return (
    <section className="stages" aria-label="In stages">
      <p className="stages-said">
        <Fractions text={stagedInWords(staged.value, stages, asked.flexural, wording)} />
      </p>
      {why === undefined && stages && (
        <ol className="stages-row">
          {stages.stages.map(({ date, cuts, after }, index) => (
            <li key={date} aria-current={index === 0 ? "step" : undefined}>
              <b>{index === 0 ? "This visit" : shortDay(date)}</b>
              <SideView
                foot={after}
                wording={wording}
                guess={false}
                labels={false}
                title={`The foot after ${index === 0 ? "this visit" : shortDay(date)}`}
              />
              <span className="quiet">
                <Fractions text={cutsInWords(cuts, wording)} />
              </span>
              <span>axis {wording.angle(after.dorsalAngleDeg - after.pasternAngleDeg)}</span>
            </li>
          ))}
        </ol>
      )}
      <LineOfWhy
        label={why === undefined ? "All at once today, because" : "All at once, because"}
        hint="a long neglected foot with a clear live sole, say"
        draftKey={`${blank.id}.atOnceWhy`}
        stored={why ?? ""}
        edit={(text) => bench.choiceEdits("atOnceWhy", text === "" ? undefined : text)}
      />
      {why !== undefined && (
        <TextButton onClick={() => void bench.choose("atOnceWhy", undefined)}>In stages again</TextButton>
      )}
    </section>
  );
}
