import { expect, test } from "vitest";

import { dayAndNight, DAYS } from "./tariff";

test("a day and a night cover every hour of the week once", () => {
  const bands = dayAndNight(0.3);
  for (const day of DAYS)
    for (let h = 0; h < 24; h++) {
      const on = bands.filter(({ days, from_h: from, to_h: to }) => {
        const within = from < to ? h >= from && h < to : h >= from || h < to;
        return days.includes(day) && within;
      });
      expect(on, `${day} ${h} h`).toHaveLength(1);
    }
});

test("the night costs seven tenths, to the hundredth", () => {
  expect(dayAndNight(0.3).map((b) => b.price_kwh)).toEqual([0.3, 0.21]);
  expect(dayAndNight(0.33).map((b) => b.price_kwh)).toEqual([0.33, 0.23]);
});
