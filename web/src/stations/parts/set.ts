import type { Part } from "../../api/client";

export type Changes = Record<string, unknown>;

/**
 * Sets some fields of the part in hand. What is made of fields that are there (a list, a figure's
 * bounds) is given as a function of the part as it is when its turn comes: an edit that is still
 * on its way is not undone by the next.
 */
export type SetPart<P extends Part = Part> = {
  set(changes: Changes | ((now: P) => Changes)): Promise<unknown>;
}["set"];
