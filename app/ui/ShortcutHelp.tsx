import { Modal } from "antd";
import { Fragment } from "react";
import "./finder.css";

const SHORTCUTS: [keys: string[], what: string][] = [
  [["1", "2", "3", "4"], "Left fore, right fore, left hind, right hind (with Alt while a number is typed)"],
  [["[", "]"], "Stage before, stage after"],
  [["Enter"], "Keep this number, go to the next"],
  [["g t"], "Today"],
  [["g h"], "Horses"],
  [["m"], "Measure the active number again (with Alt while a number is typed)"],
  [["g f"], "Forge"],
  [["g r"], "Rounds"],
  [["g p"], "Practice"],
  [["g b"], "Files: back up"],
  [["g c"], "Cautions"],
  [["g s"], "Settings"],
  [["/", "Ctrl K"], "Find a horse or an action"],
  [["u"], "Millimetres or inches"],
  [["Ctrl Z"], "Take back the last change"],
  [["?"], "This list"],
];

export default function ShortcutHelp({ onClose }: { onClose: () => void }) {
  return (
    <Modal open onCancel={onClose} footer={null} title="Shortcuts">
      <dl className="shortcut-list">
        {SHORTCUTS.map(([keys, what]) => (
          <Fragment key={what}>
            <dt>
              {keys.map((key) => (
                <Fragment key={key}>
                  <kbd>{key}</kbd>{" "}
                </Fragment>
              ))}
            </dt>
            <dd>{what}</dd>
          </Fragment>
        ))}
      </dl>
    </Modal>
  );
}
