import { useEdits } from "~app/ui/useEdits";
import { useHandle } from "~app/ui/useHandle";
import { useWording } from "~app/ui/useWording";
import type { Vector } from "~core/geometry/vector";
import { change } from "~core/record/change";
import type { Film } from "~core/radiograph/filmRecord";

/** The marks of a film while they are moved: live in the hand, kept when they are let go. */
export function useFilmMarks(film: Film) {
  const { saveWith } = useEdits();
  const wording = useWording();
  const label = `${wording.limb(film.limb)} radiograph`;
  const live = useHandle<Film["points"]>(film.points, (now, flushSync) =>
    saveWith([change("films", film, ["points"], now, label)], [], flushSync),
  );
  const place = (mark: string, at: Vector, rest: boolean) =>
    live.move((points) => ({ ...points, [mark]: [hundredth(at[0]), hundredth(at[1])] }), rest);
  const takeAway = (mark: string) =>
    live.move((points) => Object.fromEntries(Object.entries(points).filter(([name]) => name !== mark)), true);
  return { points: live.value, place, takeAway };
}

const hundredth = (px: number): number => Math.round(px * 100) / 100;
