import { data, useOutletContext, useSearchParams } from "react-router";
import { ArriveStage } from "~app/features/arrive/ArriveStage";
import { StartPanel } from "~app/features/arrive/StartPanel";
import { PhotoBench } from "~app/features/photo/PhotoBench";
import { PhotoPanel } from "~app/features/photo/PhotoPanel";
import { ReadStage } from "~app/features/read/ReadStage";
import { SetStage } from "~app/features/set/SetStage";
import { ShoeStage } from "~app/features/shoe/ShoeStage";
import { SignOffStage } from "~app/features/sign-off/SignOffStage";
import { FootBench } from "~app/features/survey/FootBench";
import { TrimStage } from "~app/features/trim/TrimStage";
import { WatchStage } from "~app/features/watch/WatchStage";
import { RouteTrouble } from "~app/ui/RouteTrouble";
import type { StageContext } from "~app/stage/stageContext";
import { STAGES, type Stage } from "~core/constants/stages";
import type { Moment } from "~core/foot/records/reading";
import type { Route } from "./+types/visit-stage";

export function clientLoader({ params }: Route.ClientLoaderArgs) {
  if (!STAGES.includes(params.stage as Stage))
    throw data(null, { status: 404, statusText: `A visit has no stage called ${params.stage}.` });
  return null;
}

/** The stage that the address names. Before a visit is started there is only the way in. */
export default function VisitStageRoute() {
  const context = useOutletContext<StageContext>();
  const { stage, limb, visit } = context;
  if (stage === "arrive") return <ArriveStage {...context} />;
  if (visit.status === "planned") return <StartPanel {...context} />;
  switch (stage) {
    case "survey":
      return <Measure key={`before ${limb}`} context={context} moment="before" />;
    case "recheck":
      return <Measure key={`after ${limb}`} context={context} moment="after" />;
    case "watch":
      return <WatchStage key={limb} {...context} />;
    case "read":
      return <ReadStage key={limb} {...context} />;
    case "trim":
      return <TrimStage key={limb} {...context} />;
    case "shoe":
      return <ShoeStage key={limb} {...context} />;
    case "set":
      return <SetStage key={limb} {...context} />;
    case "sign-off":
      return <SignOffStage {...context} />;
  }
}

/** One stage that fails leaves the visit around it. */
export const ErrorBoundary = RouteTrouble;

/** The foot bench, or one of its photographs where the address names it. */
function Measure({ context, moment }: { context: StageContext; moment: Moment }) {
  const [search] = useSearchParams();
  const photo = context.feet[context.limb].photos.find(({ id }) => id === search.get("photo"));
  if (photo) return <PhotoBench key={photo.id} context={context} photo={photo} />;
  return (
    <FootBench
      {...context}
      moment={moment}
      photographs={(drawn) => <PhotoPanel context={context} moment={moment} foot={drawn} />}
    />
  );
}
