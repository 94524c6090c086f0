import { memo } from "react";
import { TextButton } from "~app/ui/TextButton";
import { useSettings } from "./useWording";
import { useEdits } from "./useEdits";
import type { Caution } from "~core/caution/cautions";
import "./caution.css";

interface CautionNoteProps {
  caution: Caution;
  /** What the caution is about here; when it changes, the caution speaks again. */
  about: string;
}

/** A caution where its step is: said once in full, then one quiet line until something changes. */
export const CautionNote = memo(function CautionNote({ caution, about }: CautionNoteProps) {
  const settings = useSettings();
  const { save } = useEdits();
  const key = `${caution.id} ${about}`;
  if (settings.cautionsRead.includes(key))
    return (
      <details className="caution-quiet">
        <summary>Caution: {caution.title.toLowerCase()}</summary>
        <CautionLines caution={caution} />
      </details>
    );
  return (
    <section className="caution" aria-label={`Caution: ${caution.title}`}>
      <h2>{caution.title}</h2>
      <CautionLines caution={caution} />
      <TextButton
        onClick={() =>
          void save({
            table: "settings",
            id: "settings",
            path: ["cautionsRead"],
            was: settings.cautionsRead,
            now: [...settings.cautionsRead, key].slice(-200),
            label: "caution read",
          })
        }
      >
        Read
      </TextButton>
    </section>
  );
});

const CautionLines = ({ caution }: { caution: Caution }) =>
  caution.lines.map((line) => <p key={line}>{line}</p>);
