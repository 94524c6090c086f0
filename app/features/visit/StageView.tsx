import { useSearchParams } from "react-router";
import { ArriveStage } from "./ArriveStage";
import { FootBench } from "./bench/FootBench";
import { PhotoBench } from "./photo/PhotoBench";
import { ReadStage } from "./read/ReadStage";
import { SignOffStage } from "./SignOffStage";
import { SetStage } from "./set/SetStage";
import { ShoeStage } from "./shoe/ShoeStage";
import type { StageContext } from "./stageContext";
import { StartPanel } from "./StartPanel";
import { TrimStage } from "./trim/TrimStage";
import { WatchStage } from "./watch/WatchStage";

/** The stage that the address names. Before a visit is started there is only the way in. */
export function StageView(context: StageContext) {
  const { stage, limb, visit, feet } = context;
  const [search] = useSearchParams();
  const photo = feet[limb].photos.find(({ id }) => id === search.get("photo"));
  if (stage === "arrive") return <ArriveStage {...context} />;
  if (visit.status === "planned") return <StartPanel {...context} />;
  switch (stage) {
    case "survey":
      if (photo) return <PhotoBench key={photo.id} context={context} photo={photo} />;
      return <FootBench key={`before ${limb}`} {...context} moment="before" />;
    case "recheck":
      if (photo) return <PhotoBench key={photo.id} context={context} photo={photo} />;
      return <FootBench key={`after ${limb}`} {...context} moment="after" />;
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
