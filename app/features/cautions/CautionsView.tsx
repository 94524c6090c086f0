import { CAUTIONS } from "~core/caution/cautions";
import { STAGE_NAMES } from "~core/constants/stages";
import "./cautions.css";

const PLACE_NAMES = { ...STAGE_NAMES, forge: "Forge", film: "Radiographs", case: "Cases" };

/** All cautions on one page; in a visit each stands where its step is. */
export function CautionsView() {
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <h1>Cautions</h1>
          <p className="quiet">What can hurt the horse or the person, and when to stop.</p>
        </div>
      </header>
      <div className="cautions">
        {CAUTIONS.map(({ id, title, lines, stages }) => (
          <section
            key={id}
            className={id === "vet" ? "caution-card caution-vet" : "caution-card"}
            aria-label={title}
          >
            <h2>{title}</h2>
            {lines.map((line) => (
              <p key={line}>{line}</p>
            ))}
            {stages.length > 0 && (
              <p className="quiet">Shown at: {stages.map((stage) => PLACE_NAMES[stage]).join(", ")}</p>
            )}
          </section>
        ))}
      </div>
    </div>
  );
}
