import { Button, Checkbox, Form, Input, InputNumber, Segmented, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { TextButton } from "~app/ui/TextButton";
import { DraftIsBack } from "~app/ui/DraftIsBack";
import { useFormDraft } from "~app/ui/useFormDraft";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { CASE_KINDS, CASE_LEADS, type Case } from "~core/case/caseRecord";
import { PROGRESS_NAMES } from "~core/case/progress";
import { USUAL_PROGRESS } from "~core/casework/caseProgress";
import { LIMBS } from "~core/foot/limb";
import type { Horse } from "~core/record/horse";
import { HEEL_SUPPORTS, PADS, SHOE_TYPES, TOE_EDGES, TOES } from "~core/shoe/specification";
import { caseFormEdits, type CaseFormValues } from "./caseFormEdits";
import { ExitList } from "./ExitList";
import "./case.css";

const options = (values: readonly string[]) => values.map((value) => ({ value, label: value }));
type Name = (string | number)[];

/** A case as it is opened or changed. What is wrong is said at its field; what was typed stays. */
export function CaseForm({ horse, one, today }: { horse: Horse; one?: Case | undefined; today: string }) {
  // What stood there when the form was opened; what other tabs do meanwhile is found when it is kept.
  const [opened] = useState(() => ({ one, id: one?.id ?? crypto.randomUUID() }));
  const [trouble, setTrouble] = useState<string>();
  const [form] = Form.useForm<CaseFormValues>();
  const wording = useWording();
  const { saveWith } = useEdits();
  const navigate = useNavigate();
  const draft = useFormDraft<CaseFormValues>(
    form,
    `forms/case/${horse.id}/${one?.id ?? "new"}`,
    one ?? { kind: "sore heels", lead: "vet", opened: today, feet: [], stages: [], progress: [] },
  );
  const kind = Form.useWatch("kind", form) ?? one?.kind ?? "other";
  const feet = Form.useWatch("feet", form) ?? one?.feet ?? [];
  const limbs = LIMBS.map((limb) => ({ value: limb, label: wording.limb(limb) }));
  const keep = async (values: CaseFormValues) => {
    setTrouble(undefined);
    const edits = caseFormEdits(values, opened.one, { id: opened.id, horseId: horse.id }, () =>
      crypto.randomUUID(),
    );
    if (!edits.ok) {
      form.setFields(
        edits.issues.map(({ path, message }) => ({
          name: path.split(".").map((key) => (/^\d+$/.test(key) ? Number(key) : key)) as never,
          errors: [message],
        })),
      );
      setTrouble(edits.issues[0]?.message);
      return;
    }
    if (edits.value.length === 0) draft.forget();
    const saved = edits.value.length > 0 ? await saveWith(edits.value, draft.drafts()) : undefined;
    if (saved?.kind === "failed") setTrouble(saved.message);
    else if (saved?.kind === "conflict")
      setTrouble("Another tab has changed this too. Say which value counts; what you typed is still here.");
    else void navigate(`/horses/${horse.id}/cases/${opened.id}`);
  };
  return (
    <div className="page case-form">
      <header className="page-head">
        <h1>{one ? `Change the case of ${horse.name}` : `Open a case for ${horse.name}`}</h1>
      </header>
      {draft.isBack && <DraftIsBack onStartAgain={draft.startAgain} />}
      <Form
        form={form}
        layout="vertical"
        requiredMark={false}
        initialValues={draft.initialValues}
        onValuesChange={draft.keep}
        onFinish={() => void keep(form.getFieldsValue(true) as CaseFormValues)}
      >
        <div className="case-form-columns">
          <div>
            <h2>What it is</h2>
            <Form.Item name="kind" label="Kind">
              <Select options={options(CASE_KINDS)} />
            </Form.Item>
            <Form.Item name="title" label="In your own words">
              <Input maxLength={200} />
            </Form.Item>
            <Form.Item name="feet" label="Feet">
              <Checkbox.Group options={limbs} />
            </Form.Item>
            <Form.Item name="lead" label="Who leads">
              <Segmented options={[...CASE_LEADS]} />
            </Form.Item>
            <Form.Item name="vet" label="The vet, and how to reach them">
              <Input maxLength={200} />
            </Form.Item>
            <div className="case-form-days">
              <Form.Item name="opened" label="Kept since">
                <Input type="date" />
              </Form.Item>
              <Form.Item name="onset" label="First signs">
                <Input type="date" />
              </Form.Item>
              <Form.Item name="surgery" label="Surgery">
                <Input type="date" />
              </Form.Item>
            </div>
          </div>
          <div>
            <h2>Prescription</h2>
            <p className="quiet">What a vet prescribed outranks every rule until it runs out. Empty: none.</p>
            <Form.Item name={["prescription", "by"]} label="Prescribed by">
              <Input maxLength={200} />
            </Form.Item>
            <div className="case-form-days">
              <Form.Item name={["prescription", "written"]} label="Written on">
                <Input type="date" />
              </Form.Item>
              <Form.Item name={["prescription", "until"]} label="Until">
                <Input type="date" />
              </Form.Item>
              <Form.Item name={["prescription", "weeks"]} label="Every so many weeks">
                <InputNumber min={1} max={16} />
              </Form.Item>
            </div>
            <Form.Item name={["prescription", "feet"]} label="For">
              <Checkbox.Group options={limbs} />
            </Form.Item>
            <Form.Item name={["prescription", "says"]} label="What it says">
              <Input.TextArea autoSize={{ minRows: 1, maxRows: 6 }} maxLength={10_000} />
            </Form.Item>
            <Asks at={["prescription"]} />
          </div>
        </div>
        <h2>Stages</h2>
        <p className="quiet">
          In order. Each foot goes through those that name it, and counts its own shoeings. A stage ends when
          its tests are met, not when its time is up.
        </p>
        <Form.List name="stages">
          {(fields, { add, remove }) => (
            <>
              {fields.map(({ key, name }) => (
                <fieldset key={key} className="case-form-stage sheet">
                  <legend>Stage {name + 1}</legend>
                  <div className="case-form-columns">
                    <div>
                      <Form.Item name={[name, "name"]} label="Name">
                        <Input maxLength={200} placeholder="Raised, frog supported" />
                      </Form.Item>
                      <Form.Item name={[name, "feet"]} label="Feet">
                        <Checkbox.Group options={limbs} />
                      </Form.Item>
                      <Form.Item name={[name, "shoeings"]} label="Shoeings or trims that it lasts">
                        <InputNumber min={1} max={40} />
                      </Form.Item>
                      <Form.Item name={[name, "says"]} label="What is done">
                        <Input.TextArea autoSize={{ minRows: 1, maxRows: 6 }} maxLength={10_000} />
                      </Form.Item>
                      <Asks at={[name, "asks"]} />
                    </div>
                    <ExitList stage={name} />
                  </div>
                  <TextButton className="ember" onClick={() => remove(name)}>
                    Take this stage away
                  </TextButton>
                </fieldset>
              ))}
              <Button onClick={() => add({ name: "", says: "", feet, asks: {}, exit: [] })}>
                Add a stage
              </Button>
            </>
          )}
        </Form.List>
        <h2>Followed by</h2>
        <Form.List name="progress">
          {(fields, { add, remove }) => (
            <>
              {fields.map(({ key, name }) => (
                <div key={key} className="case-form-row">
                  <Form.Item name={[name, "limb"]} label="Foot">
                    <Select options={limbs} />
                  </Form.Item>
                  <Form.Item name={[name, "name"]} label="Measure">
                    <Select options={options(PROGRESS_NAMES)} />
                  </Form.Item>
                  <Form.Item name={[name, "target"]} label="Target, mm or degrees">
                    <InputNumber />
                  </Form.Item>
                  <TextButton className="ember" onClick={() => remove(name)}>
                    Take away
                  </TextButton>
                </div>
              ))}
              <p className="marking-acts">
                <Button
                  onClick={() => add({ name: USUAL_PROGRESS[kind][0] ?? "axis", limb: feet[0] ?? "LF" })}
                >
                  Add a measure
                </Button>
                {fields.length === 0 && USUAL_PROGRESS[kind].length > 0 && feet.length > 0 && (
                  <TextButton
                    onClick={() => {
                      for (const limb of feet) for (const name of USUAL_PROGRESS[kind]) add({ name, limb });
                    }}
                  >
                    The usual for {kind}
                  </TextButton>
                )}
              </p>
            </>
          )}
        </Form.List>
        {trouble !== undefined && (
          <p className="ember" role="alert">
            {trouble}
          </p>
        )}
        <div className="case-form-end">
          <Button type="primary" htmlType="submit">
            Keep
          </Button>
          <Button
            onClick={() => {
              draft.forget();
              void navigate(one ? `/horses/${horse.id}/cases/${one.id}` : `/horses/${horse.id}`);
            }}
          >
            Leave it
          </Button>
        </div>
      </Form>
    </div>
  );
}

/** What is asked of the shoe, as far as the bench can check it. */
function Asks({ at }: { at: Name }) {
  return (
    <details className="case-form-asks">
      <summary>What it asks of the shoe</summary>
      <div className="case-form-row">
        <Form.Item name={[...at, "type"]} label="Shoe">
          <Select allowClear options={options(SHOE_TYPES)} />
        </Form.Item>
        <Form.Item name={[...at, "toe"]} label="Toe">
          <Select allowClear options={options(TOES)} />
        </Form.Item>
        <Form.Item name={[...at, "toeEdge"]} label="Toe’s ground edge">
          <Select allowClear options={options(TOE_EDGES)} />
        </Form.Item>
        <Form.Item name={[...at, "support"]} label="Ends at">
          <Select allowClear options={options(HEEL_SUPPORTS)} />
        </Form.Item>
        <Form.Item name={[...at, "pad"]} label="Pad">
          <Select allowClear options={options(PADS)} />
        </Form.Item>
        <Form.Item name={[...at, "raiseDeg"]} label="Raise, degrees">
          <InputNumber min={0} max={20} />
        </Form.Item>
      </div>
    </details>
  );
}
