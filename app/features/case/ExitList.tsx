import { Button, Form, InputNumber, Select } from "antd";
import { TextButton } from "~app/ui/TextButton";
import { EXIT_TESTS, type ExitKind } from "~core/case/exitTests";
import { sentenceCase } from "~core/foot/wording";

const UNIT_WORDS = { deg: "degrees", mm: "mm", times: "times" };

/** The bounds that a kind of test asks, each with its words. */
function boundsOf(kind: ExitKind | undefined): { bound: string; label: string }[] {
  if (kind === undefined) return [];
  const { unit, start } = EXIT_TESTS[kind];
  return Object.keys(start)
    .filter((key) => key !== "kind")
    .map((bound) => {
      const words = unit ? UNIT_WORDS[unit] : "";
      return {
        bound,
        label: sentenceCase(bound === "from" || bound === "to" ? `${bound}, ${words}` : words),
      };
    });
}

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
                    boundsOf(
                      getFieldValue(["stages", stage, "exit", name, "kind"]) as ExitKind | undefined,
                    ).map(({ bound, label }) => (
                      <Form.Item key={bound} name={[name, bound]} label={label}>
                        <InputNumber />
                      </Form.Item>
                    ))
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
