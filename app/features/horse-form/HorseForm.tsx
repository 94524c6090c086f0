import { Button, Form, Input, InputNumber, Segmented, Select } from "antd";
import { useState } from "react";
import { useNavigate } from "react-router";
import { DraftIsBack } from "~app/ui/DraftIsBack";
import { useFormDraft } from "~app/ui/useFormDraft";
import { useEdits } from "~app/ui/useEdits";
import { CAP_WEEKS, HORSE_USES } from "~core/constants/due";
import { workInWords } from "~core/cycle/dueWords";
import { ANIMAL_KINDS } from "~core/foot/toeYardstick";
import { FINISHES, LEFT, type Horse } from "~core/record/horse";
import type { Yard } from "~core/record/yard";
import { sentenceCase } from "~core/foot/wording";
import type { Visit } from "~core/record/visit";
import { LifeFields } from "./LifeFields";
import { horseFormEdits, NEW_YARD, type HorseFormValues, type Opened } from "./horseFormEdits";

interface HorseFormProps {
  horse?: Horse;
  yard?: Yard;
  yards: Yard[];
  /** All horses of the round. */
  horses: Pick<Horse, "id" | "name" | "yardId">[];
  /** The visits that are planned for it. */
  planned?: Visit[];
  today: string;
}

const BLANK = { kind: "horse", use: "riding", finish: "full set" } as const;

