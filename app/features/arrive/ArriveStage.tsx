import { shortDay } from "~app/ui/days";
import { FootBoard } from "~app/ui/FootBoard";
import { CasesHere } from "~app/ui/CasesHere";
import { LivingFinds } from "~app/ui/LivingFinds";
import { useWording } from "~app/ui/useWording";
import { LIMBS } from "~core/foot/limb";
import type { Wording } from "~core/foot/wording";
import { lengthInField } from "~core/foot/wording";
import { horseOutlook } from "~core/cycle/horseDue";
import { cautionsAt, cautionsForKind } from "~core/caution/cautions";
import { workInWords } from "~core/cycle/dueWords";
import { ArriveQuestions } from "./ArriveQuestions";
import { CautionNote } from "~app/ui/CautionNote";
import { NoteField } from "~app/stage/NoteField";
import type { StageContext } from "~app/stage/stageContext";
import { Onward } from "~app/stage/Onward";
import { StartPanel } from "./StartPanel";
import "./arrive.css";

/** What was done last time, what was to be watched, how this horse is, and what the owner says. */
export function ArriveStage(context: StageContext) {
  const { visit, file } = context;
  const last = file.visits.findLast(
    (one) => one.status === "signed" && one.id !== visit.id && one.date <= visit.date,
  );
  const known = file.readings.filter((reading) => reading.visitId !== visit.id && reading.date <= visit.date);
  const wording = useWording();
  const outlooks = horseOutlook(file.horse, known, file.settings);
  const taken = last && lastCuts(file, last.id, wording);
  return (
    <div className="arrive">
      <section className="arrive-brief">
        <h2>Before you begin</h2>
        {file.horse.habits && <p className="ember strong arrive-big">{file.horse.habits}</p>}
        <p className="arrive-big">{last?.watch || "Nothing was left to watch."}</p>
        <dl className="facts">
          <dt>Last visit</dt>
          <dd>{last ? shortDay(last.date) : "none yet"}</dd>
          {last?.tell && (
            <>
              <dt>Told the owner</dt>
              <dd>{last.tell}</dd>
            </>
          )}
          {taken && (
            <>
              <dt>Taken off last</dt>
              <dd>{taken}</dd>
            </>
          )}
          <dt>Work</dt>
          <dd>
            {workInWords(file.horse.use)}, {file.horse.finish}
          </dd>
          <dt>At the yard</dt>
          <dd>{[file.yard.person, file.yard.access].filter(Boolean).join(" · ") || "no note"}</dd>
          {file.horse.notes && (
            <>
              <dt>Notes</dt>
              <dd>{file.horse.notes}</dd>
            </>
          )}
        </dl>
        <CasesHere file={file} day={visit.date} />
        <LivingFinds file={file} outlooks={outlooks} day={visit.date} visitId={visit.id} />
        {visit.status === "planned" ? (
          <StartPanel {...context} />
        ) : (
          <div>
            <NoteField
              visit={visit}

              path={["notes", "arrive"]}
              stored={visit.notes.arrive ?? ""}
              label="What the owner says, how the horse is today"
              hint="Feed, illness, work, wet or dry ground, anything new"
            />
            <ArriveQuestions {...context} />
            <Onward {...context} over="survey" />
          </div>
        )}
      </section>
      <aside>
        {[...cautionsAt("arrive"), ...cautionsForKind(file.horse)].map((caution) => (
          <CautionNote
            key={caution.id}
            caution={caution}
            about={file.horse.habits && `${file.horse.id} ${file.horse.habits}`.slice(0, 90)}
          />
        ))}
      </aside>
      <div className="arrive-feet">
        <FootBoard
          horse={file.horse}
          records={{ ...file, readings: known }}
          outlooks={outlooks}
          last={last}
        />
      </div>
    </div>
  );
}

/** The cuts of the last visit, a foot after the other: "LF toe 6.5, heels 1 / 2.5". */
function lastCuts(file: StageContext["file"], visitId: string, wording: Wording): string {
  const say = (mm: number | undefined) =>
    mm === undefined ? "–" : lengthInField(mm, wording, mm % 1 === 0 ? 0 : 1);
  return LIMBS.flatMap((limb) => {
    const cuts = file.trims.find((trim) => trim.visitId === visitId && trim.limb === limb)?.cuts ?? {};
    if (Object.keys(cuts).length === 0) return [];
    return [`${limb} toe ${say(cuts.toe)}, heels ${say(cuts.heelMedial)} / ${say(cuts.heelLateral)}`];
  }).join(" · ");
}
