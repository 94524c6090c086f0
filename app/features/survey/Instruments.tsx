import { detailOf } from "~app/data/trouble";
import { TextButton } from "~app/ui/TextButton";
import { useEffect, useRef, useState } from "react";
import type { InstrumentReading } from "~core/instrument/line";
import { readInstrumentLine, splitLines } from "~core/instrument/line";

/** The part of the browser's serial interface that is used; few browsers have it. */
interface SerialPort {
  open: (options: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array<ArrayBuffer>> | null;
}
const serial = (navigator as { serial?: { requestPort: () => Promise<SerialPort> } }).serial;

interface InstrumentsProps {
  /** The line that the stand-in sends for what is measured next; none where it has nothing to be held to. */
  standInLine: (() => string | undefined) | undefined;
  /** Takes a reading; answers which measure it went to. */
  onReading: (reading: InstrumentReading, source: "simulated" | "gauge" | "calliper") => string | undefined;
}

/** Gauges and callipers that send their readings: over a serial port where the browser has one, or as a stand-in. */
export function Instruments({ standInLine, onReading }: InstrumentsProps) {
  const [said, setSaid] = useState("");
  const [connected, setConnected] = useState(false);
  const latest = useRef(onReading);
  useEffect(() => {
    latest.current = onReading;
  });
  const receive = (line: string, simulated: boolean) => {
    const read = readInstrumentLine(line);
    if (!read.ok) return setSaid(read.issues[0]?.message ?? "");
    const source = simulated ? "simulated" : read.value.kind === "angle" ? "gauge" : "calliper";
    const went = latest.current(read.value, source);
    setSaid(went ? `${line.split("*")[0] ?? ""} → ${went}` : `${line}: no field here takes it.`);
  };
  const connect = async () => {
    try {
      const port = await serial?.requestPort();
      if (!port) return;
      await port.open({ baudRate: 9600 });
      setConnected(true);
      const reader = port.readable?.pipeThrough(new TextDecoderStream()).getReader();
      let rest = "";
      for (;;) {
        const part = await reader?.read();
        if (!part || part.done) break;
        const split = splitLines(rest + part.value);
        rest = split.rest;
        for (const line of split.lines) receive(line, false);
      }
    } catch (error) {
      setSaid(`The instrument could not be read: ${detailOf(error)}`);
    } finally {
      setConnected(false);
    }
  };
  return (
    <div className="instruments" role="group" aria-label="Instruments">
      {standInLine && (
        <TextButton
          onClick={() => {
            const line = standInLine();
            if (line) receive(line, true);
          }}
        >
          Simulated reading
        </TextButton>
      )}
      {serial && (
        <TextButton disabled={connected} onClick={() => void connect()}>
          {connected ? "Instrument connected" : "Connect an instrument"}
        </TextButton>
      )}
      <span aria-live="polite" className="quiet">
        {said}
      </span>
    </div>
  );
}
