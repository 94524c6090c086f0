import { Button, Input } from "antd";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useDraftText } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { draftsAt } from "~app/data/drafts";
import type { Case } from "~core/case/caseRecord";
import { stageAt } from "~core/case/standing";
import { change } from "~core/record/change";

interface Entry {
  key: string;
  on: string;
  by: string;
  says: string;
}

/** All that happened in a case, newest first: what was written down, where feet went on, what was opened and closed. */
function entriesOf(one: Case, limbName: (limb: Case["feet"][number]) => string): Entry[] {
  const entries: Entry[] = Object.entries(one.log).map(([key, entry]) => ({ key, ...entry }));
  for (const [key, { on, limb, stage, because }] of Object.entries(one.moves)) {
    const name = one.stages.find(({ id }) => id === stage)?.name ?? stageAt(one, limb)?.stage.name ?? "";
    entries.push({
      key,
      on,
      by: "",
      says: `${limbName(limb)} on to “${name}”${because ? `: ${because}` : ""}.`,
    });
  }
  if (one.surgery) entries.push({ key: "surgery", on: one.surgery, by: "", says: "Surgery." });
  if (one.onset) entries.push({ key: "onset", on: one.onset, by: "", says: "First signs." });
  for (const [at, { on, because }] of one.reopened.entries())
    entries.push({
      key: `reopened ${at}`,
      on,
      by: "",
      says: `Opened again${because ? `: ${because}` : ""}.`,
    });
  if (one.outcome)
    entries.push({
      key: "outcome",
      on: one.outcome.on,
      by: "",
      says: `Closed: ${one.outcome.how}. ${one.outcome.says}`,
    });
  return entries.sort((a, b) => b.on.localeCompare(a.on));
}

/** The dated log of a case, and a line to add to it. */
export function CaseLog({ one, today }: { one: Case; today: string }) {
  const wording = useWording();
  const { saveWith } = useEdits();
  const draftKey = `cases/${one.id}/log`;
  const draft = useDraftText(draftKey);
  const byKey = `cases/${one.id}/log-by`;
  const by = useDraftText(byKey);
  const add = () => {
    const says = draft.text.trim();
    if (says === "") return;
    void saveWith(
      [
        change(
          "cases",
          one,
          ["log", crypto.randomUUID()],
          { on: today, by: by.text.trim(), says },
          "entry of the log",
        ),
      ],
      // They go when the entry is kept, not before.
      draftsAt(draftKey, byKey),
    );
  };
  return (
    <section className="case-log" aria-label="Log">
      <h2>Log</h2>
      <Input.TextArea
        aria-label="What happened today"
        placeholder="What happened, what was said"
        autoSize={{ minRows: 2, maxRows: 8 }}
        maxLength={10_000}
        value={draft.text}
        onChange={(event) => draft.type(event.target.value)}
      />
      <div className="case-log-add">
        <Input
          aria-label="Who said so"
          placeholder="Who said so, if not you"
          maxLength={200}
          value={by.text}
          onChange={(event) => by.type(event.target.value)}
        />
        <Button onClick={add} disabled={draft.text.trim() === ""}>
          Write it down
        </Button>
      </div>
      <dl>
        {entriesOf(one, (limb) => wording.limb(limb)).map(({ key, on, by: who, says }) => (
          <div key={key}>
            <dt>{shortDay(on)}</dt>
            <dd>
              {who && <b>{who}: </b>}
              {says}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
