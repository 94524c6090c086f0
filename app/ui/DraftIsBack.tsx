import { TextButton } from "./TextButton";

/** Says that a form holds what was typed before and never saved. */
export function DraftIsBack({ onStartAgain }: { onStartAgain: () => void }) {
  return (
    <p className="brass draft-back" role="status">
      Not saved yet: what you typed here before is back.{" "}
      <TextButton onClick={onStartAgain}>Start again</TextButton>
    </p>
  );
}
