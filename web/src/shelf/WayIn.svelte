<!-- @component The five steps from nothing to a lap that is looked back at, and where one stands. -->
<script lang="ts">
  import { nextStep, type WayStep } from './way-in';

  import type { Snippet } from 'svelte';

  interface Props {
    steps: WayStep[];
    /** Shown beside the steps. */
    children?: Snippet;
  }
  const { steps, children }: Props = $props();
  const next = $derived(nextStep(steps));
</script>

<section
  class="border-base-content rounded-box mb-5 border-2 p-3"
  aria-label="The way in"
  data-way-in
>
  <ol class="grid gap-x-4 gap-y-1 sm:grid-cols-2 lg:grid-cols-5">
    {#each steps as step, i (step.name)}
      <li
        class={[
          'flex flex-wrap items-center sm:flex-col sm:items-start',
          i === next && 'bg-base-200 rounded-box',
        ]}
        data-step={i + 1}
      >
        <h3 class="figures grow px-2 text-xl font-bold sm:grow-0">
          <span class="text-neutral">{i + 1}</span>
          {step.name}
          {#if step.there}<span class="text-accent" aria-hidden="true">✓</span>{/if}
        </h3>
        <p class="text-neutral grow basis-full px-2 leading-snug sm:basis-0">
          {step.there ? `${step.there}.` : step.takes}
          {#if step.example && !step.there}<a class="link" href={step.example}>An example</a>{/if}
        </p>
        <a class={['btn mt-1', i === next ? 'btn-primary' : 'btn-ghost']} href={step.href}
          >{step.action}</a
        >
      </li>
    {/each}
  </ol>
  {@render children?.()}
</section>
