import { describe, expect, it, vi } from "vitest";

import { Draft, type Beside, type Read } from "./draft";

const read = (text: string): Read<number> =>
  /^\d+$/.test(text) ? { ok: true, value: Number(text) } : { ok: false, wrong: `no number: ${text}` };
const beside = (value: number, era = 0): Beside<number> => ({ era, value, read });

/** A send whose answer is given later. */
function later() {
  let answer: (done: boolean) => void = () => undefined;
  const send = vi.fn(() => new Promise<boolean>((done) => (answer = done)));
  return { send, answer: (done: boolean) => answer(done) };
}

describe("a draft", () => {
  it("shows what the build holds until something is typed", () => {
    const draft = new Draft<number>();
    expect(draft.text(beside(5))).toBeNull();
    draft.type("7", 0);
    expect(draft.text(beside(5))).toBe("7");
  });

  it("is sent once, however often the field is left, and is gone once taken", async () => {
    const draft = new Draft<number>();
    const { send, answer } = later();
    draft.type("7", 0);
    const first = draft.commit(beside(5), true, send);
    await draft.commit(beside(5), false, send);
    answer(true);
    await first;
    expect(send).toHaveBeenCalledTimes(1);
    expect(send).toHaveBeenCalledWith(7);
    expect(draft.text(beside(5))).toBeNull();
  });

  it("keeps what is typed while another goes in", async () => {
    const draft = new Draft<number>();
    const { send, answer } = later();
    draft.type("7", 0);
    const first = draft.commit(beside(5), true, send);
    draft.type("71", 0);
    answer(true);
    await first;
    expect(draft.text(beside(7))).toBe("71");
  });

  it("sends the old value again where another is on its way", async () => {
    const draft = new Draft<number>();
    const { send, answer } = later();
    draft.type("7", 0);
    const first = draft.commit(beside(5), true, send);
    draft.type("5", 0);
    const second = draft.commit(beside(5), true, vi.fn().mockResolvedValue(true));
    answer(true);
    await Promise.all([first, second]);
    expect(draft.text(beside(5))).toBeNull();
  });

  it("sends nothing where it says what is there", async () => {
    const draft = new Draft<number>();
    const send = vi.fn();
    draft.type("5", 0);
    await draft.commit(beside(5), true, send);
    expect(send).not.toHaveBeenCalled();
    expect(draft.text(beside(5))).toBeNull();
  });

  it("keeps what can't be read, with what is wrong, until it is typed over", async () => {
    const draft = new Draft<number>();
    const send = vi.fn();
    draft.type("five", 0);
    await draft.commit(beside(5), false, send);
    expect(send).not.toHaveBeenCalled();
    expect(draft.wrong).toBe("no number: five");
    draft.type("6", 0);
    expect(draft.wrong).toBe("");
  });

  it("keeps what was refused, and sends it again on Enter alone", async () => {
    const draft = new Draft<number>();
    const send = vi.fn().mockResolvedValue(undefined);
    draft.type("7", 0);
    await draft.commit(beside(5), true, send);
    expect(draft.text(beside(5))).toBe("7");
    await draft.commit(beside(5), false, send);
    expect(send).toHaveBeenCalledTimes(1);
    await draft.commit(beside(5), true, send);
    expect(send).toHaveBeenCalledTimes(2);
  });

  it("is over where what was refused is what the build holds by now", async () => {
    const draft = new Draft<number>();
    draft.type("7", 0);
    await draft.commit(beside(5), true, vi.fn().mockResolvedValue(false));
    expect(draft.text(beside(7))).toBeNull();
  });

  it("stays where sending fails, and the failure is the sender's", async () => {
    const draft = new Draft<number>();
    draft.type("7", 0);
    await expect(draft.commit(beside(5), true, () => Promise.reject(new Error("away")))).rejects.toThrow();
    expect(draft.text(beside(5))).toBe("7");
  });

  it("is given up with all others", () => {
    const draft = new Draft<number>();
    draft.type("7", 0);
    expect(draft.text(beside(5, 1))).toBeNull();
    draft.type("8", 1);
    expect(draft.text(beside(5, 1))).toBe("8");
  });

  it("tells who listens", () => {
    const draft = new Draft<number>();
    const heard = vi.fn();
    const stop = draft.subscribe(heard);
    draft.type("7", 0);
    stop();
    draft.drop();
    expect(heard).toHaveBeenCalledTimes(1);
  });
});
