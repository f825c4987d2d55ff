/**
 * What a document would look like as it is typed, asked for at once and kept nowhere. One is worked out at a time; of those that come
 * meanwhile the newest is next, so a hand that types on is followed as fast as the server can.
 */
export class Preview<V, D> {
  private next: { document: D } | undefined;
  private running = false;
  /** Counts up with every change of mind; an answer from before one is of no use. */
  private round = 0;
  ask: ((document: D) => Promise<V | undefined>) | undefined;
  told: (view: V | undefined) => void;

  constructor(told: (view: V | undefined) => void) {
    this.told = told;
  }

  want(document: D) {
    this.next = { document };
    if (!this.running) void this.run();
  }

  /** There is nothing to preview any more: what is kept is what is shown. */
  drop() {
    this.round++;
    this.next = undefined;
    this.told(undefined);
  }

  private async run() {
    this.running = true;
    while (this.next && this.ask) {
      const [{ document }, round] = [this.next, this.round];
      this.next = undefined;
      // What cannot be previewed is told by the save that follows.
      const view = await this.ask(document).catch(() => undefined);
      if (view !== undefined && round === this.round) this.told(view);
    }
    this.running = false;
  }
}
