import { useState } from "react";
import { PickOne } from "~app/ui/PickOne";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { cautionsAt } from "~core/caution/cautions";
import {
  BASES,
  DEVIATIONS,
  FLIGHTS,
  HAIRLINE_PLACES,
  HAIRLINE_STATES,
  JOINTS,
  SLIDE_REACHES,
  SLIDES,
  TOE_DIRECTIONS,
  TOE_LIFTS,
  TRACKS,
} from "~core/gait/watching";
import { pairSeen, seenAtBoth, watchingChange } from "~core/gait/compareLooks";
import { isWatched, looksOfVisit } from "~core/gait/looks";
import { isFore, LIMBS, pairOf, type Limb } from "~core/foot/limb";
import { sentenceCase } from "~core/foot/wording";
import { WALL_PLACE_NAMES } from "~core/foot/survey/walls";
import { wearAgreement } from "~core/gait/wearAgreement";
import { sameValue } from "~core/record/edit";
import { footEdit, watchingPlace } from "~core/record/footRecords";
import { signedBefore } from "~core/record/visit";
import { CautionNote } from "~app/ui/CautionNote";
import { NoteField } from "~app/stage/NoteField";
import { Onward } from "~app/stage/Onward";
import type { StageContext } from "~app/stage/stageContext";
import { ArrivalSays } from "~app/stage/ArrivalSays";
import { Choice } from "~app/stage/Choice";
import { BeatPanel } from "./BeatPanel";
import { ClipPanel } from "./ClipPanel";
import { LandingFigure, type Seen } from "./LandingFigure";
import { LookBar } from "./LookBar";
import { lookName } from "./lookName";
import "~app/stage/watch.css";
import "./watch.css";

