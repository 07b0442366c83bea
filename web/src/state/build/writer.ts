import { Problem, type Action, type BuildOut, type Doc, type WrittenOut } from "../../api/client";
import { merge } from "./merge";

/** Something that a write met and the builder has to decide. */
export type Question =
  | { kind: "stale"; problem: Problem; retry: (version: number) => Promise<BuildOut | null> }
  | { kind: "release"; problem: Problem; retry: () => Promise<BuildOut | null> };

/** An edit, or one made of what the build holds when its turn comes. */
export type Made = Action | ((now: Doc) => Action);

/** How writes reach the server; each carries the version that it is made on. */
export interface Posts {
  act(version: number, action: Action): Promise<WrittenOut>;
  takeSupply(version: number, slug: string, release: boolean): Promise<WrittenOut>;
  undo(version: number): Promise<WrittenOut>;
  redo(version: number): Promise<WrittenOut>;
}

/** Where the build is held, and who is told of what a write meets. */
export interface Holder {
  held(): BuildOut | undefined;
  hold(build: BuildOut): void;
  /** Fetches what the server holds. */
  reload(): Promise<void>;
  /** A write went in: what was typed for it is done with. */
  wrote(): void;
  ask(question: Question): void;
  say(text: string): void;
}

type Send = (version: number, release: boolean, doc: Doc) => Promise<WrittenOut>;

/**
 * Every write of a build, one at a time in the order they were made, so that none is stale by our
 * own doing. What somebody else changed meanwhile, or what would be unplugged, becomes a question.
 */
export class Writer {
  private queue: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly posts: Posts,
    private readonly holder: Holder,
  ) {}

  /** Makes an edit; gives the build after it, or null where it did not go in. */
  act = (made: Made) =>
    this.write((version, release, doc) => {
      const action = typeof made === "function" ? made(doc) : made;
      return this.posts.act(version, release ? ({ ...action, release: true } as Action) : action);
    });

  takeSupply = (slug: string) =>
    this.write((version, release) => this.posts.takeSupply(version, slug, release));
  undo = () => this.write((version) => this.posts.undo(version));
  redo = () => this.write((version) => this.posts.redo(version));

  private write(send: Send): Promise<BuildOut | null> {
    const result = this.queue.then(() => this.attempt(send, null, false));
    this.queue = result.catch(() => null);
    return result;
  }

  private async attempt(send: Send, version: number | null, release: boolean): Promise<BuildOut | null> {
    const now = this.holder.held();
    if (!now) return null;
    try {
      const written = await send(version ?? now.version, release, now.doc);
      const after = merge(now, written);
      // Others wrote in between: what we hold is not what their writes changed.
      if (written.version - now.version > 1) await this.holder.reload();
      else this.holder.hold(after);
      this.holder.wrote();
      return after;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      this.met(error, send, release);
      return null;
    }
  }

  private met(problem: Problem, send: Send, release: boolean) {
    if (problem.kind === "stale")
      this.holder.ask({ kind: "stale", problem, retry: (version) => this.attempt(send, version, release) });
    else if (problem.kind === "would-release")
      this.holder.ask({ kind: "release", problem, retry: () => this.attempt(send, null, true) });
    else this.holder.say(problem.message);
  }
}
