/**
 * Looks ahead at what is being typed. Answers may come in any order: only that of the last question
 * counts, and none once what was typed is written or given up.
 */
export class Lookahead<Q, A> {
  private turn = 0;

  constructor(
    private readonly fetch: (question: Q) => Promise<A>,
    private readonly show: (answer: A | null) => void,
  ) {}

  ask = (question: Q | null): void => {
    const turn = (this.turn += 1);
    if (question === null) {
      this.show(null);
      return;
    }
    void this.fetch(question)
      .then((answer) => {
        if (turn === this.turn) this.show(answer);
      })
      .catch(() => undefined); // the commit says what is wrong; typing only looks ahead
  };

  /** Shows what the build holds; answers on their way no longer count. */
  drop = (): void => {
    this.turn += 1;
    this.show(null);
  };
}
