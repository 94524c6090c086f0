import { Segmented } from "antd";
import { useMemo } from "react";
import { useSearchParams } from "react-router";
import { useWording } from "~app/ui/useWording";
import { lengthInField } from "~core/foot/wording";
import { groundById, HARDEST } from "~core/ground/grounds";
import { paceLoad } from "~core/ground/loads";
import { ok } from "~core/result";
import { parseLength } from "~core/units/length";
import { groundByMeasures, MEASURES_KG, type TwoMeasuresOfFoot } from "~core/visit/groundShoes";
import { AskedNumber } from "./AskedNumber";
import { GroundBenchView } from "./GroundBenchView";
import { useStanding } from "./useStanding";

const USUAL = { width: 127, length: 127 };

/** A foot without records: two measures, the shape a sound one's. */
export function GroundByMeasures() {
  const wording = useWording();
  const [search, setSearch] = useSearchParams();
  const put = (name: string, value: string) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        next.set(name, value);
        return next;
      },
      { replace: true },
    );
  const end: TwoMeasuresOfFoot["end"] = search.get("end") === "hind" ? "hind" : "fore";
  const width = Number(search.get("width") ?? USUAL.width);
  const length = Number(search.get("length") ?? USUAL.length);
  const bench = useMemo(() => groundByMeasures({ end, width, length }), [end, width, length]);
  const stands = useStanding({
    ground: groundById("arena") ?? HARDEST,
    newtons: paceLoad("walk", MEASURES_KG, end === "fore"),
  });
  const measure = (name: "width" | "length", mm: number) => (
    <AskedNumber
      key={`${name}${mm}${wording.unit}`}
      label={name === "width" ? "Width of the foot" : "Length, heels to toe"}
      unit={wording.unit}
      value={mm}
      show={(value) => lengthInField(value, wording)}
      read={(text) => {
        const read = parseLength(text, wording.unit);
        if (!read.ok) return read;
        const made = groundByMeasures({ end, width, length, [name]: read.value });
        return made.ok ? ok(read.value) : made;
      }}
      onKeep={(now) => put(name, String(now))}
    />
  );
  return (
    <>
      <div className="ground-measures">
        <Segmented
          aria-label="End"
          options={["fore", "hind"]}
          value={end}
          onChange={(value) => put("end", value)}
        />
        {measure("width", width)}
        {measure("length", length)}
      </div>
      {bench.ok ? (
        <GroundBenchView
          bench={bench.value}
          stands={stands}
          limb={end === "fore" ? "LF" : "LH"}
          massKg={MEASURES_KG}
        />
      ) : (
        <p className="ember" role="alert">
          {bench.issues[0]?.message}
        </p>
      )}
    </>
  );
}
