import { detailOf } from "~app/data/trouble";
import { Button, Segmented } from "antd";
import { useEffect, useRef, useState } from "react";
import { readPlannedHorses } from "~app/data/forge";
import { readRosterRecords, rosterOf } from "~app/data/queries";
import { cutInWorker, piecesInWorker } from "~app/workers/forge";
import { Fractions } from "~app/ui/Fractions";
import { TypedField } from "~app/ui/TypedField";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { addDays } from "~core/calendar/date";
import type { CutList } from "~core/forge/cutlist/cutList";
import { cutQuestions, type CutGroup } from "~core/forge/cutlist/groups";
import { offcutRows } from "~core/record/rackEdits";
import { comingHorses, type PlannedPiece } from "~core/visit/comingShoes";
import { change, make } from "~core/record/change";
import type { Steel } from "~core/forge/forgeRecord";
import { settingsSchema } from "~core/record/settings";
import { fail, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import { lengthInField } from "~core/foot/wording";
import { BarCuts } from "./BarCuts";
import type { ForgeContext } from "./forgeContext";
import { SteelRows } from "./SteelRows";
import { counted } from "~core/units/counted";

interface Cut {
  group: CutGroup;
  list: CutList;
}

const DAYS = { 0: "Today", 7: "7 days", 14: "14 days" } as const;

/** All steel of a day or a week from the fewest bars: what is wanted, what is left over, how to cut it, what to buy. */
export function CutListView({ steel, job, steelOf, today, forged }: ForgeContext) {
  const wording = useWording();
  const settings = useSettings();
  const { forge } = settings;
  const { save } = useEdits();
  const [cuts, setCuts] = useState<Cut[]>();
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);
  const [days, setDays] = useState<number>(7);
  const [planned, setPlanned] = useState<PlannedPiece[]>();
  const running = useRef<{ cancel: () => void } | undefined>(undefined);
  useEffect(() => () => running.current?.cancel(), []);

  const forgeField = (name: "barLength" | "kerf", label: string) => (
    <TypedField
      label={label}
      unit={wording.unit}
      draftKey={`forge/settings/${name}`}
      stored={forge[name]}
      show={(mm) => lengthInField(mm, { ...wording, fraction: 32 }, mm % 1 === 0 ? 0 : 1)}
      read={(text): Result<number> => {
        const read = parseLength(text, wording.unit);
        if (!read.ok) return read;
        const checked = settingsSchema.shape.forge.safeParse({ ...forge, [name]: read.value });
        return checked.success ? read : fail("out-of-range", name, checked.error.issues[0]?.message ?? "");
      }}
      edit={(_, mm) => {
        setCuts(undefined);
        return change("settings", settings, ["forge", name], mm, label.toLowerCase());
      }}
    />
  );

  const add = (rows: Omit<Steel, "id">[], label: string) => {
    setCuts(undefined);
    return save(...rows.map((row) => make("steel", { id: crypto.randomUUID(), ...row }, label)));
  };
  const work = async <T,>(
    begin: () => { answer: Promise<T>; cancel: () => void },
  ): Promise<T | undefined> => {
    setTrouble(undefined);
    setBusy(true);
    const one = begin();
    running.current = one;
    try {
      return await one.answer;
    } catch (error) {
      setTrouble(`That could not be worked out: ${detailOf(error)}`);
      return undefined;
    } finally {
      setBusy(false);
    }
  };
  const cut = async () => {
    const groups = cutQuestions(steel, forge);
    const lists = await work(() => cutInWorker(groups.map(({ question }) => question)));
    if (!lists) return;
    const refused = lists.flatMap(({ list }) => (list.ok ? [] : list.issues));
    setTrouble(refused[0]?.message);
    setCuts(
      lists.flatMap(({ list }, index) =>
        list.ok ? [{ group: groups[index] as CutGroup, list: list.value }] : [],
      ),
    );
  };
  const lookAhead = async () => {
    const rows = rosterOf(await readRosterRecords(today));
    const horses = await readPlannedHorses(comingHorses(rows, addDays(today, days)));
    setPlanned(await work(() => piecesInWorker(horses, settings, forged)));
  };
  const wanted = steel.filter(({ role }) => role === "wanted");
  return (
    <div className="cut-list">
      <section aria-label="What is wanted">
        <h2>Wanted</h2>
        <SteelRows role="wanted" steel={steel} onChange={() => setCuts(undefined)} onAdd={add} job={job} />
        <div className="trim-actions">
          {steelOf.cut > 0 && (
            <Button
              size="large"
              onClick={() =>
                void add(
                  [
                    {
                      role: "wanted",
                      width: job.spec.width,
                      thickness: job.spec.thickness,
                      material: job.spec.material,
                      lengthMm: steelOf.cut,
                      count: 1,
                      label: job.drawn ? job.name : "",
                    },
                  ],
                  "steel wanted",
                )
              }
            >
              <span>
                Add this shoe, <Fractions text={wording.length(steelOf.cut)} />
              </span>
            </Button>
          )}
        </div>
        <div className="ahead">
          <Segmented
            aria-label="How far ahead"
            options={Object.entries(DAYS).map(([value, label]) => ({ value: Number(value), label }))}
            value={days}
            onChange={setDays}
          />
          <Button size="large" disabled={busy} onClick={() => void lookAhead()}>
            Look at the days ahead
          </Button>
        </div>
        {planned && (
          <Ahead
            pieces={planned}
            onTake={(pieces) => {
              setPlanned(undefined);
              void add(
                pieces.map((piece) => ({
                  role: "wanted",
                  ...piece.section,
                  lengthMm: piece.length,
                  count: 1,
                  label: `${piece.horse}, ${wording.limb(piece.limb)}`,
                })),
                "steel of the days ahead",
              );
            }}
          />
        )}
        <h2>Offcuts on the rack</h2>
        <SteelRows role="offcut" steel={steel} onChange={() => setCuts(undefined)} onAdd={add} job={job} />
      </section>
      <section aria-label="How to cut it">
        <div className="cut-bars-of">
          {forgeField("barLength", "Bars as bought")}
          {forgeField("kerf", "Blade takes")}
        </div>
        <div className="trim-actions">
          <Button
            type="primary"
            size="large"
            disabled={busy || wanted.length === 0}
            onClick={() => void cut()}
          >
            Fewest bars
          </Button>
          {busy && (
            <Button
              size="large"
              onClick={() => {
                running.current?.cancel();
                setBusy(false);
              }}
            >
              Call it off
            </Button>
          )}
        </div>
        {busy && <p role="status">Working it out…</p>}
        {trouble && (
          <p className="ember" role="alert">
            {trouble}
          </p>
        )}
        {wanted.length === 0 && (
          <p className="quiet">Nothing is wanted yet. Add a shoe, or look at the days ahead.</p>
        )}
        {cuts?.map(({ group, list }) => (
          <div key={group.key} className="cut-group" data-worked-out>
            <h2>
              <Fractions
                text={`${wording.cut(group.width)} × ${wording.cut(group.thickness)}, ${group.material}`}
              />
            </h2>
            <p>
              Buy <b>{counted(list.count, "bar")}</b> of <Fractions text={wording.length(forge.barLength)} />.{" "}
              <span className="quiet">
                {list.optimal
                  ? list.count === 0
                    ? "The offcuts do."
                    : "Proven: fewer cannot do."
                  : `Not proven: ${list.lowerBound} might do.`}
              </span>
            </p>
            <BarCuts
              list={list}
              longest={Math.max(forge.barLength, ...list.bars.map(({ stock }) => stock))}
              wording={wording}
            />
            <Button
              size="large"
              onClick={() => {
                setCuts((now) => now?.filter((one) => one.group.key !== group.key));
                void save(...offcutRows(group, list, forge.leastOffcut, () => crypto.randomUUID()));
              }}
            >
              It is cut: keep what is left as offcuts
            </Button>
          </div>
        ))}
      </section>
    </div>
  );
}

