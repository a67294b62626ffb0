<script lang="ts">
  import { useBook } from '../book/book-state.svelte';
  import { usePage } from './page-context';

  const book = useBook();
  const page = usePage();
  const p = $derived(page());
</script>

<div class="grid grid-cols-[1fr_1fr_auto] gap-3 pt-2">
  <label class="grid gap-1">
    <span class="figures text-neutral font-semibold">What is seen and felt here</span>
    <textarea
      class="textarea h-16 w-full"
      maxlength="2000"
      value={p.notes}
      placeholder="bumps, light, what comes before a blind part"
      onchange={(e) => book.setOwn(p.corner, 'notes', e.currentTarget.value || undefined)}
    ></textarea>
  </label>
  <label class="grid gap-1">
    <span class="figures text-neutral font-semibold">When the marker is missed</span>
    <textarea
      class="textarea h-16 w-full"
      maxlength="2000"
      value={p.wayOut}
      placeholder="straight on, stay on the brake, give the apex up"
      onchange={(e) => book.setOwn(p.corner, 'wayOut', e.currentTarget.value || undefined)}
    ></textarea>
  </label>
  <label class="grid content-start gap-1">
    <span class="figures text-neutral font-semibold">Sure of it</span>
    <select
      class="select h-11 w-28"
      value={p.confidence ?? ''}
      onchange={(e) =>
        book.setOwn(
          p.corner,
          'confidence',
          e.currentTarget.value === '' ? undefined : Number(e.currentTarget.value),
        )}
    >
      <option value="">not said</option>
      <option value={0}>0 of 5</option>
      {#each [1, 2, 3, 4, 5] as n (n)}<option value={n}>{n} of 5</option>{/each}
    </select>
  </label>
</div>