/** A horse and where it stands. What is wrong is said at its field; what was typed stays. */
export function HorseForm({ yards, horses, today, ...read }: HorseFormProps) {
  // What stood there when the form was opened; what other tabs do meanwhile is found when it is kept.
  const [opened] = useState((): Opened => ({
    horse: read.horse,
    yard: read.yard,
    planned: read.planned ?? [],
    ids: { horse: crypto.randomUUID(), yard: crypto.randomUUID() },
  }));
  const { horse, yard } = opened;
  const [trouble, setTrouble] = useState<string>();
  const [form] = Form.useForm<HorseFormValues>();
  const { saveWith } = useEdits();
  const navigate = useNavigate();
  const knownYard = yards.some(({ id }) => id === yard?.id) ? yard : undefined;
  const draft = useFormDraft<HorseFormValues>(form, `forms/horse/${horse?.id ?? "new"}`, {
    horse: horse ?? BLANK,
    yardId: knownYard?.id ?? (horse ? NEW_YARD : (yards[0]?.id ?? NEW_YARD)),
    yard: knownYard ?? {},
    left: horse?.left?.why ?? "",
  });
  const use = Form.useWatch(["horse", "use"], form) ?? horse?.use ?? BLANK.use;
  const yardId = Form.useWatch("yardId", form) ?? draft.initialValues.yardId;
  const beside = horses.filter((one) => one.yardId === yardId && one.id !== horse?.id);
  const keep = async (values: HorseFormValues) => {
    setTrouble(undefined);
    const edits = horseFormEdits(values, opened, today);
    if (!edits.ok) {
      form.setFields(
        edits.issues.map(({ path, message }) => ({
          name: path.split(".") as ["horse", "name"],
          errors: [message],
        })),
      );
      return;
    }
    if (edits.value.length === 0) draft.forget();
    const saved = edits.value.length > 0 ? await saveWith(edits.value, draft.drafts()) : undefined;
    if (saved?.kind === "failed") setTrouble(saved.message);
    else if (saved?.kind === "conflict")
      setTrouble("Another tab has changed this too. Say which value counts; what you typed is still here.");
    else void navigate(`/horses/${horse?.id ?? opened.ids.horse}`);
  };
  return (
    <div className="page" style={{ maxWidth: 720 }}>
      <header className="page-head">
        <h1>{horse ? `Change ${horse.name}` : "Add a horse"}</h1>
      </header>
      {draft.isBack && <DraftIsBack onStartAgain={draft.startAgain} />}
      <Form
        form={form}
        layout="vertical"
        requiredMark={false}
        initialValues={draft.initialValues}
        onValuesChange={(changed: Partial<HorseFormValues>) => {
          // A companion stays behind at the yard that was left.
          if (changed.yardId !== undefined) form.setFieldValue(["horse", "companionId"], undefined);
          draft.keep();
        }}
        onFinish={(values) => void keep(values)}
      >
        <Form.Item name={["horse", "name"]} label="Name">
          <Input autoFocus />
        </Form.Item>
        <Form.Item name={["horse", "kind"]} label="Kind">
          <Segmented options={[...ANIMAL_KINDS]} />
        </Form.Item>
        <Form.Item
          name={["horse", "massKg"]}
          label="Body mass, kg"
          extra="Sets the yardstick for the toe, and the size of the drawing until it is measured."
        >
          <InputNumber min={0} style={{ width: 160 }} />
        </Form.Item>
        <Form.Item name={["horse", "use"]} label="Work">
          <Select options={HORSE_USES.map((value) => ({ value, label: workInWords(value) }))} />
        </Form.Item>
        <Form.Item name={["horse", "finish"]} label="What it gets">
          <Segmented options={[...FINISHES]} />
        </Form.Item>
        <Form.Item
          name={["horse", "capWeeks"]}
          label="Longest interval, weeks"
          extra={`Empty: ${CAP_WEEKS[use].value} weeks, as for ${workInWords(use)}.`}
        >
          <InputNumber min={1} max={16} style={{ width: 160 }} />
        </Form.Item>
        <Form.Item
          name={["horse", "toeTargetMm"]}
          label="Own target for the toe length, mm"
          extra="Empty: the yardstick by body mass."
        >
          <InputNumber min={0} style={{ width: 160 }} />
        </Form.Item>
        <Form.Item
          name={["horse", "habits"]}
          label="Habits that can hurt"
          extra="Kicks, leans, pulls, dislikes hammering: shown before every visit."
        >
          <Input.TextArea autoSize={{ minRows: 1, maxRows: 6 }} />
        </Form.Item>
        <Form.Item name={["horse", "notes"]} label="Notes">
          <Input.TextArea autoSize={{ minRows: 2, maxRows: 10 }} />
        </Form.Item>
        <LifeFields />
        <Form.Item name="yardId" label="Yard">
          <Select
            options={[
              ...yards.map(({ id, name }) => ({ value: id, label: name })),
              { value: NEW_YARD, label: "A new yard" },
            ]}
          />
        </Form.Item>
        {beside.length > 0 && (
          <Form.Item
            name={["horse", "companionId"]}
            label="Goes together with"
            extra="A plan puts both on one day: one frets alone, or one person brings both."
          >
            <Select
              allowClear
              showSearch={{ optionFilterProp: "label" }}
              placeholder="Nobody in particular"
              options={beside.map(({ id, name }) => ({ value: id, label: name }))}
            />
          </Form.Item>
        )}
        {(yardId === NEW_YARD || yardId === yard?.id) && (
          <>
            <Form.Item name={["yard", "name"]} label="Yard’s name">
              <Input />
            </Form.Item>
            <Form.Item name={["yard", "person"]} label="Person">
              <Input />
            </Form.Item>
            <Form.Item name={["yard", "phone"]} label="Telephone">
              <Input type="tel" />
            </Form.Item>
            <Form.Item name={["yard", "access"]} label="How to get in">
              <Input.TextArea autoSize={{ minRows: 1, maxRows: 6 }} />
            </Form.Item>
          </>
        )}
        {horse && (
          <Form.Item
            name="left"
            label="On the round"
            extra="One that is gone keeps its history; it is not due any more, and what was planned for it is taken off."
          >
            <Select
              options={[
                { value: "", label: "Still on it" },
                ...LEFT.map((value) => ({ value, label: sentenceCase(value) })),
              ]}
            />
          </Form.Item>
        )}
        {trouble !== undefined && (
          <p className="ember" role="alert">
            {trouble}
          </p>
        )}
        <div style={{ display: "flex", gap: 12 }}>
          <Button type="primary" htmlType="submit">
            Keep
          </Button>
          <Button
            onClick={() => {
              draft.forget();
              void navigate(horse ? `/horses/${horse.id}` : "/horses");
            }}
          >
            Leave it
          </Button>
        </div>
      </Form>
    </div>
  );
}
