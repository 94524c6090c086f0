import { TextButton } from "~app/ui/TextButton";
interface MarkListProps {
  marks: readonly {
    mark: string;
    name: string;
    state: "placed" | "skipped" | "missing";
    suggested?: boolean;
  }[];
  selected: string | undefined;
  onSelect: (mark: string) => void;
  /** The mark is to be placed once more. */
  onAgain: (mark: string) => void;
}

/** Every mark of a picture in order: choose one, or place it again. */
export function MarkList({ marks, selected, onSelect, onAgain }: MarkListProps) {
  return (
    <ul>
      {marks.map(({ mark, name, state, suggested }) => (
        <li key={mark}>
          <button
            type="button"
            className="mark-name"
            aria-pressed={mark === selected}
            disabled={state !== "placed"}
            onClick={() => onSelect(mark)}
          >
            {name}
            {suggested && <span className="quiet"> · suggested, taken</span>}
          </button>
          {state === "placed" ? (
            <TextButton onClick={() => onAgain(mark)}>place again</TextButton>
          ) : (
            <span className="quiet">{state}</span>
          )}
        </li>
      ))}
    </ul>
  );
}
