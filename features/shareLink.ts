import { notify } from '@/stores';

/** Gives a link to the system's share sheet, or, where there is none, to the clipboard. @param instead what to do where neither is let */
export async function shareLink(title: string, url: string, instead: string): Promise<void> {
  try {
    if (typeof navigator.share === 'function') await navigator.share({ title, url });
    else {
      await navigator.clipboard.writeText(url);
      notify('The link is copied. Paste it into a message.');
    }
  } catch (error) {
    // Closing the share sheet is no failure.
    if (!(error instanceof DOMException && error.name === 'AbortError'))
      notify(`This browser lets no link out. ${instead}`);
  }
}
