import { Chip } from "~app/ui/Chip";
import { TextButton } from "~app/ui/TextButton";
import { Button } from "antd";
import { useState } from "react";
import { Choice } from "~app/stage/Choice";
import { SectorShoe } from "~app/stage/SectorShoe";
import { useWording } from "~app/ui/useWording";
import { WEAR_SECTORS, type WearSector } from "~core/foot/wear";
import {
  hotFitsInWords,
  isFullPrint,
  PLATE_PRINTS,
  printInWords,
  PRINTS,
  type Print,
  type WantedPrint,
} from "~core/shoe/setSteps";
import { meetsFrog } from "~core/shoe/specification";
import { LineOfWhy } from "~app/stage/LineOfWhy";
import type { StageContext } from "~app/stage/stageContext";
import type { Shoeing } from "~app/stage/useShoe";

/** How often it was tried hot, what each print said by sector, and what to change before the next try. */
export function HotFits({ context, shoeing }: { context: StageContext; shoeing: Shoeing }) {
  const wording = useWording();
  const { record, shoe } = shoeing;
  const [brush, setBrush] = useState<Print>("wall");
  const fits = record?.hotFits ?? {};
  const numbers = Object.keys(fits).sort();
  const last = numbers.at(-1);
  const print = last === undefined ? {} : (fits[last] ?? {});
  const { spec } = shoeing;
  const plate = meetsFrog(spec) && spec.type !== "bare";
  const wanted: WantedPrint = {
    gaps: [
      ...new Set([
        ...(Object.keys(context.feet[context.limb].trim?.floats ?? {}) as WearSector[]),
        ...spec.unloaded,
      ]),
    ],
    plate,
    met: last === undefined ? undefined : record?.platePrints?.[last],
  };
  const thin = shoe.shoeFacts.thinSole === true;
  const why = record?.hotOnThin ?? "";
  const paint = (sector: WearSector) => {
    if (last === undefined) return;
    void shoeing.keepAt(
      ["hotFits", last, sector],
      print[sector] === brush ? undefined : brush,
      `print of try ${last}`,
    );
  };
  return (
    <section className="hot-fits" aria-label="Hot fits">
      <h2>{hotFitsInWords(numbers.length)}</h2>
      {thin && (
        <>
          <p className="ember">
            <b>Thin sole: fit cold.</b> Heat goes through what is thin. Some do it hot all the same, briefly:
            then with a line of why.
          </p>
          <LineOfWhy
            label={why ? "Hot on a thin sole, because" : "Fit it hot all the same, because"}
            hint="One line of why, kept with the shoe"
            draftKey={`${context.visit.id}.${context.limb}.set.hotOnThin`}
            stored={why}
            edit={(line) => [shoeing.editAt(["hotOnThin"], line || undefined, "why hot on a thin sole")]}
          />
        </>
      )}
      {last !== undefined && (
        <div className="hot-fit">
          <SectorShoe
            limb={context.limb}
            states={print}
            classOf={(state) => `print-${state}`}
            title={`Print of try ${last}, ${wording.limb(context.limb)}`}
            none="not looked at"
            onPaint={paint}
          />
          <div>
            <div className="nail-words" role="group" aria-label="What touched">
              {PRINTS.map((one) => (
                <Chip
                  key={one}
                  className={`print-chip print-${one}`}
                  on={brush === one}
                  onClick={() => setBrush(one)}
                >
                  {one}
                </Chip>
              ))}
            </div>
            <p className="quiet">Choose what touched, then tap where.</p>
            {plate && (
              <Choice
                label="The plate"
                options={PLATE_PRINTS}
                value={wanted.met}
                onChoose={(met) => {
                  const { [last]: _was, ...rest } = record?.platePrints ?? {};
                  void shoeing.keepAt(
                    ["platePrints"],
                    met ? { ...rest, [last]: met } : rest,
                    `plate of try ${last}`,
                  );
                }}
              />
            )}
            <TextButton
              onClick={() =>
                void shoeing.keepAt(
                  ["hotFits", last],
                  Object.fromEntries(
                    WEAR_SECTORS.map((sector) => [sector, wanted.gaps?.includes(sector) ? "gap" : "wall"]),
                  ),
                  `print of try ${last}`,
                )
              }
            >
              {wanted.gaps?.length ? "Wall all round, gap where it is wanted" : "Wall all round"}
            </TextButton>
          </div>
        </div>
      )}
      {printInWords(print, wanted).map((line) => (
        <p key={line} className="ember">
          {wording.inOwnWords(line)}
        </p>
      ))}
      {last !== undefined && isFullPrint(print, wanted) && (
        <p className="verdigris">
          {wanted.gaps?.length || plate
            ? "It touches what it is to touch, and nothing else"
            : "Wall all round"}
          : nail it on.
        </p>
      )}
      <Button
        disabled={(thin && why.trim() === "") || numbers.length >= 9}
        onClick={() => void shoeing.keepAt(["hotFits", String(numbers.length + 1)], {}, "hot fit")}
      >
        {numbers.length === 0 ? "First hot fit" : "Another hot fit"}
      </Button>
    </section>
  );
}
