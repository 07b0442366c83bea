import type { HeldAnswer } from "../../api/client";

/** How many of what differs are told before all are asked for. */
export const MOST_TOLD = 3;

const TITLES: Record<HeldAnswer["verdict"], string> = {
  over: "Stop and look",
  tight: "Something differs",
  unknown: "Not all is measured",
  within: "As the tally says",
};

/** What readings say of a machine: the verdict in words, what differs, what is as expected, and what
 * there is more than is told at once. */
export function told(held: HeldAnswer | undefined) {
  const differs = held?.found.filter((f) => f.severity !== "note") ?? [];
  const fine = held?.found.filter((f) => f.severity === "note") ?? [];
  const both = held?.verdict === "unknown" && differs.some((f) => f.severity === "tight");
  const title = held ? TITLES[held.verdict] : "";
  const more = [
    differs.length > MOST_TOLD && `${differs.length - MOST_TOLD} more`,
    fine.length > 0 && `${fine.length} as expected`,
  ];
  return {
    verdict: held?.verdict ?? "",
    title: both ? "Something differs, and not all is measured" : title,
    differs,
    fine,
    more: more.filter(Boolean).join(", "),
  };
}
