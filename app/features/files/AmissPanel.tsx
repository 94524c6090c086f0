import { Button } from "antd";
import { useState } from "react";
import { mendingEdits, twinEdits, type Amiss } from "~app/data/mending";
import { session } from "~app/data/session";
import { useEdits } from "~app/ui/useEdits";
import type { Edit } from "~core/record/edit";
import { sentenceCase } from "~core/foot/wording";
import { TABLE_WORDS } from "~core/merge/words";
import { counted } from "~core/units/counted";

/** Pairs that are shown at once. */
const MOST_SHOWN = 20;

/** What is in the records twice, and what belongs to nothing: each set right with one press, undone with one. */
export function AmissPanel({ twins, missing }: Amiss) {
  const { save } = useEdits();
  const [busy, setBusy] = useState(false);
  if (twins.length === 0 && missing === 0) return null;
  const setRight = async (edits: Promise<Edit[]>) => {
    setBusy(true);
    await save(...(await edits));
    setBusy(false);
  };
  return (
    <section className="file-section" aria-label="To set right">
      <h2>To set right</h2>
      {missing > 0 && (
        <>
          <p>
            {missing === 1 ? "One yard or horse is" : `${missing} yards or horses are`} missing that other
            records belong to.
          </p>
          <Button disabled={busy} onClick={() => void setRight(mendingEdits(session.db))}>
            Put a stand-in there
          </Button>
        </>
      )}
      {twins.length > 0 && (
        <>
          <p className="quiet">
            In the records twice, it seems. All that hangs on the second goes to the first. If they are two,
            give one another name.
          </p>
          <ul className="twins">
            {twins.slice(0, MOST_SHOWN).map(({ table, stays, goes, named, yard }) => (
              <li key={goes}>
                <span>
                  {sentenceCase(TABLE_WORDS[table][0])} <span className="strong">{named[0]}</span>
                  {named[1] !== named[0] && ` and ${named[1]}`}
                  {yard && <span className="quiet">, {yard}</span>}
                </span>
                <Button
                  disabled={busy}
                  onClick={() => void setRight(twinEdits(session.db, { table, stays, goes }))}
                >
                  Make one
                </Button>
              </li>
            ))}
          </ul>
          {twins.length > MOST_SHOWN && (
            <p className="quiet">and {counted(twins.length - MOST_SHOWN, "pair")} more</p>
          )}
        </>
      )}
    </section>
  );
}
