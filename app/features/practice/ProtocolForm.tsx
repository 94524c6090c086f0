import { groupsOf, type Protocol } from "~core/practice/protocol";

/** The form of an examination: who, which foot, each step with its boxes, the sum. */
export function ProtocolForm({ protocol, withWhy }: { protocol: Protocol; withWhy: boolean }) {
  const groups = groupsOf(protocol.steps);
  const blanks = ["Candidate", "Examiner", "Date", "Horse", "Foot"];
  return (
    <article className="protocol-form">
      <h2>{protocol.name}</h2>
      <dl className="form-blanks">
        {[...blanks, protocol.minutes ? `Time, of ${protocol.minutes} minutes` : "Time"].map((name) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd />
          </div>
        ))}
      </dl>
      {protocol.steps.length === 0 ? (
        <p className="quiet">No step is written yet.</p>
      ) : (
        <table>
          <thead>
            <tr>
              <th scope="col" />
              <th scope="col">Step</th>
              <th scope="col">done</th>
              <th scope="col">out of order</th>
              <th scope="col">missed</th>
            </tr>
          </thead>
          <tbody>
            {groups.flatMap((group, number) =>
              group.map((step, letter) => (
                <tr key={step.id}>
                  <td>
                    {number + 1}
                    {group.length > 1 && String.fromCharCode(97 + letter)}
                  </td>
                  <th scope="row">
                    {step.text}
                    {withWhy && step.why !== "" && <span className="form-why">{step.why}</span>}
                  </th>
                  <td className="form-box">☐</td>
                  <td className="form-box">☐</td>
                  <td className="form-box">☐</td>
                </tr>
              )),
            )}
          </tbody>
          <tfoot>
            <tr>
              <td />
              <th scope="row">Steps in order, of {protocol.steps.length}</th>
              <td className="form-sum" colSpan={3} />
            </tr>
          </tfoot>
        </table>
      )}
      {groups.some((group) => group.length > 1) && (
        <p className="form-note">Steps with the same number and different letters may change places.</p>
      )}
    </article>
  );
}
