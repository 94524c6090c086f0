import { Button, Progress } from "antd";
import { useEffect, useRef, useState } from "react";
import { loadDemo } from "../data/rounds";
import { storageTrouble } from "../data/trouble";
import type { DemoKind } from "../workers/demo";
import { todayHere } from "./days";

interface DemoLoaderProps {
  kind: DemoKind;
  label: string;
  /** Begin at once. */
  start?: boolean;
  quiet?: boolean;
}

/** Makes the demo round with progress and opens it. One's own records stay where they are. */
export function DemoLoader({ kind, label, start = false, quiet = false }: DemoLoaderProps) {
  const [part, setPart] = useState<number>();
  const [trouble, setTrouble] = useState<string>();
  const begun = useRef(false);
  const begin = async () => {
    setPart(0);
    setTrouble(undefined);
    try {
      await loadDemo(kind, todayHere(), setPart);
      location.assign("/");
    } catch (error) {
      setPart(undefined);
      setTrouble(storageTrouble(error));
    }
  };
  useEffect(() => {
    if (!start || begun.current) return;
    begun.current = true;
    void begin();
  });
  if (part !== undefined)
    return (
      <div className="demo-progress" role="status" style={{ width: "min(100%, 360px)" }}>
        <Progress percent={Math.round(part * 100)} aria-label="Making the demo round" />
      </div>
    );
  return (
    <>
      <Button type={quiet ? "link" : "default"} onClick={() => void begin()}>
        {label}
      </Button>
      {trouble && <p className="ember">{trouble}</p>}
    </>
  );
}
