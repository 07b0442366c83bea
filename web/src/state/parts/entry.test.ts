import { expect, test } from "vitest";

import type { Found, Heard, Reference, Said } from "../../api/client";
import { first, optionsFor, placeOf, told } from "./entry";

const said = (more: Partial<Said>) =>
  ({
    part: null,
    understood: "",
    unknown: [],
    question: "",
    choices: [],
    named: "",
    dropped: [],
    described: [],
    loose: [],
    parts: [],
    goes: "",
    ...more,
  }) as unknown as Said;
const found = (slug: string) => ({ slug, words: slug, own: false, lacks: [], part: {} }) as unknown as Found;
const heard = (said: Said, offers: Found[] = [], meant: string[] = []): Heard => ({
  said,
  slots: [],
  own: [],
  offers,
  meant,
});
const NONE: Reference["templates"] = [];

test("Enter takes the line as it was said", () => {
  const options = optionsFor(
    "fan 120",
    heard(said({ part: {} as Said["part"], understood: "Fan" }), [found("f")]),
    NONE,
  );
  expect(first(options)).toBe(0);
  expect(told("fan 120", said({ part: {} as Said["part"], understood: "Fan" }), options)).toBe(
    "Fan. Enter adds it.",
  );
});

test("Enter takes the one entry that it can be, and none of two", () => {
  expect(first(optionsFor("knot", heard(said({}), [found("a")]), NONE))).toBe(0);
  expect(first(optionsFor("knot", heard(said({}), [found("a"), found("b")]), NONE))).toBe(-1);
});

test("a line with the words left over as its name is never taken by Enter alone", () => {
  expect(first(optionsFor("card x", heard(said({ unknown: ["x"], named: 'card "x"' })), NONE))).toBe(-1);
});

test("a question is answered by a choice, never by Enter alone", () => {
  const options = optionsFor(
    "pump",
    heard(said({ question: "What feeds it?", choices: ["pump sata", "pump"] }), [], ["Pump: 4 W in all", ""]),
    NONE,
  );
  expect(options.map((o) => o.words)).toEqual(["Pump: 4 W in all", "pump", "none of these"]);
  expect(options.map((o) => o.hint)).toEqual(["", "asks more", "say it otherwise"]);
  expect(first(options)).toBe(-1);
});

test("each answer to a question has a key, and what was left out is told", () => {
  const asks = said({ question: "Which?", choices: ["card 8pin", "card 16pin"], dropped: ["$9"] });
  const options = optionsFor("card $9", heard(asks), NONE);
  expect(options.map((o) => "key" in o && o.key)).toEqual(["1", "2", "0"]);
  expect(told("card $9", asks, options)).toBe("Which? Left out: $9.");
});

test("an entry with the words that would go into the name stands before the line, and Enter takes neither", () => {
  const words = said({ part: {} as Said["part"], understood: "Fan, spurrey", described: ["spurrey"] });
  const options = optionsFor("spurrey fan", heard(words, [found("spurrey-120")]), NONE);
  expect(options.map((o) => o.id)).toEqual(["entry-spurrey-120", "said"]);
  expect(first(options)).toBe(-1);
  expect(told("spurrey fan", words, options)).toBe(
    "1 in the catalogue: choose with the arrows, or say more.",
  );
});

test("several things go in together with Enter, or one by one by a choice", () => {
  const two = said({
    question: "There are several",
    choices: ["disk", "fan"],
    parts: [{}, {}] as Said["parts"],
    understood: "Disk; Fan",
  });
  const options = optionsFor("disk and fan", heard(two), NONE);
  expect(options.map((o) => o.words)).toEqual(["All 2: Disk; Fan", "disk", "fan", "none of these"]);
  expect(first(options)).toBe(0);
  expect(told("disk and fan", two, options)).toBe("2 things. Enter adds them all.");
});

test("what is no part is taken to where it belongs, with its words", () => {
  const cable = said({ question: "A cable goes into the drawer.", goes: "cable" });
  const options = optionsFor("sata cable 5 dm", heard(cable), NONE);
  expect(first(options)).toBe(0);
  expect(placeOf("cable", "sata cable")).toEqual({
    path: "drawer",
    search: "?put=cable&say=sata%20cable",
    words: "the Drawer",
  });
  expect(placeOf("case", "tower").path).toBe("supply/fit");
});

test("words that nobody knows are told to be kept", () => {
  const odd = said({ part: {} as Said["part"], understood: "Fan, teal", loose: ["teal"], described: [] });
  expect(told("fan teal", odd, optionsFor("fan teal", heard(odd), NONE))).toBe(
    "Fan, teal. Enter adds it. Kept as a note: teal.",
  );
});
