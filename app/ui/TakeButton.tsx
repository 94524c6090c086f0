import { useRef } from "react";

interface TakeButtonProps {
  /** Said to who does not see it. */
  label: string;
  disabled?: boolean;
  onFile?: (file: File) => void;
  /** Several files at once are taken where this is given. */
  onFiles?: (files: File[]) => void;
  /** What kinds of file are offered; pictures where nothing is said. */
  accept?: string;
  /** A button beside others, not the page’s own. */
  beside?: boolean;
  children?: React.ReactNode;
}

const PICTURES = "image/jpeg,image/png,image/webp,image/heic,image/heif";

/** A button that takes a file, on a phone with its camera. */
export function TakeButton({
  label,
  disabled = false,
  onFile,
  onFiles,
  accept = PICTURES,
  beside = false,
  children,
}: TakeButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        className="visually-hidden"
        type="file"
        accept={accept}
        aria-label={label}
        tabIndex={-1}
        multiple={onFiles !== undefined}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = "";
          if (files[0]) onFile?.(files[0]);
          if (files.length > 0) onFiles?.(files);
        }}
      />
      <button
        type="button"
        className={beside ? "take-button take-beside" : "take-button"}
        disabled={disabled}
        aria-label={label}
        onClick={() => input.current?.click()}
      >
        {children ?? "Take or choose"}
      </button>
    </>
  );
}
