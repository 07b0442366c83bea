import { useEffect, type RefObject } from "react";

/** Brings a field into sight and to hand: what opened a link to it says which. */
export function useField(box: RefObject<HTMLElement | null>, field: string, ready: boolean) {
  useEffect(() => {
    const target =
      field && ready ? box.current?.querySelector<HTMLElement>(`[data-field="${CSS.escape(field)}"]`) : null;
    target?.scrollIntoView({ block: "center" });
    target?.querySelector<HTMLElement>("input, select, button")?.focus();
  }, [box, field, ready]);
}
