import { useMutation, useQueryClient } from "@tanstack/react-query";

import { client, take, type Heard, type Said } from "../../api/client";
import { wordsQuery } from "../queries";

/** The words of a line that nobody knows, each of which may be one's own word for something. */
export function unknownWords(said: Pick<Said, "loose" | "unknown"> | undefined): string[] {
  const words = [...(said?.loose ?? []), ...(said?.unknown ?? [])];
  return [...new Set(words)].filter((w) => /^[\p{L}][\p{L}\p{N}'-]+$/u.test(w)).slice(0, MOST_ASKED);
}

/** As many are asked about at once. */
const MOST_ASKED = 3;

/** What a word of one's own means, in a sentence. */
export const ownTold = (own: Heard["own"][number]) => `“${own.word}” is your own word: ${own.label}`;

/** Learns and forgets words; whatever was read with them is read anew. */
export function useOwnWords() {
  const queries = useQueryClient();
  const anew = () =>
    Promise.all(
      [wordsQuery.queryKey, ["say"], ["entries"], ["read-thing"]].map((queryKey) =>
        queries.invalidateQueries({ queryKey }),
      ),
    );
  const learn = useMutation({
    mutationFn: (body: { word: string; means: string }) => take(client.POST("/api/v1/words", { body })),
    onSuccess: anew,
  });
  const forget = useMutation({
    mutationFn: (word: string) => take(client.DELETE("/api/v1/words/{word}", { params: { path: { word } } })),
    onSuccess: anew,
  });
  return { learn, forget };
}
