import { TextButton } from "~app/ui/TextButton";
import { Button } from "antd";
import { useState } from "react";
import { SoleView } from "~app/drawing/SoleView";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { cautionsAt } from "~core/caution/cautions";
import { sentenceCase } from "~core/foot/wording";
import { specInWords } from "~core/shoe/specWords";
import { CautionNote } from "~app/ui/CautionNote";
import { NoteField } from "~app/stage/NoteField";
import { ShoeOverlay } from "~app/drawing/ShoeOverlay";
import { useShoe } from "~app/stage/useShoe";
import type { StageContext } from "~app/stage/stageContext";
import { Answers } from "./Answers";
import { HotFits } from "./HotFits";
import { NailButtons } from "./NailButtons";
import { NailNotes } from "./NailNotes";
import { Packing } from "./Packing";
import { SetSteps } from "./SetSteps";
import "~app/stage/shoe.css";
import "./set.css";

/** Putting it on: tries and their prints, the nails one by one, pad and packing, and the look at the end. */
export function SetStage(context: StageContext) {
  const { visit, limb, order, nextFoot, goTo } = context;
  const wording = useWording();
  const shoeing = useShoe(context);
  const [nail, setNail] = useState<string | undefined>(undefined);
  const { spec, bench, shoe, record } = shoeing;
  const bare = spec.type === "bare";
  const noted = Object.fromEntries(
    Object.entries(record?.nails ?? {}).map(([name, one]) => [name, one.note]),
  );
  return (
    <div className="set-stage">
      <p className="fit-says">
        <b>{sentenceCase(wording.limb(limb))}:</b> <Fractions text={specInWords(spec, wording)} />
        {!shoeing.chosen && <span className="ember"> Not taken yet.</span>}{" "}
        <TextButton onClick={() => goTo({ stage: "shoe" })}>Change the shoe</TextButton>
      </p>
      {shoeing.open
        .filter(({ impossible }) => impossible)
        .map(({ id, text }) => (
          <p key={id} className="shoe-vet" role="alert">
            <b>Not to be set: steel cannot be made so.</b> <Fractions text={text} />
          </p>
        ))}
      <div className="set-columns">
        <div className="set-left">
          <section className="sheet set-drawing" aria-label="The shoe, from below">
            <SoleView
              foot={shoe.toShoe.drawn}
              marks={shoe.toShoe.marks}
              corY={shoe.toShoe.foot.corY}
              halves={bench.fit}
              wording={wording}
              guess={!shoe.toShoe.measured}
              title={`The shoe of the ${wording.limb(limb)}, from below`}
              overlay={(geometry) => (
                <>
                  <ShoeOverlay geometry={geometry} fit={bench.fit} noted={noted} />
                  {!bare && (
                    <NailButtons geometry={geometry} shoeing={shoeing} chosen={nail} onChoose={setNail} />
                  )}
                </>
              )}
            />
            {!bare && <p className="quiet">Tap a nail to note it: close, bent, pulled, where it came out.</p>}
          </section>
          {!bare && <NailNotes shoeing={shoeing} nail={nail} onChoose={setNail} />}
        </div>
        <div className="set-right">
          {!bare && <HotFits context={context} shoeing={shoeing} />}
          {(spec.pad !== "none" || spec.packing !== "none") && !bare && (
            <Packing context={context} shoeing={shoeing} />
          )}
          <SetSteps context={context} shoeing={shoeing} />
          <Answers {...context} />
          <div className="trim-actions">
            <Button
              type="primary"
              size="large"
              onClick={() =>
                goTo(
                  nextFoot ? { limb: nextFoot } : { stage: "recheck", ...(order[0] && { limb: order[0] }) },
                )
              }
            >
              {nextFoot ? `Next: ${wording.limb(nextFoot)}` : "On to Recheck"}
            </Button>
          </div>
        </div>
      </div>
      <NoteField
        visit={visit}
        path={["notes", "set"]}
        stored={visit.notes.set ?? ""}
        label="Note on the setting"
        hint="What else happened while they were put on"
      />
      {cautionsAt("set").map((caution) => (
        <CautionNote key={caution.id} caution={caution} about={context.file.horse.id} />
      ))}
    </div>
  );
}
