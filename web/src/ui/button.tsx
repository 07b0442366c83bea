import type { ComponentProps } from "react";

type Look = "plain" | "main" | "quiet";
const LOOKS: Record<Look, string> = {
  plain: "border border-ink bg-slip text-ink hover:bg-accent-wash",
  main: "border border-accent bg-accent text-accent-ink hover:brightness-110",
  quiet: "border border-transparent text-ink hover:bg-accent-wash",
};

/** The one button. */
export function Button({
  look = "plain",
  className = "",
  ...rest
}: ComponentProps<"button"> & { look?: Look }) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-8 items-center justify-center gap-1.5 rounded-[3px] px-3 text-base font-semibold whitespace-nowrap disabled:opacity-45 ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
