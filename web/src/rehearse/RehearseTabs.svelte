<script lang="ts">
  const { book, current }: { book: string; current: 'recall' | 'run' | 'stopwatch' | 'before' } =
    $props();
  const STATIONS = [
    ['recall', '', 'Questions'],
    ['run', '/run', 'The road comes'],
    ['stopwatch', '/stopwatch', 'The lap in the head'],
    ['before', '/before', 'Ten minutes before'],
  ] as const;
</script>

<nav class="flex flex-wrap gap-1 py-1" aria-label="Rehearse">
  {#each STATIONS as [key, path, name] (key)}
    <a
      href="/books/{book}/rehearse{path}"
      aria-current={current === key ? 'page' : undefined}
      class={[
        'figures flex min-h-11 items-center rounded border-2 px-3 text-lg',
        current === key ? 'border-base-content font-semibold' : 'border-base-300',
      ]}>{name}</a
    >
  {/each}
</nav>
