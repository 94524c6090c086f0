import { Button, Input } from "antd";
import { useState } from "react";
import { PickOne } from "~app/ui/PickOne";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { OUTCOMES, type Case } from "~core/case/caseRecord";
import { change } from "~core/record/change";

/** Closing a case with its outcome, or opening it again after a relapse. */
export function CaseClosing({ one, today }: { one: Case; today: string }) {
  const { save } = useEdits();
  const [open, setOpen] = useState(false);
  const [how, setHow] = useState<(typeof OUTCOMES)[number]>("healed");
  const [says, setSays] = useState("");
  const closed = one.status === "closed";
  const close = () => {
    void save(
      change("cases", one, ["status"], "closed", "case closed"),
      change("cases", one, ["outcome"], { on: today, how, says: says.trim() }, "case closed"),
    );
    setOpen(false);
  };
  const reopen = () => {
    void save(
      change("cases", one, ["status"], "open", "case opened again"),
      change("cases", one, ["outcome"], undefined, "case opened again"),
      change(
        "cases",
        one,
        ["reopened"],
        [
          ...one.reopened,
          { on: today, because: says.trim() || (one.outcome ? `after “${one.outcome.how}”` : "") },
        ],
        "case opened again",
      ),
    );
    setOpen(false);
    setSays("");
  };
  if (!open)
    return (
      <p>
        <TextButton onClick={() => setOpen(true)}>{closed ? "Open it again" : "Close this case"}</TextButton>
      </p>
    );
  return (
    <section className="case-closing" aria-label={closed ? "Open it again" : "Close this case"}>
      {!closed && (
        <PickOne
          label="Outcome"
          value={how}
          options={OUTCOMES.map((value) => ({ value, label: value }))}
          onPick={setHow}
        />
      )}
      <Input
        aria-label={closed ? "What came back" : "In a line"}
        placeholder={closed ? "What came back" : "In a line: what it looks like now"}
        maxLength={200}
        value={says}
        onChange={(event) => setSays(event.target.value)}
      />
      <Button type="primary" onClick={closed ? reopen : close}>
        {closed ? "Open it again" : "Close it"}
      </Button>
      <TextButton onClick={() => setOpen(false)}>Leave it</TextButton>
    </section>
  );
}
