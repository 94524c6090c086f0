import { LensBar } from "~app/stage/LensBar";
import type { TrimViewProps } from "./trimView";

/** The lenses that the plan is made for, and another one to lay over it. */
export function TrimLenses({ context, bench }: Pick<TrimViewProps, "context" | "bench">) {
  return (
    <div className="trim-lenses">
      <LensBar
        horse={context.file.horse}
        chosen={bench.lenses}
        second={bench.secondLens}
        onSecond={bench.setSecond}
      />
    </div>
  );
}
