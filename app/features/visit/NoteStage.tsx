import { cautionsAt } from "~core/caution/cautions";
import { STAGE_NAMES, type Stage } from "~core/record/visit";
import { CautionNote } from "./CautionNote";
import { NoteField } from "./NoteField";
import { Onward } from "./Onward";
import { ShoeTasks } from "./ShoeTasks";
import type { StageContext } from "./stageContext";

const HINTS: Partial<Record<Stage, string>> = {
  shoe: "Shoe, section, fit, breakover, traction",
  set: "Nails, clenches, pads, packing",
};

/** A knot with a plain note. */
export function NoteStage({ visit, stage, goTo, file, feet }: StageContext) {
  return (
    <div className="note-stage">
      {stage === "shoe" && <ShoeTasks file={file} feet={feet} />}
      <NoteField
        visit={visit}

        path={["notes", stage]}
        stored={visit.notes[stage] ?? ""}
        label={STAGE_NAMES[stage]}
        hint={HINTS[stage] ?? ""}
      />
      <Onward stage={stage} goTo={goTo} />
      {cautionsAt(stage).map((caution) => (
        <CautionNote key={caution.id} caution={caution} about="" />
      ))}
    </div>
  );
}
