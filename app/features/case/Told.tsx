import { Input } from "antd";
import { useId } from "react";
import { useField } from "~app/ui/useField";
import { change } from "~core/record/change";
import type { Case } from "~core/case/caseRecord";
import { ok } from "~core/result";

const FIELDS = [
  ["drugs", "Drugs"],
  ["feed", "Feed"],
  ["metabolic", "Metabolic state"],
] as const;

/** Drugs, feed and metabolic state as they were told. */
export function Told({ one }: { one: Case }) {
  return (
    <section className="case-told" aria-label="As it was told">
      <h2>As it was told</h2>
      {FIELDS.map(([name, label]) => (
        <ToldField key={name} one={one} name={name} label={label} />
      ))}
    </section>
  );
}

function ToldField({ one, name, label }: { one: Case; name: (typeof FIELDS)[number][0]; label: string }) {
  const id = useId();
  const field = useField<string>({
    draftKey: `cases/${one.id}/told/${name}`,
    stored: one.told[name],
    show: (text) => text,
    read: (text) => ok(text),
    edit: (_was, now) => change("cases", one, ["told", name], now ?? "", label.toLowerCase()),
  });
  return (
    <div>
      <label htmlFor={id}>{label}</label>
      <Input.TextArea
        id={id}
        autoSize={{ minRows: 1, maxRows: 6 }}
        maxLength={10_000}
        value={field.text}
        data-typed={field.typed}
        onChange={(event) => field.type(event.target.value)}
        onBlur={() => field.settle()}
      />
    </div>
  );
}
