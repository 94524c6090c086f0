import { Button } from "antd";
import { memo, useMemo, useState } from "react";
import { SoleView } from "~app/drawing/SoleView";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { ViewTabs } from "~app/ui/ViewTabs";
import { halvesFrom, halvesInWords } from "~core/foot/parametric/halves";
import { specDifferences } from "~core/shoe/specification";
import { differencesInWords, specInWords } from "~core/shoe/specWords";
import { BreakoverPanel } from "./BreakoverPanel";
import { Checks } from "./Checks";
import { FitHandles } from "./FitHandles";
import { SetNumbers } from "./SetNumbers";
import { FoundOutline } from "~app/drawing/FoundOutline";
import { foundBench } from "~core/visit/foundBench";
import { ShoeOverlay } from "~app/drawing/ShoeOverlay";
import { NailPanel } from "./NailPanel";
import type { ShoeViewProps } from "./shoeView";
import { StockPanel } from "./StockPanel";
import { pairOf } from "~core/foot/limb";

/** Drawn at about its own size: a screen's millimetre is a nominal one. */
const SCALES = { fit: "To the screen", life: "About life size" } as const;

/** The shoe drawn to scale on this foot, with its checks, its breakover and its nails. */
export function FitBench(props: ShoeViewProps) {
  const { context, shoeing, show } = props;
  const { limb, goTo, feet } = context;
  const { shoe, bench, spec } = shoeing;
  const { fit } = bench;
  const { foot, drawn, marks, measured } = shoe.toShoe;
  const wording = useWording();
  const [scale, setScale] = useState<keyof typeof SCALES>("fit");
  const bare = spec.type === "bare";
  const old = useMemo(
    () => foundBench(shoe, feet[limb], context.file.horse.massKg),
    [shoe, feet, limb, context.file.horse.massKg],
  );
  const oldShoe = old?.from === "found" && old.spec.type !== "bare" ? old.fit : undefined;
  const pairSpec = feet[pairOf(limb)].shoe?.spec;
  return (
    <div className="shoe-fit">
      <div className="fit-left">
        <section className="fit-picture sheet" aria-label="The shoe on the foot" data-scale={scale}>
          <div className="fit-picture-head">
            <p className="fit-says" data-worked-out>
              <Fractions text={specInWords(spec, wording)} />
            </p>
            <ViewTabs small label="Scale of the drawing" views={SCALES} view={scale} onShow={setScale} />
          </div>
          <div className="fit-drawing" data-worked-out>
            <SoleView
              foot={drawn}
              marks={marks}
              corY={foot.corY}
              shape={
                shoe.facts.outline && foot.undistorted
                  ? {
                      outline: {
                        ...shoe.facts.outline,
                        outline: [...foot.outline.medial].reverse().concat(foot.outline.lateral.slice(1)),
                      },
                    }
                  : undefined
              }
              halves={fit}
              wording={wording}
              guess={!measured}
              title={`The shoe under the ${wording.limb(limb)}, from below`}
              overlay={(geometry) => (
                <>
                  <ShoeOverlay geometry={geometry} fit={fit} />
                  {oldShoe && <FoundOutline geometry={geometry} fit={oldShoe} guess={false} />}
                  <FitHandles geometry={geometry} shoeing={shoeing} wording={wording} />
                </>
              )}
            />
          </div>
          <p className="pictures-key quiet">
            {bare
              ? "bevel from the edge of the sole outwards · "
              : `${foot.undistorted ? "fitted to the foot’s own outline, as its walls tell it" : measured ? "fitted through the measured points of the trimmed foot" : "not measured: fitted to a guess"} · `}
            the foot {shoe.fittedTo}
            {shoe.fittedTo === "as it stands" ? ", no trim is noted yet · " : " · "}
            <span className="verdigris">dotted: breakover</span>
            {spec.sideWedge && <span className="brass"> · band: wedge under that side</span>}
            {oldShoe && <span className="brass"> · dashed: the shoe that came off</span>}
          </p>
          <dl className="fit-numbers">
            <Number name="Front : support" value={halvesInWords(halvesFrom(fit.front, fit.support))} />
            <Number name="Front" value={wording.length(fit.front)} />
            <Number name="Support" value={wording.length(fit.support)} />
            {!bare && (
              <>
                <Number name="Width" value={wording.length(fit.width)} />
                <Number name="Length" value={wording.length(fit.length)} />
                <Number name="Mass, estimate" value={`${Math.round(fit.mass)} g`} />
                {shoeing.pairGrams !== undefined && (
                  <Number
                    name={`Against the ${wording.limb(pairOf(limb))}`}
                    value={`${signed(Math.round(fit.mass) - Math.round(shoeing.pairGrams))} g`}
                  />
                )}
              </>
            )}
            {fit.raiseMm > 0 && <Number name="Raise at the heel" value={wording.cut(fit.raiseMm)} />}
          </dl>
          {!bare && <SetNumbers shoeing={shoeing} />}
          {pairSpec && specDifferences(pairSpec, spec).length > 0 && (
            <p className="quiet fit-pair">
              Against the {wording.limb(pairOf(limb))}:{" "}
              <Fractions text={differencesInWords(pairSpec, spec, wording)} />.
            </p>
          )}
        </section>
        {!bare && <NailPanel {...props} />}
        {!bare && <StockPanel {...props} />}
      </div>
      <div className="fit-side">
        <Checks {...props} />
        <BreakoverPanel {...props} />
        <Onward
          stopped={shoeing.open.some(({ impossible }) => impossible)}
          bare={bare}
          goTo={goTo}
          show={show}
        />
      </div>
    </div>
  );
}

interface OnwardProps extends Pick<ShoeViewProps, "show">, Pick<ShoeViewProps["context"], "goTo"> {
  stopped: boolean;
  bare: boolean;
}

/** Drawn anew only when the way is stopped or free again, not with every step of a drag. */
const Onward = memo(function Onward({ stopped, bare, goTo, show }: OnwardProps) {
  return (
    <div className="trim-actions fit-onward">
      <Button type="primary" size="large" disabled={stopped} onClick={() => goTo({ stage: "set" })}>
        On to Set
      </Button>
      {!bare && (
        <Button size="large" onClick={() => show("sizes")}>
          Ready-made
        </Button>
      )}
    </div>
  );
});

const signed = (grams: number): string => (grams > 0 ? `+${grams}` : grams < 0 ? `−${-grams}` : "0");

const Number = ({ name, value }: { name: string; value: string }) => (
  <div>
    <dt>{name}</dt>
    <dd>
      <Fractions text={value} />
    </dd>
  </div>
);
