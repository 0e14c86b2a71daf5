import type { Course } from '@/core/course';

/** Whether what is on the screen is on the server. */
export type SaveState =
  | { readonly kind: 'saved'; readonly at: number }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  /** Not on the server yet: it is away, or has too much to do. */
  | { readonly kind: 'offline'; readonly busy?: boolean }
  | { readonly kind: 'refused'; readonly message: string }
  | { readonly kind: 'conflict'; readonly theirs: Theirs };

/** What somebody else saved in the meantime. */
export interface Theirs {
  readonly revision: number;
  readonly course: Course;
}

/** What came of a request to save. */
export type SaveAnswer =
  | { readonly kind: 'saved'; readonly revision: number; readonly changed: number }
  | { readonly kind: 'conflict'; readonly theirs: Theirs }
  | { readonly kind: 'refused'; readonly message: string }
  /** No answer, or one that says nothing of whether it was kept. */
  | { readonly kind: 'unsure'; readonly busy?: boolean };

/** What a queue is given to work with. */
export interface SaveWays {
  /** Sends a course that was made from a revision. Never fails: whatever happens is an answer. */
  readonly send: (revision: number, course: Course) => Promise<SaveAnswer>;
  /** Does something after so many ms; returns how to call it off. */
  readonly later: (ms: number, act: () => void) => () => void;
  /** Hears of each change. */
  readonly told: (queue: SaveQueue) => void;
}

/** Quiet time after an edit before it is sent, ms. */
const PAUSE = 700;
/** Time between tries while the server is away, ms. */
const RETRY = 2500;

/**
 * The saving of one course: at most one request is on its way, and each edit is sent after the answer to the
 * one before. A request without an answer is sent again as it was, so that the server knows it if it has it.
 */
export class SaveQueue {
  state: SaveState = { kind: 'saved', at: 0 };
  /** What waits to be sent: the newest edit. */
  private waiting: Course | null = null;
  /** What is on its way, or was and may have arrived. */
  private sent: Course | null = null;
  private onItsWay = false;
  private callOff = () => {};
  private readonly resting: (() => void)[] = [];

  constructor(
    /** The revision on the server that the next request is made from. */
    public revision: number,
    private readonly ways: SaveWays,
  ) {}

  /** Whether nothing is on its way and nothing waits for more than the maker's word. */
  get idle(): boolean {
    return !this.onItsWay && this.waiting === null && this.sent === null;
  }

  /** Has an edit be sent when the hand rests. */
  edit(course: Course): void {
    this.waiting = course;
    // Where two disagree nothing is sent before the maker has said what counts.
    if (this.state.kind === 'conflict') return this.ways.told(this);
    // Within a drag there are very many, and all who show the state would hear of each.
    if (this.state.kind !== 'unsaved') this.tell({ kind: 'unsaved' });
    this.wait(PAUSE);
  }

  /** Sends what waits now. */
  flush(): void {
    if (this.onItsWay || this.state.kind === 'conflict') return;
    this.callOff();
    const course = this.sent ?? this.waiting;
    if (course === null) return;
    if (this.sent === null) this.waiting = null;
    this.sent = course;
    this.onItsWay = true;
    this.tell({ kind: 'saving' });
    void this.ways.send(this.revision, course).then((answer) => this.hear(answer));
  }

  /** The maker says that what is here counts, over what was saved elsewhere. */
  keepMine(course: Course): void {
    if (this.state.kind !== 'conflict') return;
    this.revision = this.state.theirs.revision;
    this.waiting = course;
    this.tell({ kind: 'unsaved' });
    this.flush();
  }

  /** Nothing here counts any more. */
  forget(): void {
    this.callOff();
    this.waiting = null;
    this.sent = null;
  }

  /** Waits until nothing is on its way. */
  atRest(): Promise<void> {
    return this.onItsWay ? new Promise((resolve) => this.resting.push(resolve)) : Promise.resolve();
  }

  private hear(answer: SaveAnswer): void {
    this.onItsWay = false;
    const { sent } = this;
    if (answer.kind !== 'unsure') this.sent = null;
    switch (answer.kind) {
      case 'saved':
        this.revision = answer.revision;
        if (this.waiting === null) this.tell({ kind: 'saved', at: answer.changed });
        else {
          this.tell({ kind: 'unsaved' });
          this.wait(PAUSE);
        }
        break;
      case 'conflict':
        // What was refused goes on waiting, unless there is something newer.
        this.waiting ??= sent;
        this.tell({ kind: 'conflict', theirs: answer.theirs });
        break;
      case 'refused':
        this.tell({ kind: 'refused', message: answer.message });
        if (this.waiting !== null) this.wait(PAUSE);
        break;
      case 'unsure':
        this.tell({ kind: 'offline', busy: answer.busy });
        this.wait(RETRY);
    }
    this.resting.splice(0).forEach((go) => go());
  }

  private wait(ms: number): void {
    this.callOff();
    this.callOff = this.ways.later(ms, () => this.flush());
  }

  private tell(state: SaveState): void {
    this.state = state;
    this.ways.told(this);
  }
}
