import { RadioGroup as R } from "radix-ui";
import type { ComponentProps, ReactNode } from "react";

/** One of a few, all in sight; the arrow keys move the choice. */
export function RadioGroup<T extends string>({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: T;
  onChange: (value: T) => void;
  children: ReactNode;
}) {
  return (
    <R.Root aria-label={label} value={value} onValueChange={(v) => onChange(v as T)} orientation="vertical">
      {children}
    </R.Root>
  );
}

/** One choice of a group: a button that says whether it is the one. */
export function Radio({ className = "", ...rest }: ComponentProps<typeof R.Item>) {
  return <R.Item className={className} {...rest} />;
}
