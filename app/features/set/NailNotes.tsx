import { Chip } from "~app/ui/Chip";
import { PickOne } from "~app/ui/PickOne";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { clenchChecks, NAIL_COMES_OUT, NAIL_NOTES } from "~core/shoe/nails";
import { SIDES } from "~core/foot/limb";
import type { Shoeing } from "~app/stage/useShoe";

const EXITS_MM = [10, 12, 14, 15, 16, 17, 18, 19, 20, 22, 25];

interface NailNotesProps {
  shoeing: Shoeing;
  nail: string | undefined;
  onChoose: (nail: string) => void;
}

/** What is noted of the nail that was tapped, and what all the exits say together. */
export function NailNotes({ shoeing, nail, onChoose }: NailNotesProps) {
  const wording = useWording();
  const { record, shoe, bench } = shoeing;
  const names = SIDES.flatMap((side) => bench.fit.nails[side].map((_, index) => `${side}${index + 1}`));
  const nails = record?.nails ?? {};
  const exits = Object.values(nails).flatMap(({ exitMm }) => (exitMm === undefined ? [] : [exitMm]));
  const bad = names.filter((name) => {
    const note = nails[name]?.note;
    return note !== undefined && NAIL_COMES_OUT.includes(note);
  });
  const called = (name: string) =>
    `${wording.side(name.startsWith("medial") ? "medial" : "lateral")} ${name.slice(-1)}`;
  const current = nail !== undefined && names.includes(nail) ? nail : undefined;
  const put = (parts: { note?: (typeof NAIL_NOTES)[number] | undefined; exitMm?: number | undefined }) => {
    if (!current) return;
    const next = { ...nails[current], ...parts };
    const empty = next.note === undefined && next.exitMm === undefined;
    void shoeing.keepAt(["nails", current], empty ? undefined : next, `nail ${called(current)}`);
  };
  return (
    <section className="nail-notes" aria-label="Nail notes">
      <div className="nail-words" role="group" aria-label="Nails">
        {names.map((name) => (
          <Chip
            key={name}
            className="nail-chip"
            on={name === current}
            data-noted={nails[name]?.note !== undefined}
            onClick={() => onChoose(name)}
          >
            {called(name)}
          </Chip>
        ))}
      </div>
      {current && (
        <div className="nail-note" role="group" aria-label={`Nail ${called(current)}`}>
          <b>Nail {called(current)}</b>
          <div className="nail-words">
            {NAIL_NOTES.map((note) => (
              <Chip
                key={note}
                on={nails[current]?.note === note}
                onClick={() => put({ note: nails[current]?.note === note ? undefined : note })}
              >
                {note}
              </Chip>
            ))}
          </div>
          <label className="spec-field">
            <span>Came out above the shoe</span>
            <PickOne<number | "">
              value={nails[current]?.exitMm ?? ""}
              options={[
                { value: "", label: "not measured" },
                ...EXITS_MM.map((value) => ({ value, label: wording.length(value) })),
              ]}
              onPick={(exitMm) => put({ exitMm: exitMm === "" ? undefined : exitMm })}
            />
          </label>
        </div>
      )}
      {bad.length > 0 && (
        <p className="shoe-vet" role="alert">
          <b>{bad.map((name) => `${called(name)}: ${nails[name]?.note ?? ""}`).join(", ")}. Pull the nail.</b>{" "}
          Note it, tell the owner and the vet, ask about tetanus. Blood: stop, clean, dress.
        </p>
      )}
      {clenchChecks(exits, shoe.toShoe.drawn.toeLengthMm).map(({ ok, text }) => (
        <p key={text} className={ok ? "quiet" : "ember"}>
          {ok ? "✓ " : ""}
          <Fractions text={text} />
        </p>
      ))}
    </section>
  );
}
