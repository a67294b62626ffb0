/** Runs one task at a time; of those that come meanwhile only the newest is run after it. */
export class NewestNext {
  running = $state(false);
  private next?: () => Promise<void>;
  private done: Promise<void> = Promise.resolve();

  /** Whether something newer waits than what is run. */
  get waits(): boolean {
    return this.next !== undefined;
  }

  /** Settles when nothing is run and nothing waits. */
  get settled(): Promise<void> {
    return this.done;
  }

  /** Settles as {@link settled} does. */
  run(task: () => Promise<void>): Promise<void> {
    this.next = task;
    if (!this.running) {
      this.running = true;
      this.done = this.runAll();
    }
    return this.done;
  }

  private async runAll() {
    try {
      // What is given in one go counts as its last.
      await Promise.resolve();
      for (let task = this.take(); task; task = this.take()) await task();
    } finally {
      this.next = undefined;
      this.running = false;
    }
  }

  private take() {
    const { next } = this;
    this.next = undefined;
    return next;
  }
}
