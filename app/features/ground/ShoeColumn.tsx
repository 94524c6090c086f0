import { PressureMap, type MapFrame } from "~app/charts/pressure/PressureMap";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import type { Limb } from "~core/foot/limb";
import type { Sensitivity, StoodShoe } from "~core/ground/compare";
import { standsInWords } from "~core/ground/groundRows";
import { isSoft } from "~core/ground/grounds";
import { SUPPORTS, whoPays, type Effect } from "~core/ground/whoPays";
import type { Fit } from "~core/shoe/fit";
import { SHOE_FROM, type GroundChoice } from "~core/visit/groundShoes";

interface ShoeColumnProps {
  letter: string;
  choice: GroundChoice;
  fit: Fit;
  limb: Limb;
  stood: StoodShoe | undefined;
  /** What it is held against; none for the first itself. */
  first: { choice: GroundChoice; stood: StoodShoe | undefined } | undefined;
  sensitivity: Sensitivity | undefined;
  stiffness: number;
  frame: MapFrame;
  steps: readonly number[];
  take: React.ReactNode;
}

/** One shoe on the ground: what it does in one line, its map, who is spared and who pays. */
export function ShoeColumn(props: ShoeColumnProps) {
  const { letter, choice, fit, limb, stood, first, sensitivity, stiffness, frame, steps, take } = props;
  const wording = useWording();
  const name = wording.inOwnWords(choice.name);
  const pays =
    first?.stood?.answer && stood?.answer && stood.difference
      ? whoPays({
          spec: choice.spec,
          answer: stood.answer,
          difference: stood.difference,
          sensitivity,
          first: { spec: first.choice.spec, answer: first.stood.answer },
          stiffness,
          wording,
        })
      : undefined;
  return (
    <section className="ground-column sheet" aria-label={`${letter}: ${name}`}>
      <header>
        <h2>
          <span className="ground-letter">{letter}</span> {name}
        </h2>
        <p className="quiet">{SHOE_FROM[choice.from]}</p>
      </header>
      {stood?.issues ? (
        <p className="ember ground-says" role="alert">
          {stood.issues[0]?.message}
        </p>
      ) : (
        <p className="ground-says" data-kind={pays?.kind ?? "first"}>
          {pays ? <Fractions text={pays.headline} /> : first ? "…" : "The others are held against this one."}
        </p>
      )}
      {stood?.answer ? (
        <PressureMap
          limb={limb}
          fit={fit}
          answer={stood.answer}
          places={stood.places}
          field={isSoft(stiffness) ? stood.field : undefined}
          steps={steps}
          frame={frame}
          title={`${letter}: pressure under ${name}; its numbers stand in the table`}
          wording={wording}
        />
      ) : (
        <div className="ground-no-map" />
      )}
      {pays && (
        <>
          <Effects title="Spared" effects={pays.spared} />
          <Effects title="Pays" effects={pays.pays} />
        </>
      )}
      {!first && stood?.answer && (
        <div className="ground-effects">
          <h3>As it stands</h3>
          <ul>
            {standsInWords(stood.answer, isSoft(stiffness), wording).map((line) => (
              <li key={line}>
                <Fractions text={line} />
              </li>
            ))}
          </ul>
        </div>
      )}
      {take && <div className="ground-take">{take}</div>}
    </section>
  );
}

function Effects({ title, effects }: { title: string; effects: readonly Effect[] }) {
  return (
    <div className="ground-effects">
      <h3>{title}</h3>
      {effects.length === 0 ? (
        <p className="quiet">nothing that is told</p>
      ) : (
        <ul>
          {effects.map(({ who, text, support, source }) => (
            <li key={who}>
              <b>{who}</b>: <Fractions text={text} />{" "}
              <span className="quiet" title={source}>
                {SUPPORTS[support]}
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
