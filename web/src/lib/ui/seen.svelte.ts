import type { Attachment } from 'svelte/attachments';

/** Whether something has come near the view yet: what takes long to draw need not be drawn before. */
export class Seen {
  yet = $state(false);

  /** Watches the element it is attached to. */
  readonly watch: Attachment = (element) => {
    const watcher = new IntersectionObserver(
      (entries) => {
        if (!entries.some((e) => e.isIntersecting)) return;
        this.yet = true;
        watcher.disconnect();
      },
      { rootMargin: '800px' }
    );
    watcher.observe(element);
    return () => watcher.disconnect();
  };
}
