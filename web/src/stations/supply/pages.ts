import type { Rest } from "../frame/Head";

export const PAGES = [
  { to: "", words: "Choose" },
  { to: "/compare", words: "Compare" },
  { to: "/fit", words: "Room and air" },
  { to: "/energy", words: "Energy" },
];

/** The pages of the Supply station as entries of a narrow page's menu. */
export function supplyPages(key: string): Rest[] {
  const items = PAGES.map((p) => ({ label: p.words, to: `/b/${key}/supply${p.to}` }));
  return [{ label: "Supply", items, narrowOnly: true }];
}
