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
import { isFore, pairOf, type Limb } from "~core/foot/limb";
import { WALL_PLACE_NAMES } from "~core/foot/survey/walls";
import { wearAgreement } from "~core/gait/wearAgreement";
import { sameValue } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { Moment } from "~core/foot/records/reading";
import { CautionNote } from "~app/ui/CautionNote";
import { NoteField } from "~app/stage/NoteField";
import { Onward } from "~app/stage/Onward";
import type { StageContext } from "~app/stage/stageContext";
import { ArrivalSays } from "~app/stage/ArrivalSays";
import { Choice } from "~app/stage/Choice";
import { LandingFigure, type Seen } from "./LandingFigure";
import "~app/stage/watch.css";
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
  /** One thing that is seen of this foot; what is as it should be is drawn calmer. */
  const choice = (
    label: string,
    options: readonly string[],
    path: readonly string[],
    value: string | undefined,
    usual = "straight",
  ) => (
    <Choice
      key={path.join(".")}
      label={label}
      options={options}
      usual={usual}
      value={value}
      onChoose={(now) => change("before", path, now)}
    />
  );
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
        <ArrivalSays visit={visit} only="mark" />
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
        {choice("After landing", SLIDES, ["slide"], seen?.slide, "none")}
        {choice("Flight", FLIGHTS, ["flight"], seen?.flight)}
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
        {choice("Toe", TOE_DIRECTIONS, ["toeDirection"], seen?.toeDirection)}
        {choice("Base", BASES, ["base"], seen?.base, "under the limb")}
        {JOINTS.map((joint) =>
          choice(jointName(joint, limb), DEVIATIONS, ["deviation", joint], seen?.deviation[joint]),
        )}
        <h3>Hairline, from the front</h3>
        {HAIRLINE_PLACES.map((place) =>
          choice(
            wording.inOwnWords(WALL_PLACE_NAMES[place]),
            HAIRLINE_STATES,
            ["hairline", place],
            seen?.hairline[place],
            "level",
          ),
        )}
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

/** "Knee" before, "Hock" behind. */
function jointName(joint: (typeof JOINTS)[number], limb: Limb): string {
  if (joint === "knee or hock") return isFore(limb) ? "Knee" : "Hock";
  return joint === "fetlock" ? "Fetlock" : "Pastern";
}
