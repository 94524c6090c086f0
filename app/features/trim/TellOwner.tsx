import { TextButton } from "~app/ui/TextButton";
import { Fractions } from "~app/ui/Fractions";
import { useEdits } from "~app/ui/useEdits";
import type { Visit } from "~core/record/visit";

/** The plan in words that could be said to the owner, and the way of putting them into the visit's note. */
export function TellOwner({ visit, text }: { visit: Visit; text: string }) {
  const { save } = useEdits();
  if (text === "") return null;
  const told = visit.tell.includes(text);
  return (
    <section className="tell-owner" aria-label="For the owner">
      <h3>For the owner</h3>
      <p>
        <Fractions text={text} />
      </p>
      <TextButton
        disabled={told}
        onClick={() =>
          void save({
            table: "visits",
            id: visit.id,
            path: ["tell"],
            was: visit.tell,
            now: visit.tell.trim() === "" ? text : `${visit.tell.trim()}\n${text}`,
            label: "what the owner is told",
          })
        }
      >
        {told ? "Stands in the note for the owner" : "Put it into the note for the owner"}
      </TextButton>
    </section>
  );
}
