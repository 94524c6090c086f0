import { TextButton } from "~app/ui/TextButton";
import { NumberInput } from "~app/ui/NumberInput";
import { Button } from "antd";
import { useState } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import type { ForgeJob } from "~core/forge/anvil/job";
import { steelSchema, type Steel } from "~core/forge/forgeRecord";
import { parseLength } from "~core/units/length";

interface SteelRowsProps {
  role: Steel["role"];
  steel: readonly Steel[];
  /** The list is no longer what was cut. */
  onChange: () => void;
  onAdd: (rows: Omit<Steel, "id">[], label: string) => Promise<unknown>;
  job: ForgeJob;
}

/** Pieces of steel, wanted or over, and one line to add more: length, how many, whose. */
export function SteelRows({ role, steel, onChange, onAdd, job }: SteelRowsProps) {
  const wording = useWording();
  const { save } = useEdits();
  const [typed, setTyped] = useState({ length: "", count: "1", label: "" });
  const [said, setSaid] = useState<string>();
  const rows = steel
    .filter((row) => row.role === role)
    .sort((a, b) => a.width - b.width || b.lengthMm - a.lengthMm);
  const name = role === "wanted" ? "piece" : "offcut";
  const add = () => {
    const length = parseLength(typed.length, wording.unit);
    if (!length.ok) {
      setSaid(length.issues[0]?.message);
      return;
    }
    const { width, thickness, material } = job.spec;
    const read = steelSchema.omit({ id: true }).safeParse({
      role,
      width,
      thickness,
      material,
      lengthMm: length.value,
      count: Number(typed.count),
      label: typed.label,
    });
    if (!read.success) {
      setSaid(read.error.issues[0]?.message);
      return;
    }
    setSaid(undefined);
    setTyped({ length: "", count: "1", label: "" });
    void onAdd([read.data], `${name} of steel`);
  };
  const field = (key: keyof typeof typed, label: string, className: string) => (
    <label className={className}>
      <span className="visually-hidden">
        {label}, {name}
      </span>
      <NumberInput
        view={{ text: typed[key] }}
        placeholder={label}
        inputMode={key === "label" ? "text" : "decimal"}
        onType={(next) => setTyped({ ...typed, [key]: next })}
        onEnter={add}
      />
    </label>
  );
  return (
    <>
      {rows.length > 0 && (
        <ul className="steel-rows">
          {rows.map((row) => (
            <li key={row.id}>
              <b>
                {row.count > 1 && `${row.count} × `}
                <Fractions text={wording.length(row.lengthMm)} />
              </b>
              <span className="quiet">
                <Fractions text={`${wording.cut(row.width)} × ${wording.cut(row.thickness)}`} />
                {row.material === "aluminium" && ", aluminium"}
              </span>
              <span>{row.label}</span>
              <TextButton
                aria-label={`Take out ${wording.length(row.lengthMm)} ${row.label}`}
                onClick={() => {
                  onChange();
                  void save({
                    table: "steel",
                    id: row.id,
                    path: [],
                    was: row,
                    now: undefined,
                    label: `${name} out`,
                  });
                }}
              >
                take out
              </TextButton>
            </li>
          ))}
        </ul>
      )}
      <div className="steel-add">
        {field("length", `Length, ${wording.unit}`, "steel-length")}
        {role === "wanted" && field("count", "How many", "steel-count")}
        {role === "wanted" && field("label", "For whom", "steel-label")}
        <Button size="large" onClick={add}>
          Add {name}
        </Button>
      </div>
      <p className="quiet">
        In <Fractions text={`${wording.cut(job.spec.width)} × ${wording.cut(job.spec.thickness)}`} />, the
        section of the shoe on the anvil.
      </p>
      {said && (
        <p className="ember" role="alert">
          {said}
        </p>
      )}
    </>
  );
}
