/** Whether the server said last that this device is not signed in. */
class SignedOut {
  now = $state(false);

  /** Takes note of an answer; who one is, is told to everybody and says nothing of it. */
  heard({ status, url }: Pick<Response, 'status' | 'url'>) {
    if (status === 401) this.now = true;
    else if (!url.endsWith('/api/me')) this.now = false;
  }
}

export const signedOut = new SignedOut();
