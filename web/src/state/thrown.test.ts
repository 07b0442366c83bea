import { expect, test } from "vitest";

import { LastThrown } from "./thrown";

test("undo brings back what was thrown away last, once, and nothing once something else was done", async () => {
  const last = new LastThrown();
  const back: string[] = [];
  let heard = 0;
  const stop = last.subscribe(() => (heard += 1));
  const throwing = (words: string) =>
    last.was({
      words,
      back: () => {
        back.push(words);
        return Promise.resolve();
      },
    });
  expect(last.bringBack()).toBe(false);
  throwing("one");
  throwing("two");
  expect(last.current()?.words).toBe("two");
  expect(last.bringBack()).toBe(true);
  expect(last.bringBack()).toBe(false);
  throwing("three");
  last.forget();
  last.forget();
  expect(last.bringBack()).toBe(false);
  expect(back).toEqual(["two"]);
  expect(heard).toBe(5);
  stop();
  throwing("four");
  expect(heard).toBe(5);
});
