<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    /** Endings and kinds that are offered, as of `<input accept>`. */
    accept?: string;
    /** A file was chosen, or dropped on the button. */
    onfile: (file: File) => void;
    look?: string;
    children: Snippet;
    /** For a test to find the field by. */
    [data: `data-${string}`]: string | boolean;
  }
  const { accept, onfile, look = '', children, ...rest }: Props = $props();
  let over = $state(false);

  function take(files: FileList | null | undefined) {
    over = false;
    if (files?.[0]) onfile(files[0]);
  }
</script>

<label
  class={[
    'btn focus-within:outline-info focus-within:outline-3 focus-within:outline-offset-2',
    look,
    over && 'btn-primary',
  ]}
  ondragover={(e) => {
    e.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={(e) => {
    e.preventDefault();
    take(e.dataTransfer?.files);
  }}
>
  {@render children()}
  <input
    {...rest}
    type="file"
    class="sr-only"
    {accept}
    onchange={(e) => {
      take(e.currentTarget.files);
      // The same file may be chosen once more, after it was put right.
      e.currentTarget.value = '';
    }}
  />
</label>
