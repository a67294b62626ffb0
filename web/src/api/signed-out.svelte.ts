/** Whether the server said last that this device is not signed in. */
class SignedOut {
  now = $state(false);
}

export const signedOut = new SignedOut();
