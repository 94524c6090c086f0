import { Button } from "antd";
import { useEdits } from "~app/ui/useEdits";
import { startVisit } from "~core/record/planVisit";
import type { StageContext } from "~app/stage/stageContext";

/** Opens a planned visit; from then on every keystroke is kept with it. */
export function StartPanel({ visit, today, file }: StageContext) {
  const { save } = useEdits();
  return (
    <div className="start-panel">
      <Button
        type="primary"
        size="large"
        onClick={() => void save(...startVisit(visit, today, new Date().toISOString()))}
      >
        Start the visit to {file.horse.name}
      </Button>
    </div>
  );
}
