import { TextButton } from "~app/ui/TextButton";
import { Button } from "antd";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import type { FittedProposal } from "~core/shoe/advice/fitted";
import { groundOfFoot } from "~core/visit/groundShoes";
import { advisedShoes } from "~core/visit/visitShoe";
import { foundGave, foundInWords, gaveInWords } from "~core/shoe/foundShoe";
import { specDifferences } from "~core/shoe/specification";
import { specInWords } from "~core/shoe/specWords";
import { shoeInWords } from "~core/trim/planWords";
import { shortDay } from "~app/ui/days";
import { Argument } from "./Argument";
import { FoundBeside } from "./FoundBeside";
import { SpecTable } from "./SpecTable";
import type { ShoeViewProps } from "./shoeView";

/** What speaks for which shoe, and the specification that is taken from it. */
export function Choose(props: ShoeViewProps) {
  const { context, shoeing, show } = props;
  const { visit, file, feet, limb } = context;
  const { shoe, spec, draft } = shoeing;
  const wording = useWording();
  const { shoeFacts } = shoe;
  const advice = useMemo(() => advisedShoes(shoe), [shoe]);
  const foot = feet[limb];
  const { lastShoe, trim } = foot;
  const { massKg } = file.horse;
  const signed = visit.status === "signed";
  /* eslint-disable react-hooks/exhaustive-deps -- the foot is worked out with the shoe; wording is the same while its unit is */
  const ground = useMemo(
    () => groundOfFoot(shoe, foot, { massKg, signed }, wording),
    [shoe, massKg, signed, wording.unit],
  );
  /* eslint-enable react-hooks/exhaustive-deps */
  const [opened, setOpened] = useState<string | undefined>(undefined);
  const { found } = foot.shoe ?? {};
  const gave = found && gaveInWords(foundGave(found, shoe.facts.survey), wording);
  const first = advice.proposals[0];
  const chosenIs = (proposal: FittedProposal) =>
    shoeing.chosen && specDifferences(proposal.spec, spec).length === 0;
  const open = opened ?? advice.proposals.find(chosenIs)?.id ?? first?.id;
  const told = [
    ...shoeFacts.work,
    ...shoeFacts.footing,
    shoeFacts.effort ? `${shoeFacts.effort} work` : "",
    shoeFacts.turnout === undefined || shoeFacts.turnout === "stabled"
      ? (shoeFacts.turnout ?? "")
      : `turned out ${shoeFacts.turnout}`,
    ...shoeFacts.goes,
    ...shoeFacts.conditions,
  ].filter((one) => one !== "");
  const tasks = trim?.plan?.agreed ? shoeInWords(trim.plan.shoe, trim.plan.finish, wording) : [];
  return (
    <div className="shoe-choose">
      <section className="shoe-advice" aria-label="What speaks for which shoe">
        <p className="shoe-told">
          {told.length > 0
            ? told.join(" · ")
            : "Work and ground are not told yet: this is for an ordinary horse."}{" "}
          <Link to={`/horses/${file.horse.id}/edit`} className="link">
            Change
          </Link>
        </p>
        {advice.askVet && (
          <p className="shoe-vet" role="alert">
            <b>Ask the vet first.</b> {advice.askVet}
          </p>
        )}
        {shoeFacts.prescription && (
          <p className="shoe-vet">
            <b>
              Prescribed by {shoeFacts.prescription.by}, until {shortDay(shoeFacts.prescription.until)}.
            </b>{" "}
            {shoeFacts.prescription.says} It outranks every rule here.
          </p>
        )}
        {tasks.length > 0 && (
          <p className="shoe-task-line">
            <b>The trim leaves:</b> <Fractions text={tasks.join(" ")} />
          </p>
        )}
        {shoe.heelLeft && (
          <p className="shoe-task-line">
            <Fractions text={shoe.heelLeft} />
          </p>
        )}
        {found && foundInWords(found, wording) !== "" && (
          <p className="shoe-task-line">
            <b>As found:</b> <Fractions text={foundInWords(found, wording)} />
            {gave && (
              <>
                . It gave: <Fractions text={gave} />
              </>
            )}
            .
          </p>
        )}
        <ol className="proposals">
          {advice.proposals.map((proposal, index) => {
            const { id, base, name, prescribed, ruledOut } = proposal;
            const isOpen = open === id;
            return (
              <li key={id} className="proposal" data-out={ruledOut} data-chosen={chosenIs(proposal)}>
                <div className="proposal-head">
                  <button
                    type="button"
                    className="proposal-name"
                    aria-expanded={isOpen}
                    onClick={() => setOpened(isOpen ? "" : id)}
                  >
                    <span className="proposal-rank">{index + 1}</span>
                    <b>{name}</b>
                    {prescribed && <span className="proposal-flag">prescribed</span>}
                    {ruledOut && <span className="proposal-flag ember">spoken against</span>}
                  </button>
                  {chosenIs(proposal) ? (
                    <span className="proposal-taken verdigris">taken</span>
                  ) : (
                    <Button
                      type={index === 0 && !shoeing.chosen ? "primary" : "default"}
                      disabled={advice.askVet !== undefined && base !== "bare"}
                      aria-label={`Take it: ${name}`}
                      onClick={() => shoeing.take(proposal.spec, prescribed ? "prescription" : "adviser")}
                    >
                      Take it
                    </Button>
                  )}
                </div>
                <p className="proposal-spec">
                  <Fractions text={specInWords(proposal.spec, wording)} />
                </p>
                {isOpen && (
                  <Argument
                    proposal={proposal}
                    facts={shoeFacts}
                    bench={ground}
                    groundAt={`/ground/${visit.id}/${limb}`}
                    recorded={lastShoe !== undefined}
                  />
                )}
              </li>
            );
          })}
        </ol>
        <p className="quiet">
          Nothing here is hidden:{" "}
          <Link to="/settings/shoeing" className="link">
            every rule and what it weighs
          </Link>
          .
        </p>
        {lastShoe?.spec && (
          <p className="shoe-last">
            <b>Last time, {shortDay(lastShoe.date)}:</b>{" "}
            <Fractions text={specInWords(lastShoe.spec, wording)} />{" "}
            {(!draft.spec || specDifferences(lastShoe.spec, spec).length > 0) && (
              <TextButton onClick={() => lastShoe.spec && shoeing.take(lastShoe.spec, "last time")}>
                The same again
              </TextButton>
            )}
          </p>
        )}
        <FoundBeside {...props} />
      </section>
      <SpecTable {...props} advised={first?.spec} by={first?.by ?? {}} onward={() => show("fit")} />
    </div>
  );
}
