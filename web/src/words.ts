import { useQuery } from "@tanstack/react-query";

import type { Reference } from "./api/client";
import { referenceQuery } from "./state/queries";

const NONE: Reference["words"] = {
  rails: {},
  states: {},
  findings: {},
  ports: {},
  headers: {},
  paths: [],
};

/** The one word for each rail, state, port, header and path, as the core says it. */
export function useWords(): Reference["words"] {
  return useQuery(referenceQuery).data?.words ?? NONE;
}

/** A word that begins a line. */
export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
