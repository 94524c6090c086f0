import { TextButton } from "~app/ui/TextButton";
import { useWording } from "~app/ui/useWording";
import { isOptional, MARK_FACTS, SURVEY_MARKS, type SurveyMark } from "~core/foot/survey/marks";
import type { SoleRecord } from "~core/foot/records/reading";
import type { Issue } from "~core/result";
import { lengthInField } from "~core/foot/wording";

interface MarksEntryProps {
  sole: SoleRecord;
  selected: SurveyMark | undefined;
  issues: readonly Issue[];
  onSelect: (mark: SurveyMark) => void;
  /** Takes a mark away: it is missing again. */
  onClear: (mark: SurveyMark) => void;
}

/** The marks of the sole as a table: where each lies, where it came from; the drawing above moves them. */
export function MarksEntry({ sole, selected, issues, onSelect, onClear }: MarksEntryProps) {
  const wording = useWording();
  const wrong = new Map(issues.map(({ path, message }) => [path.replace("points.", ""), message]));
  return (
    <div className="marks bench-lane">
      <p className="quiet">
        Drag the marks on the sole, or choose one and move it with the arrow keys (with Shift ten times as
        far). A dashed mark was not measured: it is a guess and counts for nothing.
      </p>
      <ul className="marks-list" aria-label="Marks of the sole">
        {SURVEY_MARKS.map((mark) => {
          const kept = sole[mark];
          const say = (value: number | undefined) =>
            value === undefined ? "–" : lengthInField(Math.abs(value), wording);
          return (
            <li key={mark} className={mark === selected ? "mark-chosen" : ""}>
              <button
                type="button"
                className="mark-name"
                aria-pressed={mark === selected}
                onClick={() => onSelect(mark)}
              >
                {wording.inOwnWords(MARK_FACTS[mark].name)}
                {isOptional(mark) && !kept && <span className="quiet"> optional</span>}
              </button>
              {kept ? (
                <span className="mark-at">
                  {say(kept.y?.value)} <span className="quiet">ahead</span> {say(kept.x?.value)}{" "}
                  <span className="quiet">out · {kept.y?.source ?? kept.x?.source}</span>
                </span>
              ) : (
                <span className="mark-at quiet">
                  {mark === "sulcusBack" ? "where all is measured from" : "missing"}
                </span>
              )}
              {kept && (
                <TextButton
                  aria-label={`Take the mark away: ${wording.inOwnWords(MARK_FACTS[mark].name)}`}
                  onClick={() => onClear(mark)}
                >
                  ×
                </TextButton>
              )}
              {wrong.has(mark) && (
                <p className="ember" role="alert">
                  {wording.inOwnWords(wrong.get(mark) ?? "")}
                </p>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
