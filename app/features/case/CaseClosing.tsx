import { Button, Input } from "antd";
import { useState } from "react";
import { PickOne } from "~app/ui/PickOne";
import { TextButton } from "~app/ui/TextButton";
import { draftsAt } from "~app/data/drafts";
import { useEdits } from "~app/ui/useEdits";
import { useDraftText } from "~app/ui/useField";
import { OUTCOMES, type Case } from "~core/case/caseRecord";
import { change } from "~core/record/change";

/** Closing a case with its outcome, or opening it again after a relapse. */
export function CaseClosing({ one, today }: { one: Case; today: string }) {
  const { saveWith } = useEdits();
  const draftKey = `cases/${one.id}/closing`;
  const says = useDraftText(draftKey);
  const [open, setOpen] = useState(says.text !== "");
  const [how, setHow] = useState<(typeof OUTCOMES)[number]>("healed");
  const closed = one.status === "closed";
  const close = () => {
    void saveWith(
      [
        change("cases", one, ["status"], "closed", "case closed"),
        change("cases", one, ["outcome"], { on: today, how, says: says.text.trim() }, "case closed"),
      ],
      draftsAt(draftKey),
    );
    setOpen(false);
  };
  const reopen = () => {
    const because = says.text.trim() || (one.outcome ? `after “${one.outcome.how}”` : "");
    const label = "case opened again";
    void saveWith(
      [
        change("cases", one, ["status"], "open", label),
        change("cases", one, ["outcome"], undefined, label),
        change("cases", one, ["reopened"], [...one.reopened, { on: today, because }], label),
      ],
      draftsAt(draftKey),
    );
    setOpen(false);
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
        value={says.text}
        onChange={(event) => says.type(event.target.value)}
      />
      <Button type="primary" onClick={closed ? reopen : close}>
        {closed ? "Open it again" : "Close it"}
      </Button>
      <TextButton
        onClick={() => {
          says.forget();
          setOpen(false);
        }}
      >
        Leave it
      </TextButton>
    </section>
  );
}
