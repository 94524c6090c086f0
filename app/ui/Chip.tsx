interface ChipProps extends React.ComponentPropsWithRef<"button"> {
  /** Chosen, said by colour and to a screen reader. */
  on: boolean;
}

/** A word that is chosen, or taken back, with one press. */
export function Chip({ on, className = "", ...rest }: ChipProps) {
  return <button type="button" className={`chip ${className}`.trim()} aria-pressed={on} {...rest} />;
}
