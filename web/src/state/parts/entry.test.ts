import { expect, test } from "vitest";

import type { Found, Heard, Reference, Said } from "../../api/client";
import { first, optionsFor, told } from "./entry";

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
    ...more,
  }) as unknown as Said;
const found = (slug: string) => ({ slug, words: slug, own: false, lacks: [], part: {} }) as unknown as Found;
const heard = (said: Said, offers: Found[] = [], meant: string[] = []): Heard => ({ said, offers, meant });
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

test("a question is answered by its first choice", () => {
  const options = optionsFor(
    "pump",
    heard(said({ question: "What feeds it?", choices: ["pump sata", "pump"] }), [], ["4 W in all", ""]),
    NONE,
  );
  expect(options.map((o) => o.words)).toEqual(["pump sata", "pump"]);
  expect(options.map((o) => o.hint)).toEqual(["4 W in all", "asks more"]);
  expect(first(options)).toBe(0);
});

test("each answer to a question has a key, and what was left out is told", () => {
  const asks = said({ question: "Which?", choices: ["card 8pin", "card 16pin"], dropped: ["$9"] });
  const options = optionsFor("card $9", heard(asks), NONE);
  expect(options.map((o) => o.kind === "line" && o.key)).toEqual(["1", "2"]);
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
