import { Button, Form, InputNumber, Select } from "antd";
import { TextButton } from "~app/ui/TextButton";
import { EXIT_TESTS, type ExitKind } from "~core/case/exitTests";
import { sentenceCase } from "~core/foot/wording";

const BOUNDS: Partial<Record<ExitKind, readonly (readonly [key: string, label: string])[]>> = {
  "heels like wall": [["within", "degrees"]],
  "axis straight": [["within", "degrees"]],
  "axis like pair": [["within", "degrees"]],
  "frog on ground": [["within", "mm"]],
  "white line under": [["under", "mm"]],
  "sole depth": [["least", "mm"]],
  "palmar angle": [
    ["from", "from, degrees"],
    ["to", "to, degrees"],
  ],
  "capsule rotation": [["within", "degrees"]],
  "grown down": [["least", "mm"]],
  "defect under": [["under", "mm"]],
  "stands on it": [["visits", "visits in a row"]],
  shoeings: [["least", "shoeings"]],
};

/** How it is seen that a stage has done its work. */
export function ExitList({ stage }: { stage: number }) {
  const form = Form.useFormInstance();
  return (
    <div className="case-form-exit">
      <h3>It may be left when</h3>
      <Form.List name={[stage, "exit"]}>
        {(fields, { add, remove }, { errors }) => (
          <>
            {fields.map(({ key, name }) => (
              <div key={key} className="case-form-row">
                <Form.Item name={[name, "kind"]} label="Test">
                  <Select
                    options={Object.entries(EXIT_TESTS).map(([value, { name: label }]) => ({ value, label }))}
                    onChange={(kind: ExitKind) =>
                      form.setFieldValue(["stages", stage, "exit", name], EXIT_TESTS[kind].start)
                    }
                  />
                </Form.Item>
                <Form.Item
                  noStyle
                  shouldUpdate={(was, now) =>
                    was.stages?.[stage]?.exit?.[name]?.kind !== now.stages?.[stage]?.exit?.[name]?.kind
                  }
                >
                  {({ getFieldValue }) =>
                    (BOUNDS[getFieldValue(["stages", stage, "exit", name, "kind"]) as ExitKind] ?? []).map(
                      ([bound, label]) => (
                        <Form.Item key={bound} name={[name, bound]} label={sentenceCase(label)}>
                          <InputNumber />
                        </Form.Item>
                      ),
                    )
                  }
                </Form.Item>
                <TextButton className="ember" onClick={() => remove(name)}>
                  Take away
                </TextButton>
              </div>
            ))}
            <Form.ErrorList errors={errors} />
            <Button size="small" onClick={() => add(EXIT_TESTS["heels like wall"].start)}>
              Add a test
            </Button>
          </>
        )}
      </Form.List>
    </div>
  );
}
