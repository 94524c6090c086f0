import { Checkbox, Form, Radio } from "antd";
import { CONDITIONS, EFFORTS, FOOTINGS, GOES, TURNOUTS, WORKS } from "~core/shoe/facts";

const options = (values: readonly string[]) => values.map((value) => ({ value, label: value }));

/** What decides the shoe: work, ground, how it goes. What a vet prescribed stands in a case. */
export function LifeFields() {
  return (
    <>
      <h2>Work and ground</h2>
      <p className="quiet">The shoe bench argues from these.</p>
      <Form.Item name={["horse", "life", "work"]} label="What it does">
        <Checkbox.Group options={options(WORKS)} />
      </Form.Item>
      <Form.Item name={["horse", "life", "footing"]} label="On what ground">
        <Checkbox.Group options={options(FOOTINGS)} />
      </Form.Item>
      <Form.Item name={["horse", "life", "effort"]} label="How hard">
        <Radio.Group options={options(EFFORTS)} />
      </Form.Item>
      <Form.Item name={["horse", "life", "turnout"]} label="Turned out">
        <Radio.Group options={options(TURNOUTS)} />
      </Form.Item>
      <Form.Item name={["horse", "life", "goes"]} label="How it goes">
        <Checkbox.Group options={options(GOES)} />
      </Form.Item>
      <Form.Item
        name={["horse", "life", "conditions"]}
        label="Known to a vet"
        extra="With most of these nothing is nailed on before the vet has been asked."
      >
        <Checkbox.Group options={options(CONDITIONS)} />
      </Form.Item>
      <Form.Item name={["horse", "life", "growsMoreThanItWears"]} valuePropName="checked">
        <Checkbox>Grows more than it wears: could go bare</Checkbox>
      </Form.Item>
      <Form.Item name={["horse", "life", "longPasterns"]} valuePropName="checked">
        <Checkbox>Long pasterns for its size</Checkbox>
      </Form.Item>
    </>
  );
}
