import { Chip } from "~app/ui/Chip";

interface ChoiceProps<Value extends string> {
  label: string;
  options: readonly Value[];
  value: Value | undefined;
  onChoose: (value: Value | undefined) => void;
  /** The option that is as it should be; it is drawn calmer. */
  usual?: Value | undefined;
}

/** A few words to tap; a second tap on the same word takes it back. */
export function Choice<Value extends string>({ label, options, value, onChoose, usual }: ChoiceProps<Value>) {
  return (
    <div className="choice" role="group" aria-label={label}>
      <span className="choice-label">{label}</span>
      <span className="choice-options">
        {options.map((option) => (
          <Chip
            key={option}
            className={option === usual ? "chip-usual" : ""}
            on={option === value}
            onClick={() => onChoose(option === value ? undefined : option)}
          >
            {option}
          </Chip>
        ))}
      </span>
    </div>
  );
}
