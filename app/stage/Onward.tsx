import { Button } from "antd";
import { STAGE_NAMES, STAGES, type Stage } from "~core/constants/stages";
import type { StageContext } from "./stageContext";

/** The way on, named; `over` is a stage further along that may be gone to at once. */
export function Onward({ stage, goTo, over }: Pick<StageContext, "stage" | "goTo"> & { over?: Stage }) {
  const next = STAGES[STAGES.indexOf(stage) + 1];
  const to = over ?? next;
  if (!to) return null;
  return (
    <div className="onward">
      <Button type="primary" size="large" onClick={() => goTo({ stage: to })}>
        On to {STAGE_NAMES[to]}
      </Button>
      {over && next && over !== next && (
        <Button type="text" onClick={() => goTo({ stage: next })}>
          {STAGE_NAMES[next]} first
        </Button>
      )}
    </div>
  );
}
