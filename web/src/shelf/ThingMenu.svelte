<!-- @component What can be done with a stored thing as a whole: call it otherwise, copy it, put it away. -->
<script lang="ts">
  import Ellipsis from '@lucide/svelte/icons/ellipsis-vertical';
  import { api } from '../api/client';
  import type { AwayKind } from '../api/put-away-calls';
  import Menu from '../ui/Menu.svelte';
  import NameDialog from './NameDialog.svelte';

  interface Props {
    kind: Extract<AwayKind, 'book' | 'car' | 'circuit'>;
    id: string;
    name: string;
    /** As it was last seen; a circuit is called otherwise with its other details. */
    edition?: number;
    /** Does it; what the server refuses is shown around. */
    run: (work: () => Promise<unknown>) => Promise<boolean>;
    /** Told once the thing is put away. */
    onaway: () => void;
  }
  const { kind, id, name, edition, run, onaway }: Props = $props();

  let naming = $state<'rename' | 'copy'>();
  const items = $derived([
    edition === undefined
      ? { name: 'Rename it with its details', href: `/circuits/${id}` }
      : { name: 'Rename', onselect: () => (naming = 'rename') },
    { name: 'Copy', onselect: () => (naming = 'copy') },
    { name: 'Put away', onselect: putAway, mark: 'put-away' },
  ]);

  async function putAway() {
    if (await run(() => api.putAway(kind, id))) onaway();
  }

  async function call(other: string) {
    const how = naming;
    naming = undefined;
    await run(() =>
      how === 'copy' ? api.copy(kind, id, other) : api.rename(kind, id, other, edition!),
    );
  }
</script>

<Menu {items} class="btn btn-ghost px-0" title="More with {name}" data-more={kind}>
  <Ellipsis size={20} /><span class="sr-only">More with {name}</span>
</Menu>
{#if naming}
  <NameDialog
    title={naming === 'copy' ? `Copy ${name}` : `Rename ${name}`}
    name={naming === 'copy' ? `${name}, copy` : name}
    onname={call}
    onclose={() => (naming = undefined)}
  />
{/if}
