import type { Router } from 'vue-router';

/** The script that a page begins with, at once or after its first picture: its name is another for each version. */
function entryOf(page: Document): string | null {
  const script = page.querySelector<HTMLScriptElement>('script[type="module"][src]');
  return script?.dataset.begins ?? script?.getAttribute('src') ?? null;
}

/** Whether Banter is there in another version than the page that is open. */
async function isRenewed(): Promise<boolean> {
  try {
    const answer = await fetch('/index.html', { cache: 'no-store' });
    if (!answer.ok) return false;
    const entry = entryOf(new DOMParser().parseFromString(await answer.text(), 'text/html'));
    return entry !== null && entry !== entryOf(document);
  } catch {
    return false;
  }
}

/**
 * A page that has been open since before Banter was renewed finds its other scripts no more: it is opened anew where it was going, once, as it is the new
 * one then. What was being typed lies on the device. Where a script is away for another reason everything stays as it is.
 */
export function opensAnewWhenRenewed(router: Router): void {
  let going: string | null = null;
  router.beforeEach((to) => {
    going = to.fullPath;
  });
  router.afterEach((_to, _from, failure) => {
    if (!failure) going = null;
  });
  addEventListener('vite:preloadError', () => {
    void isRenewed().then((renewed) => {
      if (renewed) location.assign(going ?? location.href);
    });
  });
}
