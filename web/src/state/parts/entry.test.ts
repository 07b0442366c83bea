import { expect, test } from "vitest";

import type { Found, Reference, Said } from "../../api/client";
import { first, optionsFor, told } from "./entry";

const said = (more: Partial<Said>) =>
  ({
    part: null,
    understood: "",
    unknown: [],
    question: "",
    choices: [],
    named: "",
    ...more,
  }) as unknown as Said;
const found = (slug: string) => ({ slug, words: slug, own: false, lacks: [], part: {} }) as unknown as Found;
const NONE: Reference["templates"] = [];

test("Enter takes the line as it was said", () => {
  const options = optionsFor(
    "fan 120",
    said({ part: {} as Said["part"], understood: "Fan" }),
    [found("f")],
    NONE,
  );
  expect(first(options)).toBe(0);
  expect(told("fan 120", said({ part: {} as Said["part"], understood: "Fan" }), options)).toBe(
    "Fan. Enter adds it.",
  );
});

test("Enter takes the one entry that it can be, and none of two", () => {
  expect(first(optionsFor("knot", said({}), [found("a")], NONE))).toBe(0);
  expect(first(optionsFor("knot", said({}), [found("a"), found("b")], NONE))).toBe(-1);
});

test("a line with the words left over as its name is never taken by Enter alone", () => {
  expect(first(optionsFor("card x", said({ unknown: ["x"], named: 'card "x"' }), [], NONE))).toBe(-1);
});

test("a question is answered by its first choice", () => {
  const options = optionsFor(
    "pump",
    said({ question: "What feeds it?", choices: ["pump sata", "pump header"] }),
    [],
    NONE,
  );
  expect(options.map((o) => o.words)).toEqual(["pump sata", "pump header"]);
  expect(first(options)).toBe(0);
});
