<!-- @component Asks what something is to be called. -->
<script lang="ts">
  import Dialog from '../ui/Dialog.svelte';

  interface Props {
    title: string;
    /** What it is called until then. */
    name: string;
    onname: (name: string) => void;
    onclose: () => void;
  }
  const { title, name, onname, onclose }: Props = $props();
  // svelte-ignore state_referenced_locally
  let typed = $state(name);
</script>

<Dialog {title} {onclose}>
  <form
    onsubmit={(e) => {
      e.preventDefault();
      onname(typed.trim());
    }}
  >
    <label class="grid gap-1">
      <span>Name</span>
      <input
        class="input h-12 w-full"
        maxlength="120"
        required
        pattern=".*\S.*"
        bind:value={typed}
        data-name
      />
    </label>
    <div class="flex justify-end gap-2 pt-4">
      <button type="button" class="btn btn-ghost" onclick={onclose}>Cancel</button>
      <button class="btn btn-primary">Keep the name</button>
    </div>
  </form>
</Dialog>