/** Shoes of the days ahead, to be ticked: which of them are made by hand. */
function Ahead({ pieces, onTake }: { pieces: PlannedPiece[]; onTake: (pieces: PlannedPiece[]) => void }) {
  const wording = useWording();
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const horses = [...new Set(pieces.map(({ horse }) => horse))];
  if (pieces.length === 0)
    return <p className="quiet">Nobody who is shod is planned or due in those days.</p>;
  return (
    <div className="ahead-list sheet">
      <p className="quiet">
        From the feet as they were left and the shoes they wear: an estimate until they are measured again.
        Tick whose shoes are made by hand.
      </p>
      <ul>
        {horses.map((horse) => {
          const own = pieces.filter((piece) => piece.horse === horse);
          return (
            <li key={horse}>
              <label>
                <input
                  type="checkbox"
                  checked={!off.has(horse)}
                  onChange={() =>
                    setOff((now) => {
                      const next = new Set(now);
                      if (!next.delete(horse)) next.add(horse);
                      return next;
                    })
                  }
                />{" "}
                <b>{horse}</b> <span className="quiet">{shortDay(own[0]?.date ?? "")}</span>{" "}
                <Fractions
                  text={own
                    .map(({ limb, length }) => `${wording.limb(limb)} ${wording.length(length)}`)
                    .join(", ")}
                />
              </label>
            </li>
          );
        })}
      </ul>
      <Button
        type="primary"
        size="large"
        onClick={() => onTake(pieces.filter(({ horse }) => !off.has(horse)))}
      >
        Add {pieces.filter(({ horse }) => !off.has(horse)).length} pieces
      </Button>
    </div>
  );
}