/** Standing and moving, look by look and foot by foot: what is seen is tapped, not written. */
export function WatchStage(context: StageContext) {
  const { visit, file, limb, feet } = context;
  const wording = useWording();
  const { save } = useEdits();
  const looks = looksOfVisit(visit.looks);
  const [lookId, setLookId] = useState("before");
  const look = looks.find(({ id }) => id === lookId) ?? looks[0];
  const [heard, setHeard] = useState<{ look: string; clip: File } | undefined>(undefined);
  const [chosenAgainst, setAgainst] = useState<string | undefined>(undefined);
  if (!look) return null;
  const pair = pairOf(limb);
  const taken = looks.filter(({ id }) => LIMBS.some((one) => isWatched(feet[one].watching[id])));

  // What a look is held against: the one before it, as a rule; of the last visit its last.
  const lastVisit = signedBefore(file.visits, visit);
  const seenLast = file.watchings.filter((one) => one.visitId === lastVisit?.id && isWatched(one));
  const lastLook = lastVisit
    ? looksOfVisit(lastVisit.looks).findLast(({ id }) => seenLast.some((one) => one.look === id))
    : undefined;
  const against = [
    ...(lastLook ? [{ value: LAST, label: `the last visit, ${lookName(lastLook)}` }] : []),
    ...taken.filter(({ id }) => id !== look.id).map((one) => ({ value: one.id, label: lookName(one) })),
  ];
  const order = looks.map(({ id }) => id);
  const before = against.filter(({ value }) => order.indexOf(value) < order.indexOf(look.id)).at(-1);
  const held = against.find(({ value }) => value === chosenAgainst) ?? before ?? against[0];
  const earlierOf = (of: Limb) =>
    held?.value === LAST
      ? seenLast.find((one) => one.look === lastLook?.id && one.limb === of)
      : held && feet[of].watching[held.value];

  const seen = feet[limb].watching[look.id];
  const changeAt = (of: Limb, path: readonly string[], now: unknown, ...was: [unknown?]) =>
    footEdit(watchingPlace(visit, of, look.id), "watchings", feet[of].watching[look.id], {
      path,
      now,
      label: `${wording.limb(of)} watched`,
      ...(was.length > 0 && { was: was[0] }),
    });
  const keepSeen = (of: Limb, was: Seen, now: Seen) =>
    save(
      ...(["lands", "leaves"] as const)
        .filter((key) => !sameValue(was[key], now[key]))
        .map((key) => changeAt(of, [key], now[key], was[key])),
    );
  const agreement = look.id === "before" ? wearAgreement(feet[limb].look?.wear ?? {}, seen) : undefined;
  const earlier = earlierOf(limb);
  const changed = watchingChange(earlier, seen);
  const ofPair = pairSeen(seen, feet[pair].watching[look.id]);
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
      onChoose={(now) => void save(changeAt(limb, path, now))}
    />
  );
  const say = (parts: readonly string[]): string => wording.inOwnWords(parts.join(", "));
  return (
    <div className="watch">
      <LookBar context={context} looks={looks} look={look} taken={taken} onLook={setLookId} />
      <section className="watch-moving" aria-label="Moving">
        <h2>Moving</h2>
        <ArrivalSays visit={visit} only="mark" />
        <div className="watch-figures">
          {[limb, pair]
            .sort((a, b) => LIMBS.indexOf(a) - LIMBS.indexOf(b))
            .map((of) => (
              <LandingFigure
                key={of}
                limb={of}
                main={of === limb}
                name={lookName(look)}
                watching={feet[of].watching[look.id]}
                earlier={earlierOf(of)}
                onKeep={(was, now) => keepSeen(of, was, now)}
              />
            ))}
        </div>
        {held && (
          <p className="watch-against">
            <span className="quiet">Held against</span>
            <PickOne label="Held against" value={held.value} options={against} onPick={setAgainst} />
            <span className="quiet">dashed in the figures</span>
          </p>
        )}
        {changed && <p className="watch-said">{wording.inOwnWords(changed)}</p>}
        {!changed && seenAtBoth(earlier, seen) > 0 && (
          <p className="watch-said">Nothing that was seen at both looks has changed.</p>
        )}
        {agreement && (
          <p className={agreement.agrees ? "watch-said" : "watch-said watch-ask"}>
            {agreement.agrees
              ? "Landing, breakover and the wear of the shoe agree."
              : wording.inOwnWords(`It does not fit: ${agreement.disagreements.join("; ")}. Watch it again.`)}
          </p>
        )}
        {ofPair.both.length > 0 && (
          <p className="watch-said">
            Both of the pair: {say(ofPair.both)}. As a rule that is how the horse is built.
          </p>
        )}
        {ofPair.onlyThis.length > 0 && (
          <p className="watch-said watch-ask">
            Only this one of the pair: {say(ofPair.onlyThis)}. Something is uneven higher up, or hurts.
          </p>
        )}
        {ofPair.onlyOther.length > 0 && (
          <p className="watch-said watch-ask">
            Only the {wording.limb(pair)}: {say(ofPair.onlyOther)}.
          </p>
        )}
        {ofPair.unlike.length > 0 && <p className="watch-said watch-ask">Unlike: {say(ofPair.unlike)}.</p>}
        {choice("After landing", SLIDES, ["slide"], seen?.slide, "none")}
        {seen?.slide !== undefined &&
          seen.slide !== "none" &&
          choice("How far", SLIDE_REACHES, ["slideReach"], seen.slideReach, "under 1 cm")}
        {choice("Flight", FLIGHTS, ["flight"], seen?.flight)}
        {choice("Toe in flight", TOE_LIFTS, ["toeLift"], seen?.toeLift, "lifts it")}
        {!isFore(limb) &&
          choice("Against the fore’s print", TRACKS, ["tracks"], seen?.tracks, "into the print")}
      </section>
      <BeatPanel
        key={look.id}
        visit={visit}
        looks={looks}
        look={look}
        lastLooks={lastVisit ? looksOfVisit(lastVisit.looks) : []}
        clip={heard?.look === look.id ? heard.clip : undefined}
      />
      <ClipPanel
        key={`clip ${look.id}`}
        context={context}
        look={look}
        onHear={(clip) => setHeard({ look: look.id, clip: new File([clip], clip.name, { type: clip.type }) })}
      />
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
            sentenceCase(wording.inOwnWords(WALL_PLACE_NAMES[place])),
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
          hint="What has no tap: ears and back, what the rider says"
        />
        <Onward {...context} />
        {cautionsAt("watch").map((caution) => (
          <CautionNote key={caution.id} caution={caution} about="" />
        ))}
      </div>
    </div>
  );
}

/** Stands for the last visit's look in the list of what this one is held against. */
const LAST = "last visit";

/** "Knee" before, "Hock" behind. */
function jointName(joint: (typeof JOINTS)[number], limb: Limb): string {
  if (joint === "knee or hock") return isFore(limb) ? "Knee" : "Hock";
  return joint === "fetlock" ? "Fetlock" : "Pastern";
}
