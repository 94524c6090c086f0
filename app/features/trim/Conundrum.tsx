import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import type { TrimPlan } from "~core/trim/question";
import { heelStrokes, insteadOfHeel, isConundrum, type Instead } from "~core/trim/strokes";

const WAY: Record<Instead["way"], string> = {
  toe: "off the toe",
  dress: "dressed off the toe wall",
  raise: "raise in the shoe, no cut, for a time",
  frog: "frog support: moves nothing, shares the heel’s load",
};

interface ConundrumProps {
  plan: TrimPlan;
  /** y of the heels, mm ahead of the back of the sulcus: where the bars of the figure begin. */
  heelsAt: number;
}

/** The two aims that fight on a low heel: each stroke brings the heel back and takes the angle down. */
export function Conundrum({ plan, heelsAt }: ConundrumProps) {
  const wording = useWording();
  const { foot } = plan.question;
  if (!isConundrum(foot)) return null;
  const most = Math.min(
    8,
    Math.max(3, Math.ceil(Math.max(plan.limits.most.heelMedial, plan.limits.most.heelLateral))),
  );
  const strokes = heelStrokes(foot, most);
  const instead = insteadOfHeel(foot, 2);
  const limit = Math.min(plan.limits.most.heelMedial, plan.limits.most.heelLateral);
  return (
    <details className="conundrum" open>
      <summary>
        <b>Each stroke on the heel does two things</b>
      </summary>
      <p className="quiet">
        It brings the heel’s bearing point back, which this foot wants, and takes the angle down, which it
        does not.
      </p>
      <div className="conundrum-row">
        <table>
          <thead>
            <tr>
              <th scope="col">off both heels</th>
              <th scope="col">heels bear back</th>
              <th scope="col">dorsal angle</th>
              <th scope="col">axis</th>
            </tr>
          </thead>
          <tbody>
            {strokes.map((stroke) => (
              <tr key={stroke.mm} data-past={stroke.mm > limit + 0.01}>
                <th scope="row">
                  <Fractions text={wording.cut(stroke.mm)} />
                </th>
                <td>
                  <span
                    className="stroke-bar stroke-good"
                    style={{ width: `${Math.min(90, 7 * stroke.backMm)}px` }}
                    aria-hidden
                  />
                  <Fractions
                    text={stroke.mm === 0 ? `${wording.length(heelsAt)} ahead` : wording.cut(stroke.backMm)}
                  />
                </td>
                <td>{wording.angle(stroke.dorsalAngle)}</td>
                <td>
                  <span
                    className="stroke-bar stroke-bad"
                    style={{ width: `${Math.min(90, 9 * Math.abs(stroke.axis))}px` }}
                    aria-hidden
                  />
                  {wording.angle(stroke.axis)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <table>
          <thead>
            <tr>
              <th scope="col">instead</th>
              <th scope="col">angle</th>
              <th scope="col">front</th>
              <th scope="col">support</th>
            </tr>
          </thead>
          <tbody>
            {instead.map(({ way, mm, angleDeg, frontMm, supportMm }) => (
              <tr key={way}>
                <th scope="row">
                  <Fractions text={mm > 0 ? `${wording.cut(mm)} ${WAY[way]}` : WAY[way]} />
                </th>
                <td>{way === "frog" ? "" : `${angleDeg > 0.05 ? "+" : ""}${wording.angle(angleDeg)}`}</td>
                <td>
                  <Fractions text={way === "frog" ? "" : signedCut(frontMm, wording.cut)} />
                </td>
                <td>
                  <Fractions text={way === "frog" ? "" : signedCut(supportMm, wording.cut)} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="quiet">
        Trim what is sound, then let the shoe do the rest for a limited time. A raise loads the heels it
        stands on: the frog has to share.
      </p>
    </details>
  );
}

const signedCut = (mm: number, show: (mm: number) => string): string =>
  Math.abs(mm) < 0.25 ? "0" : `${mm > 0 ? "+" : "−"}${show(Math.abs(mm))}`;
