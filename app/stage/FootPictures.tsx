import type { Measure } from "~core/foot/measures";
import { MEASURES } from "~core/foot/measures";
import type { FootParameters } from "~core/foot/parametric/parameters";
import type { SolarMarks } from "~core/foot/survey/frame";
import { RearView } from "~app/drawing/RearView";
import { SideView, type SideAimLine, type SideViewProps } from "~app/drawing/SideView";
import { SoleView, type SoleViewProps } from "~app/drawing/SoleView";
import { useWording } from "~app/ui/useWording";

interface FootPicturesProps {
  foot: FootParameters;
  ghost: FootParameters | undefined;
  ghostName: string;
  /** What was not measured and is drawn as a guess. */
  guessed: readonly Measure[];
  /** The foot as it was planned, dotted in every view. */
  planned?: FootParameters | undefined;
  filledName?: string;
  sole?: Pick<
    SoleViewProps,
    "marks" | "corY" | "shape" | "aims" | "overlay" | "ghostMarks" | "ghostCorY" | "planned"
  >;
  sideOverlay?: SideViewProps["overlay"];
  rearOverlay?: SideViewProps["overlay"];
  sideAims?: readonly SideAimLine[];
  tiltDeg?: number | undefined;
  /** True once the sole was surveyed: halves are measured, not estimated. */
  surveyed?: boolean;
  /** The radiograph that centre of rotation and tip are taken off, in words. */
  filmed?: string | undefined;
  tables?: React.ReactNode;
}

const count = (marks: SolarMarks | undefined) => Object.keys(marks ?? {}).length;

/** Sole, side and rear at one scale, and what of them is only a guess. */
export function FootPictures(props: FootPicturesProps) {
  const {
    foot,
    ghost,
    ghostName,
    guessed,
    filledName,
    sole,
    sideAims,
    tiltDeg,
    surveyed = false,
    filmed,
  } = props;
  const { planned } = props;
  const wording = useWording();
  const guess = guessed.length === MEASURES.length && count(sole?.marks) === 0;
  const shared = { foot, ghost, planned, wording, guess };
  const limb = wording.limb(foot.limb);
  return (
    <section className="pictures sheet" aria-label="The foot, drawn to scale">
      <div className="pictures-row">
        <figure className="picture-sole">
          <figcaption>Sole, from below</figcaption>
          <SoleView {...shared} {...sole} title={`Sole of the ${limb} from below`} />
        </figure>
        <figure className="picture-side">
          <figcaption>From the outside</figcaption>
          <SideView
            {...shared}
            aims={sideAims ?? []}
            overlay={props.sideOverlay}
            title={`Side view of the ${limb}`}
          />
        </figure>
        <figure className="picture-rear">
          <figcaption>From behind</figcaption>
          <RearView
            {...shared}
            tiltDeg={tiltDeg}
            overlay={props.rearOverlay}
            title={`The ${limb} from behind`}
          />
        </figure>
      </div>
      <p className="pictures-key quiet">
        {filledName && <span>filled: {filledName} · </span>}
        {ghost && ghostName && <span>dashed: {ghostName} · </span>}
        {(planned ?? sole?.planned) && <span className="verdigris">dotted: planned · </span>}
        {sole?.shape && <span className="verdigris">green: the foot’s own shape · </span>}
        {filmed && <span className="verdigris">{filmed} · </span>}
        {guess
          ? "nothing measured yet: this is a pale guess"
          : guessed.length > 0
            ? `not measured, drawn as a guess: ${guessed.map((one) => wording.measure(one).toLowerCase()).join(", ")}${surveyed ? "" : " · halves are an estimate"}`
            : surveyed
              ? "halves as surveyed"
              : "the plumb line’s place is an estimate until the sole is surveyed"}
      </p>
      {props.tables}
    </section>
  );
}
