import { isPouring } from '$lib/store/pours';

/** What the worker has fetched, and what it serves. */
interface Builds {
  has: string;
  serves?: string;
}

const ANSWERS = 3000;

/** Asks the worker that serves this page; undefined where none does. */
async function ask(what: 'which' | 'take'): Promise<Builds | undefined> {
  const active = (await navigator.serviceWorker?.getRegistration())?.active;
  if (!active) return undefined;
  const { port1, port2 } = new MessageChannel();
  return new Promise((resolve) => {
    port1.onmessage = (event) => resolve(event.data as Builds);
    setTimeout(() => resolve(undefined), ANSWERS);
    active.postMessage(what, [port2]);
  });
}

/** A newer Nerite that was fetched and waits to be used: until no pour is under way. */
class Newer {
  /** Whether one waits, and whether it may be taken now. */
  waits = $state(false);
  ready = $state(false);

  /** Looks whether one was fetched. */
  async look(): Promise<void> {
    const builds = await ask('which');
    this.waits = builds?.serves !== undefined && builds.serves !== builds.has;
    this.ready = this.waits && !(await isPouring());
  }

  /** Begins with it where one waits and may be taken: as the page opens, before anything is typed. */
  async begin(): Promise<void> {
    await this.look();
    if (this.ready && !location.pathname.startsWith('/pour/')) await this.take(location.href);
  }

  /** Goes to an address in it. */
  async take(href: string): Promise<void> {
    await ask('take');
    if (href === location.href) location.reload();
    else location.href = href;
  }
}

export const newer = new Newer();
