<!-- @component The first rows of a file, to point at the one with the headers. -->
<script lang="ts">
  interface Props {
    lines: { number: number; text: string }[];
    /** Line that is taken for the headers. */
    chosen: number;
    onpoint: (line: number) => void;
  }
  const { lines, chosen, onpoint }: Props = $props();
  const shown = $derived(lines.filter((line) => line.text.trim() !== ''));
</script>

<details class="pt-2" data-header-lines>
  <summary class="link min-h-11 content-center decoration-dotted"
    >Headers stand in line {chosen}</summary
  >
  <p class="text-neutral">Point at another row if that is not so.</p>
  <ul class="max-h-64 overflow-auto" role="radiogroup" aria-label="Row of headers">
    {#each shown as line (line.number)}
      <li>
        <label class="flex min-h-11 items-center gap-2 whitespace-nowrap">
          <input
            type="radio"
            class="radio"
            name="header-line"
            checked={line.number === chosen}
            onchange={() => onpoint(line.number)}
          />
          <span class="text-neutral w-8 text-right">{line.number}</span>
          <code class="text-sm">{line.text}</code>
        </label>
      </li>
    {/each}
  </ul>
</details>
