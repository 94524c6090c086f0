import { PickOne } from "~app/ui/PickOne";
import { Button, Switch } from "antd";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { pairOf } from "~core/foot/limb";
import { SHOE_RULES } from "~core/shoe/advice/advise";
import {
  CLIPS,
  CREASES,
  differencesInWords,
  EXTRA_SIDES,
  fieldInWords,
  HEAD_PATTERNS,
  HEEL_FINISHES,
  HEEL_SUPPORTS,
  MATERIALS,
  PACKINGS,
  PADS,
  PROFILES,
  SHOE_TYPES,
  SPEC_NAMES,
  specDifferences,
  STUDS,
  TOES,
  TRACTIONS,
  type Specification,
  type SpecField,
} from "~core/shoe/specification";
import { sentenceCase } from "~core/foot/wording";
import { LineOfWhy } from "~app/stage/LineOfWhy";
import { RaiseFields } from "./RaiseFields";
import { SpecLength } from "./SpecLength";
import type { ShoeViewProps } from "./shoeView";

type ChoiceField = Exclude<
  SpecField,
  | "width"
  | "thickness"
  | "extraWeb"
  | "fullMedial"
  | "fullLateral"
  | "longerMedial"
  | "longerLateral"
  | "nailsMedial"
  | "nailsLateral"
  | "relief"
  | "raise"
>;
const CHOICES: Record<ChoiceField, readonly string[]> = {
  type: SHOE_TYPES,
  profile: PROFILES,
  crease: CREASES,
  material: MATERIALS,
  toe: TOES,
  support: HEEL_SUPPORTS,
  heels: HEEL_FINISHES,
  clips: CLIPS,
  traction: TRACTIONS,
  studs: STUDS,
  pad: PADS,
  packing: PACKINGS,
  extraSide: EXTRA_SIDES,
  pattern: HEAD_PATTERNS,
};

/** Groups of the specification in the order in which a shoe is thought of. */
const GROUPS: readonly (readonly [name: string, fields: readonly SpecField[]])[] = [
  ["The bar", ["type", "width", "thickness", "profile", "material", "crease"]],
  [
    "Toe and heels",
    ["toe", "support", "heels", "fullMedial", "fullLateral", "longerMedial", "longerLateral"],
  ],
  ["Hold and grip", ["clips", "nailsMedial", "nailsLateral", "pattern", "traction", "studs"]],
  ["Under the foot", ["relief", "pad", "packing", "extraSide", "extraWeb", "raise"]],
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
        : GROUPS.map(([name, fields]) => (
            <fieldset key={name} className="spec-group">
              <legend>{name}</legend>
              {fields.filter((one) => isAsked(one, spec)).map(field)}
            </fieldset>
          ))}
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

/** What hangs on another choice is asked only with it. */
const isAsked = (field: SpecField, spec: Specification): boolean =>
  field === "studs"
    ? spec.traction === "stud holes"
    : field === "extraWeb"
      ? spec.extraSide !== "none"
      : field === "packing"
        ? spec.pad !== "none"
        : true;

function SpecInput({ name, label, context, shoeing }: { name: SpecField; label: string } & ShoeViewProps) {
  const wording = useWording();
  const { spec, put } = shoeing;
  if (name === "raise") return <RaiseFields context={context} shoeing={shoeing} />;
  if (name === "relief")
    return (
      <label className="spec-check">
        <input type="checkbox" checked={spec.relief} onChange={() => put({ relief: !spec.relief })} />
        <span>{label}</span>
      </label>
    );
  if (name === "nailsMedial" || name === "nailsLateral")
    return (
      <label className="spec-field">
        <span>{label}</span>
        <PickOne
          value={spec[name]}
          options={[0, 1, 2, 3, 4, 5, 6].map((value) => ({ value, label: String(value) }))}
          onPick={(count) => put({ [name]: count })}
        />
      </label>
    );
  if (name in CHOICES)
    return (
      <label className="spec-field">
        <span>{label}</span>
        <PickOne<string>
          value={spec[name] as string}
          options={CHOICES[name as ChoiceField].map((value) => ({
            value,
            label: (name === "support" ? SUPPORT_LABELS[value] : undefined) ?? wording.inOwnWords(value),
          }))}
          onPick={(value) => put({ [name]: value })}
        />
      </label>
    );
  return (
    <SpecLength
      key={`${context.limb} ${name}`}
      label={label}
      draftKey={`${context.visit.id}.${context.limb}.shoe.${name}`}
      mm={spec[name] as number}
      field={name}
      edit={(mm) => shoeing.specEdits({ [name]: mm })}
    />
  );
}

const SUPPORT_LABELS: Record<string, string> = {
  heel: "heel",
  frog: "back of frog",
  long: "beyond, bulbs",
};
