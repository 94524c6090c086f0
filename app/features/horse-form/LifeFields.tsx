import { Checkbox, Form, Input, InputNumber, Radio, Select } from "antd";
import { LIMBS } from "~core/foot/limb";
import { CONDITIONS, EFFORTS, FOOTINGS, GOES, TURNOUTS, WORKS } from "~core/shoe/facts";
import { HEEL_SUPPORTS, PADS, SHOE_TYPES, TOE_EDGES, TOES } from "~core/shoe/specification";
import { useWording } from "~app/ui/useWording";

const options = (values: readonly string[]) => values.map((value) => ({ value, label: value }));

/** What decides the shoe: work, ground, how it goes, and what a vet prescribed. */
export function LifeFields() {
  const wording = useWording();
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
      <h2>Prescription</h2>
      <p className="quiet">What a vet prescribed outranks every rule until it runs out. Empty: none.</p>
      <Form.Item name={["horse", "prescription", "by"]} label="Prescribed by">
        <Input />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "until"]} label="Until">
        <Input type="date" style={{ width: 180 }} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "feet"]} label="For">
        <Checkbox.Group options={LIMBS.map((limb) => ({ value: limb, label: wording.limb(limb) }))} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "says"]} label="What it says">
        <Input.TextArea autoSize={{ minRows: 1, maxRows: 6 }} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "type"]} label="Shoe">
        <Select allowClear options={options(SHOE_TYPES)} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "toe"]} label="Toe">
        <Select allowClear options={options(TOES)} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "toeEdge"]} label="Toe’s ground edge">
        <Select allowClear options={options(TOE_EDGES)} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "support"]} label="Ends at">
        <Select allowClear options={options(HEEL_SUPPORTS)} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "pad"]} label="Pad">
        <Select allowClear options={options(PADS)} />
      </Form.Item>
      <Form.Item name={["horse", "prescription", "raiseDeg"]} label="Raise, degrees">
        <InputNumber min={0} max={20} style={{ width: 160 }} />
      </Form.Item>
    </>
  );
}
