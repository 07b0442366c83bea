/** A photo that is on its way: at which step of which build, what it shows, and the picture itself. */
export interface Shot {
  build: string;
  step: string;
  places: readonly string[];
  file: Blob;
}

/** Where what is not sent yet is kept: the browser's own database, or one of a test. */
export interface Shelf {
  keys: () => Promise<string[]>;
  get: (key: string) => Promise<Shot | undefined>;
  set: (key: string, shot: Shot) => Promise<void>;
  del: (key: string) => Promise<void>;
}

/** Photos that could not be sent: kept on this device until the server has them. `post` gives false
 * where it does not answer; what it refuses it throws: that photo stays kept, those after it go on. */
export class PhotoQueue {
  private sending = false;

  constructor(
    private readonly build: string,
    private readonly shelf: Shelf,
    private readonly post: (shot: Shot) => Promise<boolean>,
    private readonly changed: (many: number) => void,
  ) {}

  /** Send it, or keep it for later. */
  async add(shot: Shot): Promise<void> {
    if (await this.post(shot)) return;
    await this.shelf.set(`${this.build} ${new Date().toISOString()} ${Math.random()}`, shot);
    await this.tell();
  }

  /** Send what is kept, the first taken first. */
  async flush(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (const key of await this.own()) {
        const shot = await this.shelf.get(key);
        const sent = !shot || (await this.post(shot).catch(() => null));
        if (sent === false) break;
        if (sent) await this.shelf.del(key);
      }
    } finally {
      this.sending = false;
      await this.tell();
    }
  }

  private own = async () => (await this.shelf.keys()).filter((k) => k.startsWith(`${this.build} `)).sort();

  private tell = async () => this.changed((await this.own()).length);
}
