<!-- @component What to do with something proposed: two ways to take it as it stands, and altering it. -->
<script lang="ts" generics="C extends string">
  interface Props {
    /** What the choice is about, for those who do not see the row. */
    label: string;
    /** The two choices with their names. */
    choices: readonly (readonly [C, string])[];
    chosen?: C | 'alter';
    /** Choices that are not open. Default: none. */
    closed?: readonly (C | 'alter')[];
    busy?: boolean;
    altering: boolean;
    onchoose: (choice: C) => void;
    onalter: () => void;
  }
  const {
    label,
    choices,
    chosen,
    closed = [],
    busy = false,
    altering,
    onchoose,
    onalter,
  }: Props = $props();
  const look = (choice: C | 'alter') => [
    'btn join-item px-3',
    chosen === choice ? 'btn-primary' : 'btn-outline border-base-300',
  ];
</script>

<div class="join shrink-0" role="group" aria-label="{label}: what to do">
  {#each choices as [choice, name] (choice)}
    <button
      class={look(choice)}
      aria-pressed={chosen === choice}
      disabled={busy || closed.includes(choice)}
      onclick={() => onchoose(choice)}>{name}</button
    >
  {/each}
  <button
    class={look('alter')}
    aria-pressed={chosen === 'alter'}
    aria-expanded={altering}
    disabled={busy || closed.includes('alter')}
    onclick={onalter}>Alter</button
  >
</div>
