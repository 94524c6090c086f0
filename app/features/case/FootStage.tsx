import { Button, Input } from "antd";
import { useState } from "react";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { TextButton } from "~app/ui/TextButton";
import { draftsAt } from "~app/data/drafts";
import { useEdits } from "~app/ui/useEdits";
import { useDraftText } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { stagesOf, type Case } from "~core/case/caseRecord";
import { exitInWords, type ExitAnswer } from "~core/case/exitTests";
import type { FootStanding } from "~core/casework/caseStanding";
import { sentenceCase } from "~core/foot/wording";
import { change } from "~core/record/change";

const MARKS: Record<ExitAnswer["state"], { sign: string; word: string }> = {
  met: { sign: "✓", word: "met" },
  "not yet": { sign: "✗", word: "not yet" },
  "not measured": { sign: "?", word: "not measured" },
};

/** One foot of a case: its ladder of stages, the shoeings done, and each exit test at every visit of the stage. */
export function FootStage({ one, foot, today }: { one: Case; foot: FootStanding; today: string }) {
  const wording = useWording();
  const { save, saveWith } = useEdits();
  const { limb, stage, since, next, shoeings, tested, latest, ready, overdue } = foot;
  const draftKey = `cases/${one.id}/on ${limb}`;
  const because = useDraftText(draftKey);
  const [asks, setAsks] = useState(because.text !== "");
  const name = wording.limb(limb);
  const open = one.status === "open";
  const goOn = (why: string) => {
    if (!next) return;
    const move = { on: today, limb, stage: next.id, because: why };
    void saveWith(
      [change("cases", one, ["moves", crypto.randomUUID()], move, `${name} goes on to ${next.name}`)],
      draftsAt(draftKey),
    );
    setAsks(false);
  };
  if (!stage)
    return (
      <section className="foot-stage" aria-label={name}>
        <h3>{sentenceCase(name)}</h3>
        <p className="quiet">The plan has no stage for this foot.</p>
      </section>
    );
  const key = `${stage.id} ${limb}`;
  const visits = tested.slice(-5);
  return (
    <section className="foot-stage sheet" aria-label={name}>
      <h3>
        {sentenceCase(name)}
        {ready && <span className="verdigris"> · {next ? "ready to go on" : "last tests met"}</span>}
        {overdue && <span className="ember"> · overdue for its exit</span>}
      </h3>
      <ol className="stage-ladder" aria-label={`Stages of the ${name}`}>
        {stagesOf(one, limb).map((step, at) => (
          <li
            key={step.id}
            className={at + 1 < foot.at ? "stage-done" : at + 1 === foot.at ? "stage-now" : "stage-ahead"}
            aria-current={at + 1 === foot.at ? "step" : undefined}
          >
            <span>{step.name}</span>
          </li>
        ))}
      </ol>
      <p>
        {since ? `Since ${shortDay(since)}` : "Since when is not known"} ·{" "}
        <b>
          {shoeings}
          {stage.shoeings === undefined ? "" : ` of ${stage.shoeings}`}{" "}
          {shoeings === 1 && !stage.shoeings ? "shoeing" : "shoeings"}
        </b>
        {stage.says && <span className="quiet"> · {stage.says}</span>}
      </p>
      {stage.exit.length === 0 ? (
        <p className={next ? "brass strong" : "quiet"}>
          {next
            ? "No exit: how is it seen that this stage has done its work?"
            : "The last stage: nothing comes after it."}
        </p>
      ) : (
        <table className="stage-tests">
          <caption className="visually-hidden">Exit tests of the {name}</caption>
          <thead>
            <tr>
              <th scope="col">To leave it</th>
              {visits.map(({ date }) => (
                <th scope="col" key={date}>
                  {shortDay(date)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {stage.exit.map((test, index) => (
              <tr key={JSON.stringify(test)}>
                <th scope="row">
                  <Fractions text={exitInWords(test, wording)} />
                  {latest?.answers[index] && (
                    <span className="stage-says quiet">
                      <Fractions text={latest.answers[index].answer.says} />
                    </span>
                  )}
                  {test.kind === "vet agrees" && open && (
                    <TextButton
                      onClick={() =>
                        void save(
                          change(
                            "cases",
                            one,
                            ["vetAgreed", key],
                            one.vetAgreed[key] === undefined ? today : undefined,
                            "what the vet said",
                          ),
                        )
                      }
                    >
                      {one.vetAgreed[key] === undefined ? "The vet agreed today" : "Take it back"}
                    </TextButton>
                  )}
                </th>
                {visits.map(({ date, answers }) => {
                  const { sign, word } = MARKS[answers[index]?.answer.state ?? "not measured"];
                  return (
                    <td
                      key={date}
                      className={`stage-${word.replace(" ", "-")}`}
                      title={answers[index]?.answer.says}
                    >
                      <span aria-hidden>{sign}</span>
                      <span className="visually-hidden">{word}</span>
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {open && next && (
        <div className="stage-acts">
          {ready ? (
            <Button type="primary" onClick={() => goOn("")}>
              Go on to {next.name}
            </Button>
          ) : !asks ? (
            <TextButton onClick={() => setAsks(true)}>Go on to {next.name} all the same</TextButton>
          ) : (
            <>
              <Input
                aria-label="Why it goes on before its tests are met"
                placeholder="Why, and who said so"
                maxLength={200}
                value={because.text}
                onChange={(event) => because.type(event.target.value)}
              />
              <Button disabled={because.text.trim() === ""} onClick={() => goOn(because.text.trim())}>
                Go on
              </Button>
              <TextButton
                onClick={() => {
                  because.forget();
                  setAsks(false);
                }}
              >
                Leave it
              </TextButton>
            </>
          )}
        </div>
      )}
    </section>
  );
}
