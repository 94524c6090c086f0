import { Button } from "antd";
import { useState } from "react";
import { readText } from "~app/data/readText";
import { TakeButton } from "~app/ui/TakeButton";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import type { Case } from "~core/case/caseRecord";
import type { Horse } from "~core/record/horse";
import { readReply, type ReplyRead } from "~core/sheet/replyIn";

/** The vet's answer, looked at before anything of it is taken. */
export function AnswerIn({ one, horse }: { one: Case; horse: Horse }) {
  const wording = useWording();
  const { save } = useEdits();
  const [read, setRead] = useState<ReplyRead>();
  const [trouble, setTrouble] = useState<string>();
  const look = async (file: File) => {
    setRead(undefined);
    setTrouble(undefined);
    const text = await readText(file);
    const found = text.ok ? readReply(text.value, one, horse, () => crypto.randomUUID(), wording) : text;
    if (found.ok) setRead(found.value);
    else setTrouble(found.issues[0]?.message);
  };
  return (
    <section className="answer-in" aria-label="The vet’s answer">
      <p className="marking-acts">
        <TakeButton
          beside
          label="Read the vet’s answer"
          accept="application/json,.json"
          onFile={(file) => void look(file)}
        >
          Read the vet’s answer
        </TakeButton>
      </p>
      {trouble && (
        <p role="alert" className="ember">
          {trouble}
        </p>
      )}
      {read && (
        <div className="answer-look sheet">
          <h3>
            {read.reply.by}, {read.reply.on}
          </h3>
          {read.changes.length === 0 ? (
            <p>Nothing changes. It is written into the log.</p>
          ) : (
            <table>
              <thead>
                <tr>
                  <th scope="col">What</th>
                  <th scope="col">Now</th>
                  <th scope="col">Then</th>
                </tr>
              </thead>
              <tbody>
                {read.changes.map(({ name, was, now }) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td>{was}</td>
                    <td className="strong">{now}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          <p className="marking-acts">
            <Button
              type="primary"
              onClick={() => {
                void save(...read.edits);
                setRead(undefined);
              }}
            >
              Take it
            </Button>
            <TextButton onClick={() => setRead(undefined)}>Leave it</TextButton>
          </p>
        </div>
      )}
    </section>
  );
}
