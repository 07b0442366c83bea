import { describe, expect, it } from "vitest";

import type { BenchStep } from "../../api/client";
import { buildWith, drawn, every, resultWith, wordsOf } from "../../testing/render";
import { Notices } from "./Notices";
import { StepCard } from "./StepCard";
import { StepList } from "./StepList";
import type { BenchState } from "./useBench";

const nothing = () => undefined;
const step = (id: string, more: Record<string, unknown> = {}, of: Record<string, unknown> = {}) =>
  ({
    step: {
      id,
      title: `Mount ${id}`,
      text: [],
      looks: [],
      note: "",
      caution: "",
      joint: null,
      answers: [],
      shows: [],
      places: [],
      ...more,
    },
    of: "",
    state: "open",
    group: "The board",
    done: false,
    who: "",
    at: "",
    noted: "",
    photos: [],
    ...of,
  }) as unknown as BenchStep;
const card = (s: BenchStep, more: { done?: boolean; stopped?: string; seen?: string[] } = {}) =>
  drawn(
    <StepCard
      step={s}
      done={more.done ?? false}
      stopped={more.stopped ?? ""}
      seen={more.seen ?? []}
      onLook={nothing}
      onAnswer={nothing}
      onFound={nothing}
      onNote={nothing}
      kept={false}
      onPhoto={async () => undefined}
      onPhotos={nothing}
      say={nothing}
    />,
  );

describe("a step at the bench", () => {
  const looks = [
    { id: "screws", text: "Four screws hold it." },
    { id: "blades", text: "No lead is near a blade." },
  ];

  it("says what to do, what may hurt, what to look at", () => {
    const words = wordsOf(
      card(step("the board", { text: ["Lay it on its box."], caution: "Never force it.", looks })),
    );
    expect(words).toBe(
      "The board Mount the board Never force it. Lay it on its box. Four screws hold it. " +
        "No lead is near a blade. Add a photo",
    );
  });

  it("has a box for each thing to look at, ticked where it was", () => {
    const markup = card(step("the board", { looks }), { seen: ["screws"] });
    expect(every(markup, "data-look")).toEqual(["screws", "blades"]);
    expect(markup.match(/checked=""/g)).toHaveLength(1);
    expect(markup).not.toContain('disabled=""');
  });

  it("says by whom and when it was done, and then nothing of it can be ticked", () => {
    const done = step("the board", { looks }, { done: true, who: "Ida", at: "" });
    const markup = card(done, { done: true });
    expect(wordsOf(markup)).toContain("Done by Ida");
    expect(markup.match(/disabled=""/g)).toHaveLength(2);
    expect(markup.match(/checked=""/g)).toHaveLength(2);
  });

  it("asks whether a joint was warm, browned or loose, until one was", () => {
    const joint = { kind: "plug", cable: "c1", where: "G1" };
    const plug = step("plug", { joint });
    expect(wordsOf(card(plug))).toContain("Warm, browned or loose?");
    const stopped = card(plug, { stopped: "plug" });
    expect(wordsOf(stopped)).not.toContain("Warm, browned or loose?");
    expect(wordsOf(stopped)).toContain("Both were looked at and replaced");
    expect(wordsOf(card(plug, { stopped: "another" }))).not.toContain("replaced");
  });
});

describe("all steps", () => {
  const steps = [
    step("safe", {}, { done: true, group: "Before" }),
    step("supply", {}, { group: "Supply" }),
    step("cables", {}, { group: "Supply" }),
  ];
  const bench = (more: Partial<BenchState> = {}) =>
    ({
      plan: { left: 2, tools: ["a torch"], minutes: 12 },
      steps,
      pending: [],
      who: "Ida",
      name: nothing,
      ...more,
    }) as unknown as BenchState;
  const list = (b: BenchState, at = 1) => drawn(<StepList bench={b} at={at} onGo={nothing} />);

  it("stand under their groups, each group once, with how many are done", () => {
    const markup = list(bench());
    expect([...markup.matchAll(/<h2[^>]*>([^<]*)/g)].map((m) => m[1])).toEqual(["Before", "Supply"]);
    expect(wordsOf(markup)).toContain("1 of 3");
    expect(wordsOf(markup)).toContain("Lay out a torch. About 12 min , by how long such steps took here.");
  });

  it("end with what stands already, which is no work", () => {
    const standing = step("board", {}, { done: true, state: "stands", group: "Supply" });
    const markup = list(bench({ steps: [...steps, standing] }));
    expect(wordsOf(markup)).toContain("1 of 3");
    expect(wordsOf(markup)).toContain("Stands already Mount board");
  });

  it("say which one is shown and which are done, in words too", () => {
    const markup = list(bench());
    expect(every(markup, "data-done")).toEqual(["true", "false", "false"]);
    expect(markup.match(/aria-current="step"/g)).toHaveLength(1);
    expect(wordsOf(markup)).toContain("Mount safe done");
  });

  it("count what is kept on this device", () => {
    const pending = [{ step: "supply", of: "", kind: "done" }] as never;
    expect(every(list(bench({ pending })), "data-done")).toEqual(["true", "true", "false"]);
  });

  it("know who works, and wait for a plan", () => {
    expect(every(list(bench()), "value")).toEqual(["Ida"]);
    expect(wordsOf(list(bench({ plan: undefined, steps: [] })))).toContain("0 of 0");
  });
});

describe("what one has to know at the bench", () => {
  const notices = (mend: Record<string, number>, stopped = "", pending = 0) =>
    drawn(<Notices stopped={stopped} photos={0} pending={pending} />, {
      build: buildWith(),
      result: resultWith({ strip: { mend } }),
    });

  it("is nothing where all is well", () => {
    expect(notices({})).toBe("");
  });

  it("is that a map is not ready, by what it has", () => {
    expect(wordsOf(notices({ over: 1, unfed: 2, refused: 0 }))).toBe(
      "Not ready to be plugged: 1 over, 2 not fed. Mend the map first; what is done here is kept.",
    );
  });

  it("is what stops the work, at once and aloud", () => {
    const markup = notices({}, "A plug was warm. Switch off at the wall.");
    expect(markup).toContain('role="alert"');
    expect(wordsOf(markup)).toBe("A plug was warm. Switch off at the wall.");
  });

  it("is what is not sent yet", () => {
    expect(wordsOf(notices({}, "", 1))).toContain("1 entry is kept on this device");
    expect(wordsOf(notices({}, "", 3))).toContain("3 entries are kept on this device");
  });
});
