import { Input, type InputRef } from "antd";
import type { Ref } from "react";

interface NumberInputProps {
  /** The field as `useField` gives it; `issue` is whatever is wrong with it. */
  view: { text: string; typed?: boolean; issue?: unknown };
  onType: (text: string) => void;
  /** The field is left, or Enter pressed. */
  onSettle?: () => unknown;
  /** Where Enter goes on to something else than settling. */
  onEnter?: (input: HTMLInputElement) => void;
  onKeyDown?: (event: React.KeyboardEvent<HTMLInputElement>) => void;
  onFocus?: () => void;
  ref?: Ref<InputRef>;
  id?: string;
  className?: string;
  label?: string;
  labelledBy?: string;
  /** The id of what says more about it. */
  saidBy?: string | undefined;
  placeholder?: string | undefined;
  /** `none` where the page has its own number pad, `text` for a line of words. */
  inputMode?: "decimal" | "numeric" | "text" | "none";
  maxLength?: number;
}

/** The one box for a value that is typed: selected when it is entered, kept when it is left. */
export function NumberInput({ view, onType, onSettle, onEnter, onKeyDown, ...rest }: NumberInputProps) {
  const { label, labelledBy, saidBy, inputMode = "decimal", onFocus, className = "", ...own } = rest;
  const words = inputMode === "text";
  return (
    <Input
      {...own}
      className={`value-input ${className}`}
      variant="underlined"
      inputMode={inputMode}
      autoComplete="off"
      data-numeric={!words}
      data-typed={view.typed}
      value={view.text}
      aria-label={label}
      aria-labelledby={labelledBy}
      aria-invalid={view.issue !== undefined}
      aria-describedby={saidBy}
      onFocus={(event) => {
        onFocus?.();
        if (!words) event.target.select();
      }}
      onChange={(event) => onType(event.target.value)}
      onBlur={onSettle}
      onKeyDown={(event) => {
        const enter = onEnter ?? onSettle;
        if (event.key === "Enter" && enter) {
          // The rest of this press must not answer a question that it raises.
          event.preventDefault();
          enter(event.currentTarget);
        }
        onKeyDown?.(event);
      }}
    />
  );
}
