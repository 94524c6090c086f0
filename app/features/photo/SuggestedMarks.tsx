import { Button } from "antd";
import { TextButton } from "~app/ui/TextButton";
import { useWording } from "~app/ui/useWording";
import type { Vector } from "~core/geometry/vector";
import { photoMarkFacts, type PhotoView } from "~core/photo/views";
import type { Result } from "~core/result";
import type { Suggested } from "~core/suggest/suggest";
import { counted } from "~core/units/counted";

interface SuggestedMarksProps {
  view: PhotoView;
  found: Result<Suggested>;
  /** The marks of it that have no place yet. */
  open: readonly string[];
  /** The one that is asked for, where it is suggested. */
  next: string | undefined;
  traced: boolean;
  onTake: (places: Readonly<Record<string, Vector>>) => void;
  onTrace: (points: readonly Vector[]) => void;
}

/** What the picture suggests: taken all at once where it is sure, else one by one after a look. Nothing counts before. */
export function SuggestedMarks({ view, found, open, next, traced, onTake, onTrace }: SuggestedMarksProps) {
  const wording = useWording();
  if (!found.ok) {
    const [issue] = found.issues;
    return issue?.code === "unlike" ? <p className="brass strong">{issue.message}</p> : null;
  }
  const { marks, trace } = found.value;
  const placesOf = (names: readonly string[]): Record<string, Vector> =>
    Object.fromEntries(names.flatMap((name) => (marks[name] ? [[name, marks[name].at]] : [])));
  const sure = open.filter((name) => marks[name]?.sure);
  const unsure = open.filter((name) => marks[name] && !marks[name].sure);
  const one = next !== undefined && unsure.includes(next) ? marks[next] : undefined;
  const nameOf = (mark: string) => wording.inOwnWords(photoMarkFacts(view, mark).name);
  const many = (count: number) => counted(count, "mark");
  if (sure.length + unsure.length === 0 && (traced || trace.length === 0)) return null;
  return (
    <div className="suggested-marks" role="group" aria-label="Marks the picture suggests">
      {sure.length > 0 ? (
        <p>
          <span className="strong">The picture shows {many(sure.length)} more,</span> drawn dashed. Drag one
          to correct it.
        </p>
      ) : next !== undefined && one ? (
        <p>
          {nameOf(next)} may lie where it is drawn dashed, {wording.length(2 * one.sdMm)} or so off.
        </p>
      ) : (
        unsure.length > 0 && <p>{many(unsure.length)} more are drawn dashed, not sure.</p>
      )}
      <p className="suggested-acts">
        {sure.length > 0 ? (
          <Button type="primary" onClick={() => onTake(placesOf(sure))}>
            Take {sure.length === 1 ? "it" : `all ${sure.length}`}
          </Button>
        ) : (
          next !== undefined &&
          one && <Button onClick={() => onTake(placesOf([next]))}>It does: take it</Button>
        )}
        {!traced && trace.length > 0 && (
          <TextButton onClick={() => onTrace(trace)}>Take the live sole’s edge</TextButton>
        )}
      </p>
    </div>
  );
}
