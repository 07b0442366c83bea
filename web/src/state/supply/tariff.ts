import type { Doc } from "../../api/client";

export type Band = Doc["place"]["tariff"][number];

export const DAYS: Band["days"] = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];

/** A tariff to start from: a day and a night. */
export function dayAndNight(price: number): Band[] {
  return [
    { name: "day", days: DAYS, from_h: 6, to_h: 22, price_kwh: price },
    { name: "night", days: DAYS, from_h: 22, to_h: 6, price_kwh: Math.round(price * 70) / 100 },
  ];
}
