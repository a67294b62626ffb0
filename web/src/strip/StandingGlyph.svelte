<!-- @component What stands beside the road, drawn around its foot. -->
<script lang="ts">
  import type { Glyph } from './marks';

  interface Props {
    glyph: Exclude<Glyph, 'span' | 'length' | 'road'>;
    /** Number on a board. */
    value?: number | null;
  }
  const { glyph, value }: Props = $props();
</script>

{#if glyph === 'board'}
  <path d="M-10 9 v5 M10 9 v5" />
  <rect x="-16" y="-9" width="32" height="18" />
  <text y="5" text-anchor="middle" font-size="14" font-weight="700" stroke="none">
    {value ?? '–'}
  </text>
{:else if glyph === 'post'}
  <path d="M0 0 v12" /><rect x="-5" y="-8" width="10" height="10" />
{:else if glyph === 'tree'}
  <path d="M0 2 v11" /><circle cy="-3" r="8" />
{:else if glyph === 'house'}
  <path d="M-9 8 v-9 l9 -8 l9 8 v9 z" />
{:else if glyph === 'sign'}
  <path d="M0 2 v11" /><path d="M-8 -4 h16 l-3 8 h-11 z" transform="translate(0 -3)" />
{/if}
