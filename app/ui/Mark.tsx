/** The line and bob: the mark of the house. */
export function Mark({ size = 22 }: { size?: number }) {
  return (
    <svg width={size * 0.6} height={size} viewBox="0 0 12 20" aria-hidden="true" className="mark-of-house">
      <line x1={6} x2={6} y1={0} y2={8} stroke="var(--brass)" strokeWidth={1.6} />
      <path d="M1,7 h10 l-2,6.5 L6,20 L3,13.5 Z" fill="var(--brass)" />
    </svg>
  );
}
