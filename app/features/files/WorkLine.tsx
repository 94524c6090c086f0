import { Button, Progress } from "antd";

/** How far long work is, and the way out of it. */
export function WorkLine({ name, part, onCancel }: { name: string; part: number; onCancel: () => void }) {
  return (
    <div className="work-line" role="status">
      <Progress percent={Math.round(part * 100)} aria-label={name} />
      <Button onClick={onCancel}>Call it off</Button>
    </div>
  );
}
