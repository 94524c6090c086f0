import { useNarrow } from "~app/ui/useNarrow";
import { cautionsAt } from "~core/caution/cautions";
import { CautionNote } from "~app/ui/CautionNote";
import type { StageContext } from "~app/stage/stageContext";
import { useView } from "~app/ui/useView";
import { ViewTabs } from "~app/ui/ViewTabs";
import { CutSheet } from "./CutSheet";
import { MonthsAhead } from "./MonthsAhead";
import { PairAndHorse } from "./PairAndHorse";
import { TrimBench } from "./TrimBench";
import { TrimLenses } from "./TrimLenses";
import { TRIM_VIEWS, type TrimView, type TrimViewProps } from "./trimView";
import { useBench } from "./useBench";
import "./trim.css";

/** What to take off, as a plan on the bench, as work for the hands, for the pair, and over months. */
export function TrimStage(context: StageContext) {
  const bench = useBench(context);
  const narrow = useNarrow();
  const { view, show } = useView<TrimView>(TRIM_VIEWS, bench.kept?.agreed ? "sheet" : "bench");
  const shared: TrimViewProps = { context, bench, show };
  return (
    <div className="trim-stage">
      <div className="trim-head">
        <ViewTabs label="Trim" views={TRIM_VIEWS} view={view} onShow={show} />
        {view === "bench" && !narrow && <TrimLenses {...shared} />}
      </div>
      {view === "bench" && <TrimBench {...shared} />}
      {view === "sheet" && <CutSheet {...shared} />}
      {view === "pair" && <PairAndHorse {...shared} />}
      {view === "months" && <MonthsAhead {...shared} />}
      {cautionsAt("trim").map((caution) => (
        <CautionNote key={caution.id} caution={caution} about={context.file.horse.id} />
      ))}
    </div>
  );
}
