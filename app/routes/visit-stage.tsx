import { data, useOutletContext } from "react-router";
import { StageView } from "~app/features/visit/StageView";
import type { StageContext } from "~app/features/visit/stageContext";
import { STAGES, type Stage } from "~core/record/visit";
import type { Route } from "./+types/visit-stage";

export function clientLoader({ params }: Route.ClientLoaderArgs) {
  if (!STAGES.includes(params.stage as Stage))
    throw data(null, { status: 404, statusText: `A visit has no stage called ${params.stage}.` });
  return null;
}

export default function VisitStageRoute() {
  return <StageView {...useOutletContext<StageContext>()} />;
}
