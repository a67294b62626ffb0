<!-- @component A code that pairs one device, to be typed or photographed. -->
<script lang="ts">
  import type { PairingCode } from '../api/people-calls';
  import Dialog from '../ui/Dialog.svelte';

  interface Props {
    /** Whose device it will be. */
    name: string;
    code: PairingCode;
    onclose: () => void;
  }
  const { name, code, onclose }: Props = $props();
</script>

<Dialog title="A device of {name}" {onclose}>
  <p>
    Photograph this with the device, or open <b class="wrap-anywhere">{code.link.split('#')[0]}</b> on
    it and type the code. It works once, for ten minutes.
  </p>
  <svg
    viewBox="0 0 {code.units} {code.units}"
    class="mx-auto my-3 block w-64 max-w-full"
    role="img"
    aria-label="The link as a code to be photographed"
    shape-rendering="crispEdges"
  >
    <!-- Cameras want it dark on light, in either theme. -->
    <rect width={code.units} height={code.units} fill="#fff" />
    <path d={code.picture} fill="#000" />
  </svg>
  <p class="figures text-center text-4xl font-bold tracking-widest" data-pairing-code>
    {code.code}
  </p>
  {#if code.trust}
    <p class="text-neutral pt-3">
      A device that comes for the first time must trust this machine before: open
      <b class="wrap-anywhere">{code.trust}</b> on it and follow the steps.
    </p>
  {/if}
  <div class="flex justify-end pt-4">
    <button class="btn btn-primary" onclick={onclose}>Done</button>
  </div>
</Dialog>
