import { Fractions } from "~app/ui/Fractions";
import { TextButton } from "~app/ui/TextButton";
import { useWording } from "~app/ui/useWording";
import type { Bench } from "./useBench";

/** Less than this further back is not worth a tap, mm. */
const WORTH_ASKING_MM = 1;

/** The toe wall taken further back than its own shape: the user's own tap, with its caution. */
export function FurtherBack({ bench }: { bench: Bench }) {
  const wording = useWording();
  const { plan, trim } = bench;
  if (!plan) return null;
  const further = trim?.furtherBack === true;
  const { furthest, most, by } = plan.limits.dressing;
  if (!further && (by !== "shape" || plan.question.dressAsksVet || furthest < most + WORTH_ASKING_MM))
    return null;
  return (
    <p className={`further-back${further ? " ember" : " quiet"}`}>
      {further
        ? "Further back than the foot’s own shape: the wall gets thin where it bears the most, and 6 mm of horn have to stay. "
        : ""}
      <TextButton onClick={() => void bench.choose("furtherBack", further ? undefined : true)}>
        <Fractions
          text={
            further
              ? "Only to its own shape again"
              : `Take the toe further back, up to ${wording.cut(Math.floor(2 * furthest) / 2)}`
          }
        />
      </TextButton>
    </p>
  );
}
