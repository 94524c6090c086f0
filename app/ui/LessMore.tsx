interface LessMoreProps {
  /** What a screen reader says of the two buttons. */
  less: string;
  more: string;
  /** One step down or up. */
  onStep: (direction: -1 | 1) => void;
  /** The value, between them. */
  children: React.ReactNode;
}

/** A value between a button that makes it less and one that makes it more. */
export function LessMore({ less, more, onStep, children }: LessMoreProps) {
  return (
    <>
      <button type="button" className="step" aria-label={less} onClick={() => onStep(-1)}>
        −
      </button>
      {children}
      <button type="button" className="step" aria-label={more} onClick={() => onStep(1)}>
        +
      </button>
    </>
  );
}
