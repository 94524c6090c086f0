import { NumberInput } from "~app/ui/NumberInput";
import { Segmented } from "antd";
import { useId } from "react";
import { Link } from "react-router";
import { useFields, type Field } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { CAP_KINDS, CAP_WEEKS, type CapKind } from "~core/constants/due";
import { CAP_WORDS } from "~core/cycle/dueWords";
import { settingsSchema, type Settings } from "~core/record/settings";
import { fail, ok } from "~core/result";
import "./settings.css";

type Choice = "theme" | "unit" | "fraction" | "side" | "leftRight" | "hemisphere";

const CHOICES: { key: Choice; label: string; options: { label: string; value: Settings[Choice] }[] }[] = [
  {
    key: "theme",
    label: "Light",
    options: [
      { label: "Paper", value: "paper" },
      { label: "Barn: dark, large", value: "barn" },
    ],
  },
  {
    key: "unit",
    label: "Lengths",
    options: [
      { label: "Millimetres", value: "mm" },
      { label: "Inches", value: "in" },
    ],
  },
  {
    key: "fraction",
    label: "Inches to the nearest",
    options: [
      { label: "1/8", value: 8 },
      { label: "1/16", value: 16 },
      { label: "1/32", value: 32 },
    ],
  },
  {
    key: "side",
    label: "Sides of a foot",
    options: [
      { label: "inside, outside", value: "inside-outside" },
      { label: "medial, lateral", value: "medial-lateral" },
    ],
  },
  {
    key: "leftRight",
    label: "Sides of the horse",
    options: [
      { label: "left, right", value: "left-right" },
      { label: "near, off", value: "near-off" },
    ],
  },
  {
    key: "hemisphere",
    label: "Horn grows fastest",
    options: [
      { label: "May, north", value: "north" },
      { label: "November, south", value: "south" },
    ],
  },
];

/** How numbers are read, and the limits that make a foot due. */
export function SettingsView({ settings }: { settings: Settings }) {
  const { save } = useEdits();
  const put = (key: keyof Settings, now: unknown) =>
    void save({
      table: "settings",
      id: "settings",
      path: [key],
      was: settings[key],
      now,
      label: `setting ${key}`,
    });
  return (
    <div className="page settings">
      <header className="page-head">
        <h1>Settings</h1>
      </header>
      {CHOICES.map(({ key, label, options }) => (
        <div className="setting" key={key}>
          <p id={`setting-${key}`}>{label}</p>
          <Segmented
            aria-labelledby={`setting-${key}`}
            options={options}
            value={settings[key]}
            onChange={(value) => put(key, value)}
          />
        </div>
      ))}
      <p>
        <Link className="link" to="/settings/reading">
          How a foot is read: your lenses, the bounds, every rule
        </Link>
      </p>
      <p>
        <Link className="link" to="/settings/shoeing">
          How a shoe is argued for: every rule
        </Link>
      </p>
      <p>
        <Link className="link" to="/new">
          What is new
        </Link>
      </p>
      <p>
        <Link className="link" to="/card">
          Print the scale card for photographs
        </Link>
      </p>
      <DueSettings settings={settings} />
      <p>
        <a className="link" href="/licences.txt">
          What Plumbline is made of, and under which licences
        </a>
      </p>
    </div>
  );
}

const LIMITS = {
  toeOverMm: { label: "Toe over its target, mm", hint: "trade: 14, about six weeks of growth" },
  axisLimitDeg: { label: "Axis, degrees either way", hint: "trade: 5" },
} as const;
type LimitName = keyof typeof LIMITS;
type FieldName = LimitName | CapKind;

/** Limits and caps, the user's own beside the trade's. A change counts from the next sign-off on. */
function DueSettings({ settings }: { settings: Settings }) {
  const number = (text: string, check: (value: number) => string | undefined) => {
    if (text.trim() === "") return ok(undefined);
    const value = Number(text.replace(",", "."));
    if (!Number.isFinite(value)) return fail("not-a-number", "", `“${text}” is not a number.`);
    const wrong = check(value);
    return wrong === undefined ? ok(value) : fail("range", "", wrong);
  };
  const limit = (name: LimitName): Field<number> => ({
    draftKey: `settings/${name}`,
    stored: settings[name],
    show: String,
    read: (text) =>
      number(
        text === "" ? "?" : text,
        (value) => settingsSchema.shape[name].safeParse(value).error?.issues[0]?.message,
      ),
    edit: (was, now) => ({
      table: "settings",
      id: "settings",
      path: [name],
      was,
      now,
      label: LIMITS[name].label,
    }),
  });
  const cap = (use: CapKind): Field<number> => ({
    draftKey: `settings/${use}`,
    stored: settings.capWeeks[use],
    show: String,
    read: (text) =>
      number(text, (value) => (value >= 1 && value <= 16 ? undefined : "Between 1 and 16 weeks.")),
    edit: (was, now) => ({
      table: "settings",
      id: "settings",
      path: ["capWeeks", use],
      was,
      now,
      label: `cap ${use}`,
    }),
  });
  const fields = Object.fromEntries([
    ...(Object.keys(LIMITS) as LimitName[]).map((name) => [name, limit(name)]),
    ...CAP_KINDS.map((use) => [use, cap(use)]),
  ]) as Record<FieldName, Field<number>>;
  const lane = useFields<FieldName, number>(fields);
  return (
    <section aria-label="When a foot is due" className="due-settings">
      <h2>When a foot is due</h2>
      <p className="quiet">Yours from the next sign-off on. Dates already promised stay.</p>
      {(Object.keys(LIMITS) as LimitName[]).map((name) => (
        <SettingNumber
          key={name}
          name={name}
          label={LIMITS[name].label}
          hint={LIMITS[name].hint}
          lane={lane}
        />
      ))}
      <h3>Longest interval, weeks</h3>
      {CAP_KINDS.map((use) => (
        <SettingNumber
          key={use}
          name={use}
          label={CAP_WORDS[use]}
          hint={`trade: ${CAP_WEEKS[use].value}`}
          lane={lane}
        />
      ))}
    </section>
  );
}

interface SettingNumberProps {
  name: FieldName;
  label: string;
  hint: string;
  lane: ReturnType<typeof useFields<FieldName, number>>;
}

function SettingNumber({ name, label, hint, lane }: SettingNumberProps) {
  const id = useId();
  const { text, typed, issue } = lane.view(name);
  return (
    <div className="setting setting-number">
      <label htmlFor={id}>{label}</label>
      <span>
        <NumberInput
          id={id}
          placeholder="–"
          view={{ text, typed, issue }}
          onType={(next) => lane.type(name, next)}
          onSettle={() => lane.settle(name)}
        />
        <span className="quiet">{hint}</span>
        {issue && (
          <span className="ember" role="alert">
            {issue.message}
          </span>
        )}
      </span>
    </div>
  );
}
