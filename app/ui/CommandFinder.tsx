import { Input, Modal } from "antd";
import { useEffect, useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { horseNames } from "~app/data/queries";
import { useEdits } from "./useEdits";
import "./finder.css";

interface Command {
  id: string;
  name: string;
  hint: string;
  run: () => void;
}

interface FinderProps {
  onClose: () => void;
  onHelp: () => void;
}

const MOST_SHOWN = 9;

/** Reaches every horse and every action by a few letters. */
export default function CommandFinder({ onClose, onHelp }: FinderProps) {
  const navigate = useNavigate();
  const { undo } = useEdits();
  const [text, setText] = useState("");
  const [chosen, setChosen] = useState(0);
  const [horses, setHorses] = useState<{ id: string; name: string }[]>([]);
  useEffect(() => {
    void horseNames().then(setHorses);
  }, []);
  const commands = useMemo<Command[]>(() => {
    const go = (name: string, to: string, hint = "Go to"): Command => ({
      id: `go-${to}`,
      name,
      hint,
      run: () => void navigate(to),
    });
    return [
      ...horses.map(({ id, name }) => go(name, `/horses/${id}`, "Horse")),
      go("Today", "/"),
      go("Horses", "/horses"),
      go("Add a horse", "/horses/new", "Action"),
      go("Cases: stages, what is overdue or runs out", "/cases"),
      go("Forge: steel, marks, pattern, heats", "/forge"),
      go("Cut list: bars and offcuts", "/forge?view=list"),
      go("Rounds: plan the next days", "/rounds"),
      go("Board of cycles: who is due, who is late", "/rounds?view=board"),
      go("Half a year of work against your hours", "/rounds?view=year"),
      go("Practice: marks, eye, trim, stock, protocols", "/practice"),
      go("Files: back up, restore, export", "/files"),
      go("Cautions", "/cautions"),
      go("What is new", "/new"),
      go("Settings", "/settings"),
      go("How a foot is read: lenses, bounds, rules", "/settings/reading"),
      go("Print the scale card", "/card", "Action"),
      { id: "undo", name: "Take back the last change", hint: "Ctrl Z", run: () => void undo() },
      { id: "help", name: "Show the shortcuts", hint: "?", run: onHelp },
    ];
  }, [horses, navigate, undo, onHelp]);
  const wanted = text.trim().toLowerCase();
  const found = commands.filter(({ name }) => name.toLowerCase().includes(wanted)).slice(0, MOST_SHOWN);
  const pick = (command: Command | undefined) => {
    if (!command) return;
    onClose();
    command.run();
  };
  return (
    <Modal
      open
      onCancel={onClose}
      footer={null}
      closable={false}
      title={<span className="visually-hidden">Find</span>}
      className="finder"
    >
      <Input
        autoFocus
        size="large"
        role="combobox"
        aria-label="Find a horse or an action"
        aria-expanded
        aria-controls="finder-list"
        aria-activedescendant={found[chosen] ? `finder-${found[chosen].id}` : undefined}
        placeholder="A horse, a place, an action"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setChosen(0);
        }}
        onKeyDown={(event) => {
          const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
          if (step) {
            event.preventDefault();
            setChosen((now) => (now + step + found.length) % Math.max(1, found.length));
          }
          if (event.key === "Enter") pick(found[chosen]);
        }}
      />
      <ul id="finder-list" role="listbox" aria-label="Found" className="finder-list">
        {found.map((command, index) => (
          <li
            key={command.id}
            id={`finder-${command.id}`}
            role="option"
            aria-selected={index === chosen}
            onClick={() => pick(command)}
          >
            <span>{command.name}</span>
            <span className="quiet">{command.hint}</span>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="quiet finder-none">Nothing by that name. Try a part of it.</p>}
    </Modal>
  );
}
