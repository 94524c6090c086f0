import { useState } from "react";
import { keepPicture } from "~app/data/pictures";
import { storageTrouble } from "~app/data/trouble";
import { shortDay } from "~app/ui/days";
import { TakeButton } from "~app/ui/TakeButton";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { usePicture } from "~app/ui/usePicture";
import { useWording } from "~app/ui/useWording";
import type { Case } from "~core/case/caseRecord";
import { prescriptionOn } from "~core/case/standing";
import { asksInWords } from "~core/shoe/specWords";
import { change } from "~core/record/change";
import { counted, everyWeeks } from "~core/units/counted";

/** The prescription as it is kept, how long it holds, and its paper. */
export function Prescribed({ one, today }: { one: Case; today: string }) {
  const wording = useWording();
  const { save } = useEdits();
  const [trouble, setTrouble] = useState<string>();
  const { prescription } = one;
  const state = prescriptionOn(one, today);
  const takePaper = async (file: File) => {
    setTrouble(undefined);
    try {
      const kept = await keepPicture(file);
      if (!kept.ok) return setTrouble(kept.issues[0]?.message);
      await save(change("cases", one, ["paperId"], kept.value.pictureId, "paper of the prescription"));
    } catch (error) {
      setTrouble(storageTrouble(error));
    }
  };
  return (
    <section className="prescribed" aria-label="Prescription">
      <h2>Prescription</h2>
      {prescription && state ? (
        <>
          <p className={state.state === "valid" ? "strong" : "ember strong"}>
            {state.state === "expired" ? "Ran out" : "Until"} {shortDay(prescription.until)}
            {state.state === "expires" &&
              (state.days === 0 ? ", the last day" : `, ${counted(state.days, "day")} left`)}
          </p>
          <p>
            {prescription.by}
            {prescription.written && <span className="quiet">, {shortDay(prescription.written)}</span>}
          </p>
          {prescription.says && <p className="prescribed-says">{prescription.says}</p>}
          <p className="quiet">
            {[
              prescription.feet.map((limb) => wording.limb(limb)).join(", "),
              ...asksInWords(prescription, wording),
              ...(prescription.weeks === undefined
                ? []
                : [`${everyWeeks(prescription.weeks)} at the longest`]),
            ].join(" · ")}
          </p>
          {state.state === "expired" && <p>It no longer decides the shoe. Ask the vet for a new one.</p>}
        </>
      ) : (
        <p className="quiet">None written down. Change the case to put one in.</p>
      )}
      {one.paperId && <Paper pictureId={one.paperId} />}
      <p className="marking-acts">
        <TakeButton beside label="Picture of its paper" onFile={(file) => void takePaper(file)}>
          {one.paperId ? "Another picture of its paper" : "Picture of its paper"}
        </TakeButton>
        {one.paperId && (
          <TextButton
            className="ember"
            onClick={() =>
              void save(change("cases", one, ["paperId"], undefined, "paper of the prescription"))
            }
          >
            Take it away
          </TextButton>
        )}
      </p>
      {trouble && (
        <p role="alert" className="ember">
          {trouble}
        </p>
      )}
    </section>
  );
}

function Paper({ pictureId }: { pictureId: string }) {
  const { url, missing } = usePicture(pictureId);
  if (missing) return <p className="quiet">The picture of its paper is not in this store.</p>;
  return url ? (
    <a href={url} target="_blank" rel="noreferrer">
      <img className="prescribed-paper" src={url} alt="The prescription as it was written" />
    </a>
  ) : null;
}
