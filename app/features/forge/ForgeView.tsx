import { useMemo } from "react";
import { Link, useSearchParams } from "react-router";
import type { ForgeRecords } from "~app/data/forge";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { ViewTabs } from "~app/ui/ViewTabs";
import { useView } from "~app/ui/useView";
import { jobByMeasures, jobSteel } from "~core/forge/anvil/job";
import { jobOfFoot } from "~core/visit/footJob";
import { firstForging, forgingId } from "~core/forge/forgeRecord";
import { specInWords } from "~core/shoe/specWords";
import { CutListView } from "./CutListView";
import { FORGE_VIEWS, type ForgeContext, type ForgeViewName } from "./forgeContext";
import { HandView } from "./HandView";
import { HeatsView } from "./HeatsView";
import { MarksView } from "./MarksView";
import { PatternView } from "./PatternView";
import { SteelView } from "./SteelView";
import { TablesView } from "./TablesView";
import { useForging } from "./useForging";
import "./forge.css";

/** From the shoe on the drawing to the bar on the anvil: of a foot in the records, or by two measures. */
export function ForgeView(props: ForgeRecords & { today: string }) {
  const { foot, forged } = props;
  const wording = useWording();
  const settings = useSettings();
  const { view, show } = useView<ForgeViewName>(FORGE_VIEWS, "steel");
  const blank = useMemo(
    () => (foot ? { id: forgingId(foot.visit.id, foot.limb), from: "bar" as const } : firstForging()),
    [foot],
  );
  const anvil = useForging(props.forging, blank);
  const { measures } = anvil.forging;
  /* eslint-disable react-hooks/exhaustive-deps -- wording is the same while its unit, fraction and sides are */
  const job = useMemo(
    () =>
      foot
        ? jobOfFoot({ ...foot, horse: foot.file.horse }, settings, wording)
        : jobByMeasures(measures ?? firstForging().measures),
    [foot, measures, settings],
  );
  const steelOf = useMemo(() => jobSteel(job, settings, forged, wording), [job, settings, forged]);
  /* eslint-enable react-hooks/exhaustive-deps */
  const context: ForgeContext = { ...props, job, steelOf, anvil, show };
  const bare = job.spec.type === "bare";
  const [search] = useSearchParams();
  // At the anvil there is nothing but the heat.
  if (view === "heats" && search.get("sheet") === "on" && !bare)
    return (
      <div className="page forge">
        <h1 className="visually-hidden">Running sheet</h1>
        <HeatsView {...context} />
      </div>
    );
  return (
    <div className="page forge">
      <header className="page-head forge-head">
        <div>
          <h1>Forge</h1>
          <p className="quiet">
            {job.name}
            {!bare && (
              <>
                : <Fractions text={specInWords(job.spec, wording)} />
              </>
            )}
          </p>
        </div>
        {foot && (
          <p className="forge-ways">
            <Link className="link" to={`/visits/${foot.visit.id}/shoe?foot=${foot.limb}&view=fit`}>
              Back to its fit
            </Link>
            <Link className="link" to="/forge">
              Another shoe, by two measures
            </Link>
          </p>
        )}
      </header>
      <ViewTabs label="Forge" views={FORGE_VIEWS} view={view} onShow={show} />
      {bare && view !== "list" && view !== "tables" && view !== "hand" ? (
        <p className="forge-bare">This foot goes bare: there is nothing to forge for it.</p>
      ) : (
        <>
          {view === "steel" && <SteelView {...context} />}
          {view === "marks" && <MarksView {...context} />}
          {view === "pattern" && <PatternView {...context} />}
          {view === "heats" && <HeatsView {...context} />}
        </>
      )}
      {view === "hand" && <HandView {...context} />}
      {view === "list" && <CutListView {...context} />}
      {view === "tables" && <TablesView />}
    </div>
  );
}
