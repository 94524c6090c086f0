import { Button, type ButtonProps } from "antd";

/** An act that stands within a line of text: underlined words, no frame. */
export function TextButton({ className = "", ...rest }: ButtonProps) {
  return <Button type="link" className={`text-button ${className}`.trim()} {...rest} />;
}
