interface PickOneProps<Value extends string | number> {
  value: Value;
  options: readonly { value: Value; label: string }[];
  onPick: (value: Value) => void;
  label?: string;
  title?: string | undefined;
  className?: string;
}

/**
 * One out of a list. The device's own list: on a phone it is a wheel that a thumb turns, which no drawn list is.
 */
export function PickOne<Value extends string | number>(props: PickOneProps<Value>) {
  const { value, options, onPick, label, title, className = "" } = props;
  return (
    <select
      className={`pick-one ${className}`}
      aria-label={label}
      title={title}
      value={value}
      onChange={(event) => {
        const picked = options.find((one) => String(one.value) === event.target.value);
        if (picked) onPick(picked.value);
      }}
    >
      {options.map((one) => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
    </select>
  );
}
