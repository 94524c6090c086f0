import { useState } from "react";
import { Link } from "react-router";
import { cautionsAt } from "~core/caution/cautions";
import { CautionNote } from "~app/ui/CautionNote";
import { NoteField } from "~app/stage/NoteField";
import type { StageContext } from "~app/stage/stageContext";
import { useView } from "~app/ui/useView";
import { ViewTabs } from "~app/ui/ViewTabs";
import { Choose } from "./Choose";
import { FitBench } from "./FitBench";
import { ReadyMade } from "./ReadyMade";
import { SHOE_VIEWS, type ShoeView, type ShoeViewProps } from "./shoeView";
import { useShoe } from "~app/stage/useShoe";
import "~app/stage/shoe.css";
import "./shoe.css";

const NOTE = ["notes", "shoe"] as const;

/** What goes on the foot: chosen with its reasons, fitted on the drawing, found in a table of ready-made ones. */
export function ShoeStage(context: StageContext) {
  const shoeing = useShoe(context);
  // Where the stage opens is decided once: taking a shoe leaves the hand where it is.
  const [opens] = useState<ShoeView>(shoeing.chosen ? "fit" : "choose");
  const { view, show } = useView(SHOE_VIEWS, opens);
  const shared: ShoeViewProps = { context, shoeing, show };
  const { visit } = context;
  return (
    <div className="shoe-stage">
      <div className="shoe-ways">
        <ViewTabs label="Shoe" views={SHOE_VIEWS} view={view} onShow={show} />
        <Link className="link" to={`/ground/${visit.id}/${context.limb}`}>
          On the ground
        </Link>
      </div>
      {view === "choose" && <Choose {...shared} />}
      {view === "fit" && <FitBench {...shared} />}
      {view === "sizes" && <ReadyMade {...shared} />}
      <NoteField
        visit={visit}
        path={NOTE}
        stored={visit.notes.shoe ?? ""}
        label="Note on the shoeing"
        hint="What else is to be known about these shoes"
      />
      {cautionsAt("shoe").map((caution) => (
        <CautionNote key={caution.id} caution={caution} about={context.file.horse.id} />
      ))}
    </div>
  );
}
