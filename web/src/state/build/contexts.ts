import { createContext, useContext, type Context } from "react";

import type { Action, BuildOut, Result, RunState, State } from "../../api/client";
import type { Made, Question } from "./writer";

// Small contexts, so that a message does not draw forty components anew.

/** The result shown: of what is being typed while it is, else of the build. */
export const ResultContext = createContext<{ result: Result; typing: boolean } | null>(null);
export const BuildContext = createContext<BuildOut | null>(null);

interface Shown {
  state: State;
  /** The state in which runs are shown: idle where the build is shown asleep. */
  runState: RunState;
  setState: (s: State) => void;
}
export const ShownContext = createContext<Shown | null>(null);

interface Write {
  /** Makes an edit; gives the build after it, or null where it did not go in. */
  act: (made: Made) => Promise<BuildOut | null>;
  takeSupply: (slug: string) => Promise<BuildOut | null>;
  preview: (action: Action | null) => void;
  undo: () => Promise<BuildOut | null>;
  redo: () => Promise<BuildOut | null>;
  say: (text: string) => void;
  /** Drops what is being typed and fetches what the build holds. */
  giveUp: () => Promise<void>;
  reload: () => Promise<void>;
}
export const WriteContext = createContext<Write | null>(null);
/** What went wrong last, in the product's words. */
export const SaidContext = createContext<string | null>(null);

interface Asked {
  question: Question | null;
  /** Puts a question away, unless another has come since. */
  answered: (q: Question) => void;
}
export const QuestionContext = createContext<Asked | null>(null);

function use<T>(context: Context<T | null>): T {
  const found = useContext(context);
  if (found === null) throw new Error("a build's context outside a build");
  return found;
}

export const useBuild = () => use(BuildContext);
export const useResult = () => use(ResultContext);
export const useShown = () => use(ShownContext);
export const useWrite = () => use(WriteContext);
export const useSaid = () => use(SaidContext);
export const useQuestion = () => use(QuestionContext);
