import { PickOne } from "~app/ui/PickOne";
import { TypedField } from "~app/ui/TypedField";
import { useWording } from "~app/ui/useWording";
import { fail, ok, type Result } from "~core/result";
import { specificationSchema } from "~core/shoe/shoeRecord";
import { parseAngle } from "~core/units/angle";
import {
  BRANCH_ENDS,
  CHANGES_FROM,
  CREASES,
  HEAD_PATTERNS,
  HEEL_SUPPORTS,
  MATERIALS,
  NAIL_METALS,
  PACKING_WAYS,
  PACKINGS,
  PADS,
  PROFILES,
  SHOE_TYPES,
  STUDS,
  TOE_EDGES,
  TOES,
  TRACTIONS,
  type LengthField,
  type SpecField,
} from "~core/shoe/specification";
import { ClipChips } from "./ClipChips";
import { RaiseFields } from "./RaiseFields";
import { SideWedge } from "./SideWedge";
import { SpecLength } from "./SpecLength";
import type { ShoeViewProps } from "./shoeView";

const CHOICES = {
  type: SHOE_TYPES,
  profile: PROFILES,
  crease: CREASES,
  material: MATERIALS,
  toe: TOES,
  toeEdge: TOE_EDGES,
  support: HEEL_SUPPORTS,
  endMedial: BRANCH_ENDS,
  endLateral: BRANCH_ENDS,
  changeFrom: CHANGES_FROM,
  traction: TRACTIONS,
  studsGood: STUDS,
  studsWet: STUDS,
  pad: PADS,
  packing: PACKINGS,
  packed: PACKING_WAYS,
  pattern: HEAD_PATTERNS,
  nailMetal: NAIL_METALS,
} as const satisfies Partial<Record<SpecField, readonly string[]>>;
type ChoiceField = keyof typeof CHOICES;
const isChoice = (name: SpecField): name is ChoiceField => name in CHOICES;

const OPTION_LABELS: Partial<Record<SpecField, Record<string, string>>> = {
  support: { heel: "heel", frog: "back of frog", long: "beyond, bulbs" },
  packed: { bedded: "bedded, before the nails", injected: "injected, after them" },
};

interface SpecInputProps extends ShoeViewProps {
  name: SpecField;
  label: string;
}

/** One field of the specification in the control that fits it. */
export function SpecInput({ name, label, ...props }: SpecInputProps) {
  const { context, shoeing } = props;
  const wording = useWording();
  const { spec, put } = shoeing;
  if (name === "raise") return <RaiseFields context={context} shoeing={shoeing} />;
  if (name === "sideWedge") return <SideWedge shoeing={shoeing} />;
  if (name === "clips") return <ClipChips label={label} shoeing={shoeing} />;
  if (name === "relief" || name === "riveted")
    return (
      <label className="spec-check">
        <input type="checkbox" checked={spec[name]} onChange={() => put({ [name]: !spec[name] })} />
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
  if (isChoice(name))
    return (
      <label className="spec-field">
        <span>{label}</span>
        <PickOne<string>
          value={spec[name]}
          options={CHOICES[name].map((value) => ({
            value,
            label: OPTION_LABELS[name]?.[value] ?? wording.inOwnWords(value),
          }))}
          onPick={(value) => put({ [name]: value })}
        />
      </label>
    );
  if (name === "turn")
    return (
      <TypedField
        label={`Turned, + to ${wording.side("lateral")}`}
        unit="°"
        draftKey={`${context.visit.id}.${context.limb}.shoe.turn`}
        stored={spec.turn}
        show={(deg) => `${deg < 0 ? "−" : ""}${Math.abs(deg)}`}
        read={readTurn}
        edit={(_, deg) => shoeing.specEdits({ turn: deg ?? 0 })}
      />
    );
  if (name === "edges" || name === "unloaded") return null;
  return (
    <SpecLength
      key={`${context.limb} ${name}`}
      label={label}
      draftKey={`${context.visit.id}.${context.limb}.shoe.${name}`}
      mm={spec[name]}
      field={name satisfies LengthField}
      edit={(mm) => shoeing.specEdits({ [name]: mm })}
    />
  );
}

/** Degrees to either side: a minus turns the toe to medial. */
function readTurn(text: string): Result<number> {
  const [, minus = "", size = ""] = /^\s*([-−]?)(.*)$/s.exec(text) ?? [];
  const angle = parseAngle(size);
  if (!angle.ok) return angle;
  const deg = minus === "" ? angle.value : -angle.value;
  const checked = specificationSchema.shape.turn.safeParse(deg);
  return checked.success
    ? ok(deg)
    : fail("out-of-range", "turn", checked.error.issues[0]?.message ?? "", deg);
}
