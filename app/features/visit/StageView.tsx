import { ArriveStage } from "./ArriveStage";
import { FootBench } from "./bench/FootBench";
import { NoteStage } from "./NoteStage";
import { SignOffStage } from "./SignOffStage";
import type { StageContext } from "./stageContext";
import { StartPanel } from "./StartPanel";
import { TrimStage } from "./TrimStage";

/** The stage that the address names. Before a visit is started there is only the way in. */
export function StageView(context: StageContext) {
  const { stage, limb, visit } = context;
  if (stage === "arrive") return <ArriveStage {...context} />;
  if (visit.status === "planned") return <StartPanel {...context} />;
  switch (stage) {
    case "survey":
      return <FootBench key={`before ${limb}`} {...context} moment="before" />;
    case "recheck":
      return <FootBench key={`after ${limb}`} {...context} moment="after" />;
    case "trim":
      return <TrimStage key={limb} {...context} />;
    case "sign-off":
      return <SignOffStage {...context} />;
    default:
      return <NoteStage key={stage} {...context} stage={stage} />;
  }
}
