import { Problem } from './client';

/** How a document is kept on the server. */
export interface Keeping<V, D> {
  save: (document: D, madeFrom: number) => Promise<V>;
  undo: (madeFrom: number) => Promise<V>;
  redo: (madeFrom: number) => Promise<V>;
}

/** What the page does about what happens to its document. */
export interface Told<V, D> {
  /** What is typed and not yet kept; `undefined` once all of it is. */
  draft: (wanted: D | undefined) => void;
  /** There is something that is not kept yet. */
  began: () => void;
  kept: (fresh: V) => void;
  failed: (why: string) => void;
  overtaken: (why: string) => void;
  /** What was refused was given up; what is kept stands. */
  givenUp: () => void;
}

const PAUSE = 350;
const RETRY = 3000;

/**
 * Saves a document as it is typed: one request at a time, the newest state last. From the first stroke on the
 * document counts as not kept; a save that fails is tried again, one that was overtaken elsewhere waits for a choice, and one that the
 * server will not take
 * stays as it was typed until it is changed or taken back.
 */
export class Keeper<V extends { revision: number }, D> {
  keeping: Keeping<V, D>;
  told: Told<V, D>;
  /** The revision that the next save is made from. */
  revision = 0;
  wanted: D | undefined;
  /** Whether it was changed elsewhere, and what is typed here waits for a choice. */
  waits = false;
  /** What the server will not take; sent again only once it was changed. */
  private refused: D | undefined;
  private running: Promise<void> | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(keeping: Keeping<V, D>, told: Told<V, D>) {
    this.keeping = keeping;
    this.told = told;
  }

  want(document: D) {
    this.wanted = document;
    this.told.began();
    this.told.draft(document);
    this.after(PAUSE);
  }

  /** Forgets what was typed. */
  drop() {
    clearTimeout(this.timer);
    this.waits = false;
    this.refused = undefined;
    this.wanted = undefined;
    this.told.draft(undefined);
  }

  /** Saves now whatever is not kept yet; ends when nothing is under way, kept or not. */
  flush(): Promise<void> {
    clearTimeout(this.timer);
    return (this.running ??= this.saveAll().finally(() => {
      this.running = undefined;
    }));
  }

  /** Takes the last step back, or again; what is typed is kept first, so that it is the step. */
  async travel(way: 'undo' | 'redo') {
    await this.flush();
    if (this.wanted !== undefined && this.wanted === this.refused) {
      // The step that is taken back is the one that was never taken.
      if (way === 'undo') {
        this.drop();
        this.told.givenUp();
      }
      return;
    }
    await this.order((madeFrom) => this.keeping[way](madeFrom));
  }

  /** Has the server change the document from the revision it stands at; what is typed is kept first. */
  async order(send: (madeFrom: number) => Promise<V>) {
    await this.flush();
    if (this.wanted !== undefined) return;
    this.told.began();
    this.show(await send(this.revision));
  }

  private async saveAll() {
    while (this.wanted !== undefined && this.wanted !== this.refused) {
      const sent = this.wanted;
      try {
        const fresh = await this.keeping.save(sent, this.revision);
        this.waits = false;
        if (this.wanted === sent) this.drop();
        this.show(fresh);
      } catch (e) {
        const why = e instanceof Error ? e.message : String(e);
        this.waits = e instanceof Problem && e.status === 412;
        if (this.waits) this.told.overtaken(why);
        else if (e instanceof Problem && e.isFinal) this.refused = sent;
        else this.after(RETRY);
        this.told.failed(why);
        return;
      }
    }
  }

  private show(fresh: V) {
    this.revision = fresh.revision;
    this.told.kept(fresh);
  }

  private after(pause: number) {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), pause);
  }
}
