<script lang="ts">
  import { say } from '../say/every';
  import { useCircuit } from './circuit-state.svelte';

  const circuit = useCircuit();
  const versions = $derived([...circuit.view!.versions].reverse());
  const day = (iso: string) => new Date(iso).toLocaleDateString('en-GB', { dateStyle: 'medium' });
</script>

<ol aria-label="Layout versions" class="leading-snug">
  {#each versions as version (version.id)}
    <li class="border-base-300 border-b py-1.5">
      <a
        class="link figures text-lg font-semibold"
        href="/circuits/{version.id}"
        aria-current={version.id === circuit.id ? 'page' : undefined}>version {version.version}</a
      >
      <span class="text-neutral">
        {version.validFrom
          ? `valid from ${day(version.validFrom)}`
          : `kept ${day(version.createdAt)}`}
        {version.id === circuit.id ? '· shown' : ''}
      </span>
      {#if version.reason}<p>{version.reason}</p>{/if}
      {#if version.changes.length}
        <ul class="text-neutral list-disc pl-5">
          {#each version.changes as change, i (i)}<li>{say(change.said)}</li>{/each}
        </ul>
      {/if}
    </li>
  {/each}
</ol>
