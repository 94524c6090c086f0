import { Button, Switch } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { TextButton } from "~app/ui/TextButton";
import { TypedField } from "~app/ui/TypedField";
import { draftsAt } from "~app/data/drafts";
import { useDraftText } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { checkProtocol, MOST_STEPS, type Protocol, type Step } from "~core/practice/protocol";
import { fail, ok, type Result } from "~core/result";
import { ProtocolForm } from "./ProtocolForm";
import "./practice.css";

const words =
  (most: number, none: string) =>
  (text: string): Result<string | undefined> => {
    const said = text.trim();
    if (said === "") return fail("no-words", "", none);
    return said.length > most
      ? fail("too-long", "", `At most ${most} letters, so that it fits on the form.`)
      : ok(said);
  };

const readMinutes = (text: string): Result<number | undefined> => {
  if (text.trim() === "") return ok(undefined);
  const value = Number(text.replace(",", "."));
  return Number.isFinite(value) && value >= 1 && value <= 240
    ? ok(value)
    : fail("no-minutes", "", "Between 1 and 240 minutes, or nothing for no clock.");
};

/** A protocol of one's own: its steps in order, each with its reason, and the form that is printed of it. */
export function ProtocolEditor({ protocol }: { protocol: Protocol }) {
  const { save, saveWith } = useEdits();
  const navigate = useNavigate();
  const draftKey = `practice/${protocol.id}/new`;
  const draft = useDraftText(draftKey);
  const [withWhy, setWithWhy] = useState(false);
  const { id, steps } = protocol;
  const checked = checkProtocol(protocol);
  const stepsEdit = (now: Step[], label: string) => ({
    table: "protocols" as const,
    id,
    path: ["steps"],
    was: steps,
    now,
    label,
  });
  const put = (now: Step[], label: string) => void save(stepsEdit(now, label));
  const swap = (at: number, by: 1 | -1) => {
    const now = [...steps];
    const [one] = now.splice(at, 1);
    if (one) now.splice(at + by, 0, one);
    put(now, "step moved");
  };
  const add = () => {
    const text = draft.text.trim();
    if (text === "" || steps.length >= MOST_STEPS) return;
    const step = { id: crypto.randomUUID(), text: text.slice(0, 120), why: "" };
    void saveWith([stepsEdit([...steps, step], "step")], draftsAt(draftKey));
  };
  const remove = () => {
    void save({ table: "protocols", id, path: [], was: protocol, now: undefined, label: "protocol" });
    void navigate("/practice/run");
  };
  return (
    <div className="page protocol-page">
      <header className="room-head">
        <Link className="link" to="/practice/run">
          ‹ Run
        </Link>
        <h1>{protocol.name}</h1>
        <Button onClick={() => window.print()} disabled={!checked.ok}>
          Print the form
        </Button>
      </header>
      <div className="protocol-columns">
        <section className="protocol-edit" aria-label="The protocol">
          <TypedField
            label="Name"
            unit=""
            words
            draftKey={`practice/${id}/name`}
            stored={protocol.name}
            show={(name) => name}
            read={words(80, "Give the protocol a name: it stands on its form.")}
            edit={(was, now) => ({ table: "protocols", id, path: ["name"], was, now, label: "name" })}
          />
          <TypedField
            label="Time allowed"
            unit="minutes"
            placeholder="no clock"
            draftKey={`practice/${id}/minutes`}
            stored={protocol.minutes}
            show={String}
            read={readMinutes}
            edit={(was, now) => ({ table: "protocols", id, path: ["minutes"], was, now, label: "time" })}
          />
          {!checked.ok && (
            <p className="ember" role="alert">
              {checked.issues[0]?.message}
            </p>
          )}
          <ol className="protocol-steps">
            {steps.map((step, at) => (
              <li key={step.id}>
                <StepFields step={step} protocol={protocol} at={at} />
                <div className="protocol-acts">
                  {at > 0 && (
                    <label className="run-clock">
                      <Switch
                        size="small"
                        checked={step.free ?? false}
                        onChange={(free) =>
                          put(
                            steps.map(({ free: _was, ...one }, other) =>
                              other === at
                                ? { ...one, ...(free && { free }) }
                                : { ...one, ...(_was && { free: _was }) },
                            ),
                            "order",
                          )
                        }
                      />{" "}
                      may change places with the one before
                    </label>
                  )}
                  <TextButton disabled={at === 0} onClick={() => swap(at, -1)}>
                    Up
                  </TextButton>
                  <TextButton disabled={at === steps.length - 1} onClick={() => swap(at, 1)}>
                    Down
                  </TextButton>
                  <TextButton
                    className="ember"
                    onClick={() =>
                      put(
                        steps.filter((one) => one.id !== step.id),
                        "step",
                      )
                    }
                  >
                    Take it away
                  </TextButton>
                </div>
              </li>
            ))}
          </ol>
          <form
            className="protocol-add"
            onSubmit={(event) => {
              event.preventDefault();
              add();
            }}
          >
            <label htmlFor="new-step">Another step</label>
            <input
              id="new-step"
              className="value-input"
              maxLength={120}
              placeholder="Mark the true apex"
              value={draft.text}
              onChange={(event) => draft.type(event.target.value)}
            />
            <Button htmlType="submit" disabled={draft.text.trim() === "" || steps.length >= MOST_STEPS}>
              Add it
            </Button>
          </form>
          {steps.length >= MOST_STEPS && (
            <p className="quiet">{MOST_STEPS} steps: the form has no room for more.</p>
          )}
          <TextButton className="ember" onClick={remove}>
            Take this protocol away
          </TextButton>
        </section>
        <section className="protocol-paper" aria-label="The form as it is printed">
          <label className="run-clock protocol-why">
            <Switch size="small" checked={withWhy} onChange={setWithWhy} /> print the reasons, for the
            examiner
          </label>
          <ProtocolForm protocol={protocol} withWhy={withWhy} />
        </section>
      </div>
    </div>
  );
}

function StepFields({ step, protocol, at }: { step: Step; protocol: Protocol; at: number }) {
  const { id, steps } = protocol;
  const edit = (name: "text" | "why") => (_was: string | undefined, now: string | undefined) => ({
    table: "protocols" as const,
    id,
    path: ["steps"],
    was: steps,
    now: steps.map((one) => (one.id === step.id ? { ...one, [name]: now ?? "" } : one)),
    label: "step",
  });
  return (
    <>
      <TypedField
        label={`Step ${at + 1}`}
        unit=""
        words
        draftKey={`practice/${id}/${step.id}/text`}
        stored={step.text}
        show={(text) => text}
        read={words(120, "Say what is done in this step, or take it away.")}
        edit={edit("text")}
      />
      <TypedField
        label="Why here"
        unit=""
        words
        placeholder="what would go wrong elsewhere"
        draftKey={`practice/${id}/${step.id}/why`}
        stored={step.why === "" ? undefined : step.why}
        show={(text) => text}
        read={(text) => ok(text.trim() === "" ? undefined : text.trim())}
        edit={edit("why")}
      />
    </>
  );
}
