import { PickOne } from "~app/ui/PickOne";
import { TypedField } from "~app/ui/TypedField";
import { lengthInField } from "~core/foot/wording";
import { useWording } from "~app/ui/useWording";
import { twoMeasuresSchema, type TwoMeasuresRecord } from "~core/forge/forgeRecord";
import { specificationSchema } from "~core/shoe/shoeRecord";
import { fail, ok, type Result } from "~core/result";
import {
  CREASES,
  MATERIALS,
  PROFILES,
  SHOE_TYPES,
  TOE_EDGES,
  TOES,
  TRACTIONS,
  type ClipPlaceName,
  type Specification,
} from "~core/shoe/specification";
import { sameValue } from "~core/record/edit";
import { parseLength } from "~core/units/length";
import { sentenceCase } from "~core/foot/wording";
import type { ForgeContext } from "./forgeContext";

const CHOICES: [field: keyof Specification, label: string, options: readonly string[]][] = [
  ["type", "Shoe", SHOE_TYPES.filter((type) => type !== "bare")],
  ["crease", "Nail holes", CREASES],
  ["profile", "Section", PROFILES],
  ["toe", "Toe", TOES],
  ["toeEdge", "Toe’s ground edge", TOE_EDGES],
  ["traction", "Grip", TRACTIONS],
  ["material", "Metal", MATERIALS],
];

/** Clips as they are asked for without a horse. */
const CLIP_SETS: readonly { value: string; clips: ClipPlaceName[] }[] = [
  { value: "none", clips: [] },
  { value: "toe", clips: ["toe"] },
  { value: "two side", clips: ["side medial", "side lateral"] },
  { value: "two quarter", clips: ["quarter medial", "quarter lateral"] },
];

/** The two measures, the section, and what kind of shoe: all that a shoe without a horse is asked for. */
export function AnvilFields({ anvil, steelOf }: ForgeContext) {
  const wording = useWording();
  const measures = anvil.forging.measures as TwoMeasuresRecord;
  const { spec } = measures;
  const tooWide = steelOf.stock.ok ? undefined : steelOf.stock.issues[0];
  const length = (
    label: string,
    path: readonly string[],
    value: number,
    check: (mm: number) => { success: boolean; error?: { issues: { message: string }[] } },
  ) => (
    <TypedField
      label={label}
      unit={wording.unit}
      draftKey={`forge/${path.join("/")}`}
      stored={value}
      show={(mm) =>
        `${mm < 0 ? "−" : ""}${lengthInField(Math.abs(mm), { ...wording, fraction: 32 }, mm % 1 === 0 ? 0 : 1)}`
      }
      read={(text): Result<number> => {
        // An outer branch can be the shorter one: a minus before its length.
        const [, minus = "", size = ""] = /^\s*([-−]?)(.*)$/s.exec(text) ?? [];
        const read = parseLength(size, wording.unit);
        if (!read.ok) return read;
        const value = minus === "" ? read.value : -read.value;
        const checked = check(value);
        return checked.success
          ? ok(value)
          : fail("out-of-range", label, checked.error?.issues[0]?.message ?? "This length is not read.");
      }}
      edit={(_, mm) => anvil.editAt(path, mm, label.toLowerCase())}
    />
  );
  return (
    <section className="anvil-fields" aria-label="The shoe">
      <div className="anvil-two">
        {length("Width", ["measures", "width"], measures.width, (mm) =>
          twoMeasuresSchema.shape.width.safeParse(mm),
        )}
        {length("Length", ["measures", "length"], measures.length, (mm) =>
          twoMeasuresSchema.shape.length.safeParse(mm),
        )}
        {length("Web", ["measures", "spec", "width"], spec.width, (mm) =>
          specificationSchema.shape.width.safeParse(mm),
        )}
        {length("Thickness", ["measures", "spec", "thickness"], spec.thickness, (mm) =>
          specificationSchema.shape.thickness.safeParse(mm),
        )}
        {length("Outer branch longer", ["measures", "spec", "longerLateral"], spec.longerLateral, (mm) =>
          specificationSchema.shape.longerLateral.safeParse(mm),
        )}
        {length("Extras", ["measures", "extras"], measures.extras, (mm) =>
          twoMeasuresSchema.shape.extras.safeParse(mm),
        )}
      </div>
      {tooWide && (
        <p className="ember" role="alert">
          {tooWide.message}
        </p>
      )}
      <p className="quiet">
        Of the shoe where it is to be: across its widest, toe to heels. Extras: heel checks, a widened branch.
      </p>
      <div className="anvil-kind">
        <label className="spec-field">
          <span>For</span>
          <PickOne
            value={measures.end}
            options={[
              { value: "fore", label: "A front foot" },
              { value: "hind", label: "A hind foot" },
            ]}
            onPick={(end) => void anvil.keep(["measures", "end"], end, "front or hind")}
          />
        </label>
        {CHOICES.map(([field, label, options]) => (
          <label key={field} className="spec-field">
            <span>{label}</span>
            <PickOne
              value={String(spec[field])}
              options={options.map((value) => ({ value, label: sentenceCase(value) }))}
              onPick={(value) => void anvil.keep(["measures", "spec", field], value, label.toLowerCase())}
            />
          </label>
        ))}
        <label className="spec-field">
          <span>Clips</span>
          <PickOne
            value={CLIP_SETS.find(({ clips }) => sameValue(clips, spec.clips))?.value ?? "own"}
            options={[
              ...CLIP_SETS.map(({ value }) => ({ value, label: sentenceCase(value) })),
              ...(CLIP_SETS.some(({ clips }) => sameValue(clips, spec.clips))
                ? []
                : [{ value: "own", label: "Own" }]),
            ]}
            onPick={(value) => {
              const found = CLIP_SETS.find((one) => one.value === value);
              if (found) void anvil.keep(["measures", "spec", "clips"], found.clips, "clips");
            }}
          />
        </label>
        <label className="spec-field">
          <span>Nails a side</span>
          <PickOne
            value={spec.nailsLateral}
            options={[2, 3, 4, 5].map((value) => ({ value, label: String(value) }))}
            onPick={(nails) =>
              void anvil.keep(
                ["measures", "spec"],
                { ...spec, nailsMedial: nails, nailsLateral: nails },
                "nails",
              )
            }
          />
        </label>
      </div>
    </section>
  );
}
