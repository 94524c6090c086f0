import { Button, Switch } from "antd";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { pairOf } from "~core/foot/limb";
import { SHOE_RULES } from "~core/shoe/advice/advise";
import {
  isBar,
  ordinaryShoe,
  SPEC_NAMES,
  specDifferences,
  type Specification,
  type SpecField,
} from "~core/shoe/specification";
import { differencesInWords, fieldInWords } from "~core/shoe/specWords";
import { sentenceCase } from "~core/foot/wording";
import { LineOfWhy } from "~app/stage/LineOfWhy";
import { EdgePaint } from "./EdgePaint";
import { SpecInput } from "./SpecInput";
import type { ShoeViewProps } from "./shoeView";

/** Groups of the specification in the order in which a shoe is thought of; a folded one is asked more rarely. */
const GROUPS: readonly (readonly [name: string, fields: readonly SpecField[], folded?: "folded"])[] = [
  ["The bar", ["type", "width", "thickness", "profile", "material", "crease"]],
  ["Toe and heels", ["toe", "toeEdge", "support", "fullMedial", "fullLateral"]],
  [
    "Hold and grip",
    ["clips", "nailsMedial", "nailsLateral", "pattern", "nailMetal", "traction", "studsGood", "studsWet"],
  ],
  ["Under the foot", ["relief", "pad", "riveted", "packing", "packed", "raise", "sideWedge"]],
  [
    "Each branch its own",
    [
      "endMedial",
      "endLateral",
      "longerMedial",
      "longerLateral",
      "widerMedial",
      "widerLateral",
      "outMedial",
      "outLateral",
      "changeFrom",
      "turn",
      "fullToeMedial",
      "fullToeLateral",
    ],
    "folded",
  ],
];

interface SpecTableProps extends ShoeViewProps {
  /** What the adviser has first, and which rule set what. */
  advised: Specification | undefined;
  by: Partial<Record<SpecField, string>>;
  onward: () => void;
}

/** The specification, field by field, beside what it was last time; what a hand changed asks for a line of why. */
export function SpecTable(props: SpecTableProps) {
  const { context, shoeing, advised, by, onward } = props;
  const { feet, limb } = context;
  const { spec, draft } = shoeing;
  const wording = useWording();
  const last = feet[limb].lastShoe?.spec;
  const changed = last ? specDifferences(last, spec) : [];
  const ordinary = ordinaryShoe(limb, context.file.horse.massKg);
  const overrules = advised ? specDifferences(advised, spec) : [];
  const pair = wording.limb(pairOf(limb));
  const pairSpec = feet[pairOf(limb)].shoe?.spec;
  const field = (name: SpecField) => {
    const label = sentenceCase(wording.inOwnWords(SPEC_NAMES[name]));
    const rule =
      advised && spec[name] === advised[name] ? SHOE_RULES.find(({ id }) => id === by[name]) : undefined;
    return (
      <div key={name} className="spec-row" data-changed={changed.includes(name)}>
        <SpecInput name={name} label={label} {...props} />
        <span className="spec-beside quiet">
          {changed.includes(name) && last ? (
            <>
              last <Fractions text={fieldInWords(last, name, wording)} />
            </>
          ) : rule ? (
            wording.inOwnWords(rule.when).toLowerCase()
          ) : (
            ""
          )}
        </span>
      </div>
    );
  };
  return (
    <section className="spec sheet" aria-label="The specification">
      <h2>
        {sentenceCase(wording.limb(limb))}
        {!shoeing.chosen && (
          <span className="quiet">
            {" "}
            · {last ? "as last time, not taken yet" : "as advised, not taken yet"}
          </span>
        )}
      </h2>
      {spec.type === "bare"
        ? field("type")
        : GROUPS.map(([name, fields, folded]) => {
            const asked = fields.filter((one) => isAsked(one, spec)).map(field);
            return folded ? (
              <details key={name} className="spec-folded" open={isOwn(fields, spec, ordinary)}>
                <summary>{name}</summary>
                <div className="spec-group">{asked}</div>
              </details>
            ) : (
              <fieldset key={name} className="spec-group">
                <legend>{name}</legend>
                {asked}
              </fieldset>
            );
          })}
      {spec.type !== "bare" && (
        <details className="spec-folded" open={isOwn(["edges", "unloaded"], spec, ordinary)}>
          <summary>Edges by place, and what is unloaded</summary>
          <EdgePaint limb={limb} shoeing={shoeing} />
        </details>
      )}
      {changed.length > 0 && last && (
        <p className="spec-changed">
          <b>Against last time:</b> <Fractions text={differencesInWords(last, spec, wording)} />.
        </p>
      )}
      {shoeing.chosen && overrules.length > 0 && (
        <LineOfWhy
          label="Why not as advised?"
          hint="One line, kept with the shoe"
          draftKey={`${context.visit.id}.${limb}.shoe.because`}
          stored={draft.because}
          edit={(because) => shoeing.editsOf(() => ({ because }))}
        />
      )}
      <label className="spec-alike">
        <Switch
          checked={draft.alike}
          onChange={(alike) => shoeing.change((now) => ({ alike, ...(alike && { spec: now.spec ?? spec }) }))}
        />
        <span>
          {draft.alike ? `The ${pair} gets the same` : `The ${pair} differs on purpose`}
          {!draft.alike && pairSpec && specDifferences(pairSpec, spec).length > 0 && (
            <span className="quiet">
              {" "}
              <Fractions text={differencesInWords(pairSpec, spec, wording)} />
            </span>
          )}
        </span>
      </label>
      <div className="trim-actions">
        {!shoeing.chosen && (
          <Button
            type="primary"
            size="large"
            disabled={shoeing.shoe.advice.askVet !== undefined && spec.type !== "bare"}
            onClick={() => shoeing.take(spec, last ? "last time" : "adviser")}
          >
            Take this
          </Button>
        )}
        <Button type={shoeing.chosen ? "primary" : "default"} size="large" onClick={onward}>
          On to the fit
        </Button>
      </div>
    </section>
  );
}

/** True where something of a folded group is not as an ordinary shoe has it. */
const isOwn = (fields: readonly SpecField[], spec: Specification, ordinary: Specification): boolean =>
  specDifferences(spec, { ...ordinary, type: spec.type }).some((one) => fields.includes(one));

/** What hangs on another choice is asked only with it. */
function isAsked(field: SpecField, spec: Specification): boolean {
  switch (field) {
    case "studsGood":
    case "studsWet":
      return spec.traction === "stud holes";
    case "packing":
    case "riveted":
      return spec.pad !== "none" || (field === "packing" && isBar(spec));
    case "packed":
      return spec.packing === "setting compound";
    case "endMedial":
    case "endLateral":
      return !isBar(spec);
    case "support":
      return spec.type !== "egg bar";
    case "changeFrom":
      return [spec.widerMedial, spec.widerLateral, spec.outMedial, spec.outLateral].some((mm) => mm !== 0);
    default:
      return true;
  }
}
