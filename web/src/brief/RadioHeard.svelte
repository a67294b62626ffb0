<script lang="ts">
  import { onDestroy } from 'svelte';
  import { api } from '../api/client';
  import type { RadioMessage } from '../api/sessions';
  import { Working } from '../api/working.svelte';
  import Problem from '../ui/Problem.svelte';

  let heard = $state.raw<RadioMessage[]>([]);
  const working = new Working();
  let last = 0;
  const opened = new Date().toISOString();
  const EVERY_MS = 700;
  const SHOWN = 5;

  /** What was said before this screen was opened is nobody's business any more. */
  const listen = () =>
    working.run(async () => {
      const answer = await api.heard(last);
      heard = [...heard, ...answer.messages.filter((m) => m.at > opened)].slice(-SHOWN);
      last = answer.last;
    });
  void listen();
  const timer = setInterval(listen, EVERY_MS);
  onDestroy(() => clearInterval(timer));
</script>

<section class="border-base-300 rounded-box mt-3 border-2 p-3" aria-label="Heard over the radio">
  <h2 class="text-lg font-semibold">Heard at the other end</h2>
  {#if working.problem}<Problem problem={working.problem} />{/if}
  <ol data-heard>
    {#each heard as message (message.number)}
      <li>
        <span class="figures text-neutral pr-2">{message.at.slice(11, 19)}</span>{message.words}
      </li>
    {:else}<li class="text-neutral">Silence. Play the lap, and it is heard here.</li>{/each}
  </ol>
  <p class="text-neutral text-sm">
    A stand-in for a radio: it sends to nobody but this server. Another screen of this page hears it
    too.
  </p>
</section>
