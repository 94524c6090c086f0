import { Button } from "antd";
import { download } from "~app/data/files";
import { useWork, type Started } from "./useWork";
import { WorkLine } from "./WorkLine";

/** One way in which the records leave. */
export interface Exporter {
  name: string;
  why: string;
  file: { name: string; type: string };
  start: (report: (part: number) => void) => Started<Blob | string>;
}

/** A press takes the file out; what takes long says how far it is and can be called off. */
export function ExportRow({ name, why, file, start }: Exporter) {
  const { part, trouble, run, cancel } = useWork();
  const take = async () => {
    const content = await run(start);
    if (content !== undefined) download(file.name, file.type, content);
  };
  return (
    <div className="file-row">
      <Button
        type={name === "Back up everything" ? "primary" : "default"}
        disabled={part !== undefined}
        onClick={() => void take()}
      >
        {name}
      </Button>
      {part === undefined ? (
        <p className="quiet">{why}</p>
      ) : (
        <WorkLine name={name} part={part} onCancel={cancel} />
      )}
      {trouble && (
        <p className="ember" role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}
