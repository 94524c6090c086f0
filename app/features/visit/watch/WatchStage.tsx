import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { cautionsAt } from "~core/caution/cautions";
import {
  BASES,
  DEVIATIONS,
  FLIGHTS,
  GAITS,
  HAIRLINE_PLACES,
  HAIRLINE_STATES,
  JOINTS,
  onlyThisOne,
  SLIDES,
  SURFACES,
  TOE_DIRECTIONS,
  watchingChange,
} from "~core/gait/watching";
import { pairOf } from "~core/foot/limb";
import { WALL_PLACE_NAMES } from "~core/foot/survey/walls";
import { wearAgreement } from "~core/foot/wear";
import { sameValue } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { Moment } from "~core/record/reading";
import { CautionNote } from "../CautionNote";
import { NoteField } from "../NoteField";
import { Onward } from "../Onward";
import type { StageContext } from "../stageContext";
import { Choice } from "./Choice";
import { LandingFigure, type Seen } from "./LandingFigure";
import "./watch.css";

/** Standing and moving, foot by foot: what is seen is tapped, not written. */
export function WatchStage(context: StageContext) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { save } = useEdits();
  const foot = feet[limb];
  const change = (moment: Moment, path: readonly string[], now: unknown) =>
    void save(
      footEdit(footPlace("watchings", visit, limb, moment), "watchings", foot.watching[moment], {
        path,
        now,
        label: `${wording.limb(limb)} watched`,
      }),
    );
  const keepSeen = (moment: Moment, was: Seen, now: Seen) =>
    save(
      ...(["lands", "leaves"] as const)
        .filter((key) => !sameValue(was[key], now[key]))
        .map((key) =>
          footEdit(footPlace("watchings", visit, limb, moment), "watchings", foot.watching[moment], {
            path: [key],
            was: was[key],
            now: now[key],
            label: `${wording.limb(limb)} watched`,
          }),
        ),
    );
  const seen = foot.watching.before;
  const setVisit = (path: "surface" | "gait", now: string | undefined) =>
    void save({ table: "visits", id: visit.id, path: [path], was: visit[path], now, label: path });
  const agreement = wearAgreement(foot.look?.wear ?? {}, seen);
  const changed = watchingChange(seen, foot.watching.after);
  const onlyHere = onlyThisOne(seen, feet[pairOf(limb)].watching.before);
  return (
    <div className="watch">
      <div className="watch-ground">
        <Choice
          label="Surface"
          options={SURFACES}
          value={visit.surface}
          onChoose={(now) => setVisit("surface", now)}
        />
        <Choice label="Gait" options={GAITS} value={visit.gait} onChoose={(now) => setVisit("gait", now)} />
      </div>
      <section className="watch-moving" aria-label="Moving">
        <h2>Moving</h2>
        <div className="watch-figures">
          <LandingFigure
            limb={limb}
            name="before the work"
            watching={seen}
            onKeep={(was, now) => keepSeen("before", was, now)}
          />
          <LandingFigure
            limb={limb}
            name="after the work"
            watching={foot.watching.after}
            onKeep={(was, now) => keepSeen("after", was, now)}
          />
        </div>
        <Choice
          label="After landing"
          options={SLIDES}
          usual="none"
          value={seen?.slide}
          onChoose={(now) => change("before", ["slide"], now)}
        />
        <Choice
          label="Flight"
          options={FLIGHTS}
          usual="straight"
          value={seen?.flight}
          onChoose={(now) => change("before", ["flight"], now)}
        />
        {agreement && (
          <p className={agreement.agrees ? "watch-said" : "watch-said watch-ask"}>
            {agreement.agrees
              ? "Landing, breakover and the wear of the shoe agree."
              : wording.inOwnWords(`It does not fit: ${agreement.disagreements.join("; ")}. Watch it again.`)}
          </p>
        )}
        {changed && <p className="watch-said">{wording.inOwnWords(changed)}</p>}
        {onlyHere.length > 0 && (
          <p className="watch-said watch-ask">
            Only this one of the pair: {onlyHere.join(", ")}. Something is uneven higher up, or hurts.
          </p>
        )}
      </section>
      <section className="watch-standing" aria-label="Standing">
        <h2>Standing</h2>
        <Choice
          label="Toe"
          options={TOE_DIRECTIONS}
          usual="straight"
          value={seen?.toeDirection}
          onChoose={(now) => change("before", ["toeDirection"], now)}
        />
        <Choice
          label="Base"
          options={BASES}
          usual="under the limb"
          value={seen?.base}
          onChoose={(now) => change("before", ["base"], now)}
        />
        {JOINTS.map((joint) => (
          <Choice
            key={joint}
            label={
              joint === "knee or hock"
                ? limb[1] === "F"
                  ? "Knee"
                  : "Hock"
                : `${joint[0]?.toUpperCase() ?? ""}${joint.slice(1)}`
            }
            options={DEVIATIONS}
            usual="straight"
            value={seen?.deviation?.[joint]}
            onChoose={(now) => change("before", ["deviation", joint], now)}
          />
        ))}
        <h3>Hairline, from the front</h3>
        {HAIRLINE_PLACES.map((place) => (
          <Choice
            key={place}
            label={wording.inOwnWords(WALL_PLACE_NAMES[place])}
            options={HAIRLINE_STATES}
            usual="level"
            value={seen?.hairline?.[place]}
            onChoose={(now) => change("before", ["hairline", place], now)}
          />
        ))}
      </section>
      <div className="watch-note">
        <NoteField
          visit={visit}
          path={["notes", "watch"]}
          stored={visit.notes.watch ?? ""}
          label="In words"
          hint="Tracking, a dragged toe, the beat, head and hips: a nodding head or hiking hip goes to the vet"
        />
        <Onward {...context} />
        {cautionsAt("watch").map((caution) => (
          <CautionNote key={caution.id} caution={caution} about="" />
        ))}
      </div>
    </div>
  );
}
